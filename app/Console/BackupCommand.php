<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Office\MakeBackup;
use App\Backup\BackupRefused;
use App\Models\Backup;
use Illuminate\Console\Command;

final class BackupCommand extends Command
{
    protected $signature = 'almanac:backup {file? : where it is written; the backup folder of the office without it}';

    protected $description = 'Back up the database, the key and the files, while the server may run; encrypted under ALMANAC_PASSPHRASE when that is set';

    public function handle(MakeBackup $make): int
    {
        try {
            $backup = $make->handle(Backup::MANUAL, (string) $this->argument('file'), (string) getenv('ALMANAC_PASSPHRASE'));
        } catch (BackupRefused $refusal) {
            $this->error($refusal->getMessage());

            return self::FAILURE;
        }
        $this->line(sprintf('Backup: %s (%s)', $backup->path, $backup->is_encrypted ? 'encrypted' : 'not encrypted'));

        return self::SUCCESS;
    }
}
