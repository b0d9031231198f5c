<?php

declare(strict_types=1);

namespace App\Actions\Office;

use App\Background\RunBackup;
use App\Backup\BackupPlan;
use App\Models\Backup;
use App\Models\Office;
use App\Time\Clock;

/** Has the backup of each night made, once; one that failed is tried again after an hour. */
final class NightlyBackup
{
    /** By the clock of the office. */
    private const HOUR = 2;

    private const RETRY_MINUTES = 60;

    private const LOOKS_EVERY_S = 60;

    private int $looked = 0;

    public function __construct(private readonly Clock $clock)
    {
    }

    /** Asked by the worker at any time; looks once a minute. */
    public function ask(): void
    {
        if (hrtime(true) / 1e9 - $this->looked < self::LOOKS_EVERY_S) {
            return;
        }
        $this->looked = (int) (hrtime(true) / 1e9);
        if ($this->isDue()) {
            RunBackup::dispatch(Backup::NIGHTLY);
        }
    }

    public function isDue(): bool
    {
        $office = Office::query()->first();
        $today = $this->clock->today();
        // On its first day an office has nothing from the night before.
        if ($office === null || ! $office->backs_up_nightly || $this->clock->here()->hour < self::HOUR
            || $office->created_at === null || ! Clock::dayOf($office->created_at)->isBefore($today)) {
            return false;
        }

        return Backup::query()->where(['kind' => Backup::NIGHTLY, 'night_on' => $today->toIso()])
            ->where(fn ($one) => $one->where('state', Backup::DONE)->orWhere('begun_at', '>', now()->subMinutes(self::RETRY_MINUTES)))
            ->doesntExist() && ! BackupPlan::isQueued();
    }
}
