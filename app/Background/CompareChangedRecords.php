<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\LookAlikes\CompareChanged;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Records that have changed, waiting to be compared again. */
final class CompareChangedRecords implements ShouldQueue
{
    use Queueable;

    public int $tries = 20;

    public int $timeout = 0;

    public function handle(CompareChanged $compare): void
    {
        $compare->handle();
    }
}
