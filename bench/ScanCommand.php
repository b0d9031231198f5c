<?php

declare(strict_types=1);

namespace Bench;

use App\Actions\LookAlikes\ScanBook;
use App\Models\LookAlikeScan;
use Illuminate\Console\Command;

/** Goes through the book for look-alikes in a process of its own, as the worker does, and says how long it took and how much memory. */
final class ScanCommand extends Command
{
    protected $signature = 'almanac:bench-scan';

    protected $description = 'Time a scan for look-alikes';

    public function handle(ScanBook $book): int
    {
        $scan = LookAlikeScan::query()->create();
        $start = hrtime(true);
        $book->handle($scan);
        $this->line(sprintf(
            '%.1f s, %s pairs compared, %s found, %.0f MB at the most',
            (hrtime(true) - $start) / 1e9,
            number_format($scan->refresh()->compared),
            number_format($scan->found),
            memory_get_peak_usage(true) / 1048576,
        ));

        return self::SUCCESS;
    }
}
