<?php

declare(strict_types=1);

namespace Tests\Attack;

use App\Models\User;
use App\Outside\NoTransaction;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Once;

/** One office for all tests of a class, made once by requests: each test runs in a transaction that is taken back. */
trait SameOffice
{
    private static string $office = '';

    /** What the office holds; run once. */
    abstract protected function makeOffice(): void;

    protected function refreshTestDatabase(): void
    {
        $isNew = self::$office === '';
        if ($isNew) {
            self::$office = sys_get_temp_dir().'/almanac-same-'.getmypid().'-'.bin2hex(random_bytes(4)).'.sqlite';
            $office = self::$office;
            touch($office);
            register_shutdown_function(fn () => array_map(unlink(...), glob("$office*") ?: []));
        }
        config(['database.connections.sqlite.database' => self::$office]);
        DB::purge();
        Once::flush();
        if ($isNew) {
            Artisan::call('migrate', ['--force' => true]);
        }
    }

    protected function setUpOffice(): void
    {
        if (User::query()->exists()) {
            $this->administrator = User::query()->firstOrFail();
        } else {
            parent::setUpOffice();
            $this->makeOffice();
        }
        DB::beginTransaction();
        NoTransaction::$around = DB::transactionLevel();
        $this->beforeApplicationDestroyed(function (): void {
            while (DB::transactionLevel() > 0) {
                DB::rollBack();
            }
            DB::purge();
        });
    }
}
