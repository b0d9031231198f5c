<?php

declare(strict_types=1);

namespace App\Actions\Office;

use App\Background\RunBackup;
use App\Backup\BackupPlan;
use App\Models\Backup;
use App\Models\Office;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** How backups are kept, and one that is asked for now. */
final readonly class KeepBackupSettings
{
    /** @throws ValidationException when backups can't be written to the folder */
    public function save(bool $isNightly, int $kept, string $folder): void
    {
        $folder = rtrim(trim($folder), '/');
        if ($folder !== '' && (! str_starts_with($folder, '/') || ! is_dir($folder) || ! is_writable($folder))) {
            throw ValidationException::withMessages([
                'folder' => 'Backups can’t be written to that folder. Enter the full path of a folder that exists on the server and that the server may write to.',
            ]);
        }
        DB::transaction(fn () => Office::query()->lockForUpdate()->sole()->update(
            ['backs_up_nightly' => $isNightly, 'backups_kept' => $kept, 'backup_folder' => $folder],
        ));
    }

    /** One at a time: while one is waiting or running, another is not asked for. */
    public function makeNow(): void
    {
        DB::transaction(function (): void {
            if (! BackupPlan::isWaiting()) {
                RunBackup::dispatch(Backup::MANUAL);
            }
        });
    }
}
