<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use App\Backup\BackupPlan;
use App\Models\Backup;
use App\Models\Office;
use App\Upgrade\Version;
use OpenApi\Attributes as OA;

/** The backups of the office and how they are kept. */
#[OA\Schema(schema: 'Backups')]
final readonly class BackupsData
{
    private const MOST = 20;

    /** @param  list<BackupData>  $backups */
    private function __construct(
        #[OA\Property(description: 'Version of the program that serves the office, as in 0.3.0.')]
        public string $programVersion,
        #[OA\Property(description: 'Whether a backup is made every night.')]
        public bool $isNightly,
        #[OA\Property(description: 'Nightly backups that are kept.')]
        public int $kept,
        #[OA\Property(description: 'Folder that was chosen; empty for the folder beside the database.')]
        public string $folder,
        #[OA\Property(description: 'Absolute path of the folder that backups are written to.')]
        public string $folderInUse,
        #[OA\Property(description: 'Whether a backup is waiting or running.')]
        public bool $isRunning,
        #[OA\Property(description: 'The latest backups, the newest first.', items: new OA\Items(ref: '#/components/schemas/Backup'))]
        public array $backups,
    ) {
    }

    public static function now(): self
    {
        $office = Office::query()->sole();

        return new self(
            Version::CURRENT,
            $office->backs_up_nightly,
            $office->backups_kept,
            $office->backup_folder,
            BackupPlan::folder(),
            BackupPlan::isWaiting(),
            array_values(Backup::query()->orderByDesc('id')->limit(self::MOST)->get()->map(fn (Backup $one) => BackupData::of($one))->all()),
        );
    }
}
