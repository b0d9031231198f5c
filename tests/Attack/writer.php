<?php

declare(strict_types=1);

/*
 * Saves a record's name over and over, in a process of its own, until it is stopped or has made
 * so many saves: writer.php DATABASE PARTY NAME SAVES. Prints "saved" or "refused" for each.
 */

use Almanac\Records\SectionName;
use App\Actions\Records\IdentitySection;
use App\Actions\Records\SaveSection;
use App\Actions\Records\StaleSection;
use App\Facts\Records\SectionVersions;
use App\Models\Party;
use App\Models\User;

[, $database, $id, $name, $saves] = $argv;
putenv("DB_DATABASE=$database");
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;

require __DIR__.'/../bootstrap.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

$party = Party::query()->findOrFail($id);
$by = User::query()->firstOrFail();
for ($n = 0; $n < (int) $saves; $n++) {
    $version = SectionVersions::of($party, SectionName::Identity);
    try {
        $app->make(SaveSection::class)->handle(
            $app->make(IdentitySection::class),
            $party,
            ['name' => "$name $n", 'legal' => "$name $n Ltd", 'isClient' => true, 'isVendor' => false],
            $version,
            $by,
        );
        echo "saved\n";
    } catch (StaleSection) {
        echo "refused\n";
    }
}
