<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Files\SweepFiles;
use App\Actions\Office\RebuildProjections;
use App\Backup\CheckInstallation;
use App\Backup\Finding;
use Illuminate\Console\Command;

final class CheckCommand extends Command
{
    protected $signature = 'almanac:check {--repair : compute anew what is derived from the rest}';

    protected $description = 'Check the database, the key, projections, files and numbers; silent where all is well';

    public function handle(CheckInstallation $check, RebuildProjections $rebuild, SweepFiles $files): int
    {
        $found = $check->handle();
        if ($this->option('repair') && $found !== [] && array_filter($found, fn (Finding $one) => ! $one->isDerived) === []) {
            $this->line('Rebuilding balances and the search index …');
            $rebuild->handle();
            $files->handle();
            $found = $check->handle();
        }
        foreach ($found as $one) {
            $this->error($one->sentence);
        }

        return $found === [] ? self::SUCCESS : self::FAILURE;
    }
}
