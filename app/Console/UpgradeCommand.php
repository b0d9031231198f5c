<?php

declare(strict_types=1);

namespace App\Console;

use App\Upgrade\CarryOverRefused;
use App\Upgrade\NewerDatabase;
use App\Upgrade\UpgradeDatabase;
use Illuminate\Console\Command;

final class UpgradeCommand extends Command
{
    protected $signature = 'almanac:upgrade';

    protected $description = 'Bring the database to this version; back it up first';

    public function handle(UpgradeDatabase $upgrade): int
    {
        try {
            $upgrade->handle(fn (string $step) => $this->line($step));
        } catch (NewerDatabase|CarryOverRefused $refusal) {
            $this->error($refusal->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
