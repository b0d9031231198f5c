<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Office\MakeBackup;
use App\Backup\BackupRefused;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A backup that was asked for, by somebody or by the night. */
final class RunBackup implements ShouldQueue
{
    use Queueable;

    /** A worker that died leaves no backup: the next night makes another, or somebody asks again. */
    public int $tries = 1;

    public int $timeout = 0;

    public function __construct(private readonly string $kind)
    {
    }

    public function handle(MakeBackup $make): void
    {
        try {
            $make->handle($this->kind, passphrase: (string) config('almanac.backup_passphrase'));
        } catch (BackupRefused) {
            // It is kept with the backup, where Office and Today show it.
        }
    }
}
