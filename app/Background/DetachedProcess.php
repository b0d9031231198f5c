<?php

declare(strict_types=1);

namespace App\Background;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;

/** Does long work in a process of its own, so that whoever asked for it gets an answer at once and may leave. */
final class DetachedProcess
{
    /** @param  list<string>  $arguments of artisan */
    public static function run(array $arguments): void
    {
        $command = implode(
            ' ',
            array_map(escapeshellarg(...), [PHP_BINARY, '-d', 'memory_limit=512M', base_path('artisan'), ...$arguments]),
        );
        // Its own session: it goes on when the server that began it stops.
        // It begins when what it is about is kept.
        DB::afterCommit(fn () => Process::path(base_path())->run("setsid nohup $command > /dev/null 2>&1 &"));
    }
}
