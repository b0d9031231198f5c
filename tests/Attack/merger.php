<?php

declare(strict_types=1);

/*
 * Makes one record after another one with a record, in a process of its own, until it is stopped: merger.php DATABASE PARTY.
 * Prints "made one" for each.
 */

use Almanac\Merging\Decisions;
use App\Actions\Merging\MakeOne;
use App\Actions\Merging\PlanMerge;
use App\Models\Party;
use App\Models\User;

[, $database, $keptId] = $argv;
putenv("DB_DATABASE=$database");
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;

require __DIR__.'/../bootstrap.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

$by = User::query()->where('role', 'administrator')->firstOrFail();
while (true) {
    $next = Party::query()->where('kind', 'person')->whereKeyNot((int) $keptId)->orderBy('id')->first();
    if ($next === null) {
        break;
    }
    $ids = [(int) $keptId, $next->id];
    $plan = $app->make(PlanMerge::class)->of($ids, (int) $keptId, new Decisions, $by);
    $app->make(MakeOne::class)->handle($ids, (int) $keptId, new Decisions, $plan->seen, '', $by);
    echo "made one\n";
}
