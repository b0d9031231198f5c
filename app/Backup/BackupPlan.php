<?php

declare(strict_types=1);

namespace App\Backup;

use App\Models\Backup;
use App\Models\Office;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Where backups go, whether one is on its way, and whether the nights go well. */
final readonly class BackupPlan
{
    /** A backup that runs longer was interrupted. */
    private const MINUTES = 60;

    public function __construct(private Clock $clock)
    {
    }

    /** The folder that the office chose, or its own. */
    public static function folder(): string
    {
        $chosen = Office::query()->first()->backup_folder ?? '';

        return $chosen === '' ? self::ownFolder() : $chosen;
    }

    /** The folder beside the database; made when it is not there. */
    public static function ownFolder(): string
    {
        $folder = storage_path('backups');
        is_dir($folder) || mkdir($folder, 0700, true);

        return $folder;
    }

    public static function isQueued(): bool
    {
        return DB::table('queued_work')->where('payload', 'like', '%RunBackup%')->exists();
    }

    /** Whether one is queued or running. */
    public static function isWaiting(): bool
    {
        return self::isQueued()
            || Backup::query()->where('state', Backup::RUNNING)->where('begun_at', '>', now()->subMinutes(self::MINUTES))->exists();
    }

    /** What is wrong with the nightly backups, and what to do; empty when nothing is. */
    public function problem(): string
    {
        $office = Office::query()->sole();
        if (! $office->backs_up_nightly) {
            return '';
        }
        $last = Backup::query()->where('kind', Backup::NIGHTLY)->orderByDesc('id')->first();
        if ($last?->state === Backup::FAILED) {
            return $last->failure;
        }
        $since = $last === null ? $office->created_at : $last->begun_at;
        $days = $since === null ? 0 : Clock::dayOf($since)->daysUntil($this->clock->today());

        return $days > 2 ? "There has been no nightly backup for $days days. Check that the worker is running, or make a backup now." : '';
    }
}
