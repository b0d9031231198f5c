<?php

declare(strict_types=1);

namespace App\Http\Controllers\Today;

use App\Models\User;
use App\Queries\Today\ReadToday;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** What needs doing. */
final readonly class TodayController
{
    public function __construct(private ReadToday $read)
    {
    }

    #[
        OA\Get(
            path: '/api/today',
            operationId: 'readToday',
            summary: 'What needs doing, for whoever asks',
            tags: ['Today'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Reminders, records touched lately, what ends or expires, gaps',
                    content: new OA\JsonContent(ref: '#/components/schemas/Today'),
                ),
            ],
        ),
    ]
    public function index(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->handle($user));
    }

    #[
        OA\Get(
            path: '/api/reminders',
            operationId: 'dueReminders',
            summary: 'The reminders whose day has come, for whoever asks',
            tags: ['Reminders'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The earliest first',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Reminder')),
                ),
            ],
        ),
    ]
    public function due(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->read->due($user));
    }
}
