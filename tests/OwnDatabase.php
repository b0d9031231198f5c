<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Support\Facades\DB;

/** A database in a file, for what a database in memory cannot show. */
trait OwnDatabase
{
    /**
     * In place of the one that the test has begun with, which lies in memory within a transaction.
     *
     * @param string $of the file that it is a copy of; empty for an empty one
     */
    private function useOwnDatabase(string $of = ''): string
    {
        DB::rollBack();
        $path = sys_get_temp_dir().'/almanac-own-'.getmypid().'-'.bin2hex(random_bytes(4)).'.sqlite';
        $of === '' ? touch($path) : copy($of, $path);
        $this->useDatabase($path);
        $this->beforeApplicationDestroyed(function () use ($path): void {
            $this->forgetDatabase($path);
            array_map(unlink(...), glob("$path*") ?: []);
        });

        return $path;
    }
}
