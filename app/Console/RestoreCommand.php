<?php

declare(strict_types=1);

namespace App\Console;

use App\Backup\BackupRefused;
use App\Backup\Restore;
use Illuminate\Console\Command;

final class RestoreCommand extends Command
{
    protected $signature = 'almanac:restore {file} {folder : of the installation}';

    protected $description = 'Put a backup in the place of an installation; what was there is kept aside';

    public function handle(): int
    {
        try {
            $done = (new Restore((string) $this->argument('folder')))->handle((string) $this->argument('file'), (string) getenv('ALMANAC_PASSPHRASE'));
        } catch (BackupRefused $refusal) {
            $this->error($refusal->getMessage());
            $this->line('Nothing was changed.');

            return self::FAILURE;
        }
        $this->line("Restored the backup of {$done['madeAt']}, made with version {$done['version']}.");
        $done['aside'] === '' || $this->line('What was there before: '.$done['aside']);

        return self::SUCCESS;
    }
}
