<?php

declare(strict_types=1);

namespace App\Http\Controllers\Office;

use App\Actions\Office\KeepFailedTasks;
use App\Http\Data\Office\FailedTaskData;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use Illuminate\Http\JsonResponse;

/** Background tasks that failed; for administrators. */
final readonly class FailedTasksController
{
    public function __construct(private KeepFailedTasks $keep)
    {
    }

    #[Reads('office/failed-tasks', 'listFailedTasks', 'Background tasks that failed, the newest first', '[FailedTask]', 'Office')]
    public function index(): JsonResponse
    {
        return new JsonResponse(FailedTaskData::all());
    }

    #[Adds('office/failed-tasks/{task}/retry', 'retryFailedTask', 'Run a background task again', '', '[FailedTask]', 'Office', 200)]
    public function retry(int $task): JsonResponse
    {
        $this->keep->retry($task);

        return $this->index();
    }

    #[Removes('office/failed-tasks/{task}', 'dismissFailedTask', 'Dismiss a background task that failed', '', '[FailedTask]', 'Office')]
    public function dismiss(int $task): JsonResponse
    {
        $this->keep->dismiss($task);

        return $this->index();
    }
}
