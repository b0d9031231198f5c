<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Files\SweepFiles;
use App\Actions\Finding\IndexParties;
use Illuminate\Console\Command;

final class IndexCommand extends Command
{
    protected $signature = 'almanac:index';

    protected $description = 'Rebuild what is kept over all records, and sweep files that no record has';

    public function handle(IndexParties $index, SweepFiles $files): int
    {
        $index->everything();
        $this->info('The search index is rebuilt.');
        $this->info('Files swept: '.$files->handle().'.');

        return self::SUCCESS;
    }
}
