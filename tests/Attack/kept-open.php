<?php

declare(strict_types=1);

/* Answers requests as a server's process does that keeps the book open: ?do=count, fold, fail, slow. DB_DATABASE says which book. */

use Illuminate\Support\Facades\DB;

require __DIR__.'/../bootstrap.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

$do = $_GET['do'] ?? '';
if ($do === 'fold') {
    echo DB::selectOne("select fold('Ærø') as folded")->folded;
} elseif ($do === 'count') {
    echo DB::table('steps')->count();
} else {
    DB::beginTransaction();
    DB::table('steps')->insert(['step' => 1]);
    if ($do === 'fail') {
        ini_set('memory_limit', memory_get_usage() + 4_000_000);
        echo str_repeat('x', 100_000_000);
    }
    set_time_limit(1);
    for ($n = 0; $n >= 0; $n = ($n + 1) % 1000) {
        hash('sha256', (string) $n);
    }
}
