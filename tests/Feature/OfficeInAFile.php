<?php

declare(strict_types=1);

namespace Tests\Feature;

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
        Artisan::call('migrate', ['--force' => true]);
    }

    public function beginDatabaseTransaction(): void
    {
        // Other processes must see what is written here.
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        array_map(unlink(...), glob($this->database.'*') ?: []);
    }
}
