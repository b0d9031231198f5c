<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ledger;

use App\Actions\Ledger\MakeStatement;
use App\Http\Data\Ledger\JobData;
use App\Http\FileAnswer;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Ledger\StatementRequest;
use App\Models\Job;
use App\Models\Party;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Long statements that are put on paper behind the screen, each for who asked for it. */
final readonly class JobsController
{
    public function __construct(private MakeStatement $make)
    {
    }

    #[Adds('parties/{id}/statement', 'makeStatement', 'Make a long statement as PDF behind the screen', 'StatementInput', 'Job', 'Ledger')]
    public function begin(StatementRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(JobData::of($this->make->begin($party, $request->period(), $user)), 201);
    }

    #[Reads('jobs', 'listJobs', 'What is made for me behind the screen, the newest first', '[Job]', 'Ledger')]
    public function index(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(
            array_values(
                Job::query()
                    ->where('user_id', $user->id)
                    ->orderByDesc('id')
                    ->limit(20)
                    ->get()
                    ->map(fn (Job $job) => JobData::of($job))
                    ->all(),
            ),
        );
    }

    #[Reads('jobs/{job}/file', 'readJobFile', 'What was made', '', 'Ledger')]
    public function file(Job $job, #[CurrentUser] User $user): Response
    {
        $this->assertTheirs($job, $user);
        $content = $job->path === null ? null : Storage::get($job->path);

        return is_string($content)
            ? FileAnswer::answer($content, $job->title, 'application/pdf')
            : throw new NotFoundHttpException('That is not ready, or is no longer kept. Make it again.');
    }

    #[Removes('jobs/{job}', 'forgetJob', 'Forget what was made', '', '[Job]', 'Ledger')]
    public function forget(Job $job, #[CurrentUser] User $user): JsonResponse
    {
        $this->assertTheirs($job, $user);
        $this->make->forget($job);

        return $this->index($user);
    }

    private function assertTheirs(Job $job, User $user): void
    {
        if ($job->user_id !== $user->id) {
            throw new NotFoundHttpException('There is nothing of yours here.');
        }
    }
}
