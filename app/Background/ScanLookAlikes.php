<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\LookAlikes\ScanBook;
use App\Models\LookAlikeScan;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A scan of the whole book for records that look alike, waiting to be made. */
final class ScanLookAlikes implements ShouldQueue
{
    use Queueable;

    /** A worker that died begins it again from the beginning. */
    public int $tries = 3;

    public int $timeout = 0;

    public function __construct(private readonly int $scanId)
    {
    }

    public function handle(ScanBook $scan): void
    {
        $of = LookAlikeScan::query()->find($this->scanId);
        if ($of instanceof LookAlikeScan) {
            $scan->handle($of);
        }
    }
}
