<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\LookAlikes\CompareChanged;
use App\Actions\Office\NightlyBackup;
use App\Actions\Office\RequeueWaiting;
use App\Background\WorkerLock;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;

/** The worker: it looks for work that waits, and has it done in a process of its own, which holds nothing over from the work before. */
final class WorkCommand extends Command
{
    private const LOOKS_EVERY_MS = 300;

    protected $signature = 'almanac:work {server : the process of the server; with it the worker ends}';

    protected $description = 'Do the work that waits; started and watched with the server';

    public function handle(NightlyBackup $nightly, RequeueWaiting $requeue): int
    {
        $server = $this->argument('server');
        $home = '/proc/'.(ctype_digit($server) ? $server : '0');
        while (is_dir($home) && ! WorkerLock::take()) {
            usleep(self::LOOKS_EVERY_MS * 1000);
        }
        // There is one worker: what somebody has begun is nobody's any more.
        DB::table('queued_work')->update(['reserved_at' => null]);
        $requeue->handle();
        while (is_dir($home)) {
            WorkerLock::take();
            if (DB::table('queued_work')->exists()) {
                Process::path(base_path())->forever()->run([
                    PHP_BINARY, '-d', 'memory_limit=512M', '-d', 'realpath_cache_size=0', ...$this->compiled(), base_path('artisan'), 'queue:work',
                    // Short work first: an upload is not read after seventy long tasks.
                    '--once', '--timeout=0', '--quiet', '--queue=short,default',
                ]);
                DB::table('queued_work')->update(['reserved_at' => null]);
            } else {
                CompareChanged::askFor();
                $nightly->ask();
                // Looked at anew each time: a database may have been put in the place of another.
                DB::disconnect();
                usleep(self::LOOKS_EVERY_MS * 1000);
            }
        }

        return self::SUCCESS;
    }

    /** @return list<string> settings by which a task does not compile the program again: that takes half of its time */
    private function compiled(): array
    {
        $folder = (string) getenv('ALMANAC_COMPILED');

        return $folder === '' ? [] : [
            '-d', 'opcache.enable_cli=1', '-d', "opcache.file_cache=$folder", '-d', 'opcache.file_cache_only=1', '-d', 'opcache.validate_timestamps=1',
        ];
    }
}
