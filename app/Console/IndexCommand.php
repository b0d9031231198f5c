<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Finding\IndexParties;
use Illuminate\Console\Command;

final class IndexCommand extends Command
{
    protected $signature = 'almanac:index';

    protected $description = 'Rebuild the search indexes from the records';

    public function handle(IndexParties $index): int
    {
        $index->everything();
        $this->info('The search index is rebuilt.');

        return self::SUCCESS;
    }
}
