<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Ledger\MakeStatement;
use App\Models\Job;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A long statement that waits to be put on paper. */
final class PrintStatement implements ShouldQueue
{
    use Queueable;

    /** A worker that died begins it again from the beginning. */
    public int $tries = 3;

    public int $timeout = 0;

    public function __construct(private readonly int $jobId)
    {
        $this->onQueue('short');
    }

    public function handle(MakeStatement $make): void
    {
        $job = Job::query()->find($this->jobId);
        if ($job?->state === Job::RUNNING) {
            $make->make($job);
        }
    }
}
