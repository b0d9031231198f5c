<?php

declare(strict_types=1);

namespace App\Http\Controllers\Interchange;

use Almanac\Access\Permission;
use App\Actions\Interchange\ForgetJob;
use App\Actions\Interchange\MakeArchive;
use App\Backup\Sealed;
use App\Backup\SealKey;
use App\Http\Data\Interchange\JobData;
use App\Http\FileAnswer;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Models\Job;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Files that are made behind the screen, each for who asked for it. */
final readonly class JobsController
{
    private const MOST = 20;

    #[Adds('office/archive', 'makeArchive', 'Make an archive of the whole book behind the screen', '', 'Job', 'Interchange')]
    public function archive(MakeArchive $make, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(JobData::of($make->begin($user)), 201);
    }

    #[Reads('jobs', 'listJobs', 'What is made for me behind the screen, the newest first', '[Job]', 'Interchange')]
    public function index(#[CurrentUser] User $user): JsonResponse
    {
        $jobs = Job::query()->where('user_id', $user->id)->orderByDesc('id')->limit(self::MOST)->get();

        return new JsonResponse(array_values($jobs->map(fn (Job $job) => JobData::of($job))->all()));
    }

    #[Reads('jobs/{job}/file', 'readJobFile', 'What was made', '', 'Interchange')]
    public function file(Job $job, #[CurrentUser] User $user): BinaryFileResponse|StreamedResponse
    {
        $this->assertTheirs($job, $user);
        if ($job->path === null || ! Storage::exists($job->path)) {
            throw new NotFoundHttpException('That is not ready, or is no longer kept. Make it again.');
        }

        return $job->kind === Job::ARCHIVE
            ? FileAnswer::stream(Sealed::pieces(Storage::path($job->path), SealKey::ofInstallation()), $job->title, 'application/zip')
            : FileAnswer::kept(Storage::path($job->path), $job->title, 'application/pdf');
    }

    #[Removes('jobs/{job}', 'forgetJob', 'Forget what was made', '', '[Job]', 'Interchange')]
    public function forget(Job $job, ForgetJob $forget, #[CurrentUser] User $user): JsonResponse
    {
        $this->assertTheirs($job, $user);
        $forget->handle($job);

        return $this->index($user);
    }

    /** @throws NotFoundHttpException when it is somebody else's, or more than they may have by now */
    private function assertTheirs(Job $job, User $user): void
    {
        if ($job->user_id !== $user->id || ($job->kind === Job::ARCHIVE && ! $user->can(Permission::RunOffice->value))) {
            throw new NotFoundHttpException('There is nothing of yours here.');
        }
    }
}
