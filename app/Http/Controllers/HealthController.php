<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Background\WorkerLock;
use App\Backup\BackupPlan;
use App\Models\Office;
use Illuminate\Http\JsonResponse;

/** For monitors: 200 while the database, the worker and the nightly backups are well, 503 otherwise. The answer holds nothing about the office. */
final readonly class HealthController
{
    public function __construct(private BackupPlan $backups)
    {
    }

    public function __invoke(): JsonResponse
    {
        $checks = array_map(fn (\Closure $isWell) => rescue($isWell, false, false) === true ? 'ok' : 'failing', [
            'database' => fn () => Office::query()->count() < 2,
            'worker' => fn () => WorkerLock::isHeld(),
            'backup' => fn () => Office::query()->doesntExist() || $this->backups->problem() === '',
        ]);
        $isWell = ! in_array('failing', $checks, true);

        return new JsonResponse(['status' => $isWell ? 'ok' : 'failing'] + $checks, $isWell ? 200 : 503, ['Cache-Control' => 'no-store']);
    }
}
