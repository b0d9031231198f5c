<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Files\SweepFiles;
use App\Actions\Office\RebuildProjections;
use Illuminate\Console\Command;

final class IndexCommand extends Command
{
    protected $signature = 'almanac:index';

    protected $description = 'Rebuild what is kept over all records, and sweep files that no record has';

    public function handle(RebuildProjections $rebuild, SweepFiles $files): int
    {
        $rebuild->handle();
        $this->info('Balances and the search index are rebuilt.');
        $this->info('Files swept: '.$files->handle().'.');

        return self::SUCCESS;
    }
}
