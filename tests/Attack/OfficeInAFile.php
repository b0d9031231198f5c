<?php

declare(strict_types=1);

namespace Tests\Attack;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** An office in a file of its own, which other processes open as well. */
trait OfficeInAFile
{
    private string $database;

    protected function setUp(): void
    {
        $this->database = sys_get_temp_dir().'/almanac-'.bin2hex(random_bytes(6)).'.sqlite';
        touch($this->database);
        parent::setUp();
    }

    /** It needs a real file, made before the office is set up. */
    protected function beforeRefreshingDatabase(): void
    {
        config(['database.connections.sqlite.database' => $this->database]);
        DB::purge();
    }

    /** Made once, and not in a transaction: other processes must see what is written here. */
    protected function refreshTestDatabase(): void
    {
        Artisan::call('migrate', ['--force' => true]);
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        array_map(unlink(...), glob($this->database.'*') ?: []);
    }
}
