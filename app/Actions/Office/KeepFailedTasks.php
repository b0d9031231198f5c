<?php

declare(strict_types=1);

namespace App\Actions\Office;

use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Background tasks that failed for good: run again, or dismissed. */
final readonly class KeepFailedTasks
{
    /** @throws NotFoundHttpException when somebody has retried or dismissed it meanwhile */
    public function retry(int $id): void
    {
        DB::transaction(function () use ($id): void {
            $task = $this->taken($id);
            // As it was queued at first; it counts its attempts anew.
            DB::table('queued_work')->insert([
                'queue' => $task->queue, 'payload' => $task->payload, 'attempts' => 0, 'reserved_at' => null,
                'available_at' => time(), 'created_at' => time(),
            ]);
        });
    }

    /** @throws NotFoundHttpException */
    public function dismiss(int $id): void
    {
        DB::transaction(fn () => $this->taken($id));
    }

    private function taken(int $id): \stdClass
    {
        $task = DB::table('failed_jobs')->find($id);
        if (! $task instanceof \stdClass || DB::table('failed_jobs')->delete($id) === 0) {
            throw new NotFoundHttpException('That task was retried or dismissed already.');
        }

        return $task;
    }
}
