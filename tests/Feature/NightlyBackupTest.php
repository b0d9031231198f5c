<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Office\NightlyBackup;
use App\Background\RunBackup;
use App\Models\Backup;
use App\Models\Office;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** When the worker has the backup of a night made. */
final class NightlyBackupTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // By the real clock: on a pinned day it is always half past nine.
        config(['almanac.today' => '']);
        Office::query()->sole()->forceFill(['created_at' => '2026-11-01 12:00:00'])->save();
    }

    private function isDueAt(string $here): bool
    {
        Carbon::setTestNow(Carbon::parse($here, 'America/New_York'));

        return $this->app->make(NightlyBackup::class)->isDue();
    }

    private function made(string $night, string $state, string $begun): void
    {
        (new Backup)->forceFill(['kind' => Backup::NIGHTLY, 'night_on' => $night, 'state' => $state, 'begun_at' => Carbon::parse($begun, 'America/New_York')->utc()])->save();
    }

    public function test_after_two_in_the_morning_by_the_clock_of_the_office(): void
    {
        $this->assertFalse($this->isDueAt('2026-11-24 00:30'));
        $this->assertFalse($this->isDueAt('2026-11-24 01:59'));
        $this->assertTrue($this->isDueAt('2026-11-24 02:00'));
        $this->assertTrue($this->isDueAt('2026-11-24 16:00'), 'a machine that was off at night makes it by day');
        Office::query()->sole()->update(['backs_up_nightly' => false]);
        $this->assertFalse($this->isDueAt('2026-11-24 02:00'));
    }

    public function test_not_on_the_first_day_of_an_office(): void
    {
        Office::query()->sole()->forceFill(['created_at' => '2026-11-24 13:00:00'])->save();
        $this->assertFalse($this->isDueAt('2026-11-24 23:00'));
        $this->assertTrue($this->isDueAt('2026-11-25 02:00'));
    }

    public function test_once_a_night_and_again_an_hour_after_a_failure(): void
    {
        $this->made('2026-11-23', Backup::DONE, '2026-11-23 02:00');
        $this->assertTrue($this->isDueAt('2026-11-24 02:00'), 'that was the night before');
        $this->made('2026-11-24', Backup::FAILED, '2026-11-24 02:00');
        $this->assertFalse($this->isDueAt('2026-11-24 02:59'));
        $this->assertTrue($this->isDueAt('2026-11-24 03:01'));
        $this->made('2026-11-24', Backup::DONE, '2026-11-24 03:01');
        $this->assertFalse($this->isDueAt('2026-11-24 23:59'));
        $this->assertTrue($this->isDueAt('2026-11-25 02:00'));
    }

    public function test_asked_often_it_is_queued_once(): void
    {
        Queue::fake();
        $this->assertTrue($this->isDueAt('2026-11-24 02:00'));
        $nightly = $this->app->make(NightlyBackup::class);
        $nightly->ask();
        $nightly->ask();
        Queue::assertPushed(RunBackup::class, 1);
        // One that waits in the queue is not asked for again by a worker that starts.
        DB::table('queued_work')->insert(['queue' => 'default', 'payload' => '{"displayName":"App\\\\Background\\\\RunBackup"}', 'attempts' => 0, 'available_at' => 0, 'created_at' => 0]);
        $this->assertFalse($this->isDueAt('2026-11-24 02:00'));
    }
}
