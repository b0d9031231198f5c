<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Lets a file go again that was made behind the screen. */
final readonly class ForgetJob
{
    public function handle(Job $job): void
    {
        $job->delete();
        if ($job->path !== null) {
            DB::afterCommit(fn () => Storage::delete($job->path));
        }
    }
}
