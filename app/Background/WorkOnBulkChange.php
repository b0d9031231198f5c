<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Bulk\RunBulkChange;
use App\Models\BulkChange;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A bulk change that waits to be worked on, or to be taken back. */
final class WorkOnBulkChange implements ShouldQueue
{
    use Queueable;

    /** A worker that died begins it again: what is done is not done twice. */
    public int $tries = 20;

    public int $timeout = 0;

    public function __construct(private readonly int $changeId)
    {
    }

    public function handle(RunBulkChange $run): void
    {
        $change = BulkChange::query()->find($this->changeId);
        if ($change instanceof BulkChange) {
            $run->handle($change);
        }
    }
}
