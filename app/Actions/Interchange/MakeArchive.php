<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use App\Background\PackBook;
use App\Backup\Sealed;
use App\Backup\SealKey;
use App\Models\Job;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Makes an archive of the whole book behind the screen. */
final readonly class MakeArchive
{
    private const HUNDRED = 100;

    public function __construct(private PackEverything $pack, private Clock $clock)
    {
    }

    /** One at a time for each: asked for again, it is the one that is being made. */
    public function begin(User $by): Job
    {
        return DB::transaction(function () use ($by): Job {
            $running = Job::runningFor($by, Job::ARCHIVE)->first();
            if ($running !== null) {
                return $running;
            }
            $job = Job::query()->create([
                'kind' => Job::ARCHIVE,
                'user_id' => $by->id,
                'title' => 'Everything '.$this->clock->today()->toIso().'.zip',
                'input' => [],
                'total' => self::HUNDRED,
            ]);
            PackBook::dispatch($job->id);

            return $job;
        });
    }

    /** Whatever it fails for, it says so. */
    public function make(Job $job, User $by): void
    {
        $path = 'jobs/'.bin2hex(random_bytes(16)).'.zip';
        try {
            Storage::makeDirectory('jobs');
            $open = "$path.open";
            $this->pack->handle($by, Storage::path($open), function (float $part) use ($job): void {
                $done = (int) floor($part * self::HUNDRED);
                if ($done !== $job->done) {
                    $job->update(['done' => $done]);
                }
            });
            // It waits for a day: on the disk only the key of the installation opens it.
            Sealed::seal(Storage::path($open), Storage::path($path), SealKey::ofInstallation());
            Storage::delete($open);
            $job->update(['state' => Job::READY, 'done' => self::HUNDRED, 'path' => $path]);
        } catch (\Throwable $failure) {
            report($failure);
            Storage::delete([$path, "$path.open"]);
            $job->update(['state' => Job::FAILED, 'failure' => 'It could not be made. Try again; if it fails again, see that the disk is not full.']);
        }
    }
}
