<?php

declare(strict_types=1);

/* Writes step after step without a pause, in a process of its own, until it is stopped: long-work.php DATABASE. */

use App\Database\LongWork;
use Illuminate\Support\Facades\DB;

[, $database] = $argv;
putenv("DB_DATABASE=$database");
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;

require __DIR__.'/../bootstrap.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

for ($step = 1; true; $step++) {
    LongWork::step(function () use ($step): void {
        DB::table('steps')->insert(['step' => $step]);
        usleep(20_000);
    });
    if ($step === 1) {
        echo "at work\n";
    }
}
