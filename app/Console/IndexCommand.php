<?php

declare(strict_types=1);

namespace App\Console;

use App\Actions\Files\SweepFiles;
use App\Actions\Finding\IndexEngagements;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use Illuminate\Console\Command;

final class IndexCommand extends Command
{
    protected $signature = 'almanac:index';

    protected $description = 'Rebuild what is kept over all records, and sweep files that no record has';

    public function handle(KeepStandings $standings, IndexParties $index, IndexEngagements $engagements, SweepFiles $files): int
    {
        // What is owed first: readiness asks about it.
        $standings->everything();
        $index->everything();
        $engagements->everything();
        $this->info('Balances and the search index are rebuilt.');
        $this->info('Files swept: '.$files->handle().'.');

        return self::SUCCESS;
    }
}
