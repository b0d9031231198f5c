<?php

declare(strict_types=1);

namespace App\Background;

use App\Actions\Interchange\MakeArchive;
use App\Models\Job;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** The whole book, which waits to be packed into an archive. */
final class PackBook implements ShouldQueue
{
    use Queueable;

    /** A worker that died begins it again from the beginning. */
    public int $tries = 3;

    public int $timeout = 0;

    public function __construct(private readonly int $jobId)
    {
    }

    public function handle(MakeArchive $make): void
    {
        $job = Job::query()->find($this->jobId);
        if ($job?->state === Job::RUNNING) {
            $make->make($job, User::query()->findOrFail($job->user_id));
        }
    }
}
