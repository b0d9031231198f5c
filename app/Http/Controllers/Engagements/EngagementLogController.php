<?php

declare(strict_types=1);

namespace App\Http\Controllers\Engagements;

use App\Actions\Notes\WriteLogEntry;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Notes\LogEntryRequest;
use App\Http\Requests\Notes\PinRequest;
use App\Models\Engagement;
use App\Models\LogEntry;
use App\Models\User;
use App\Queries\Engagements\ReadEngagement;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** What people write into the log of a case or a project. */
final readonly class EngagementLogController
{
    public function __construct(private WriteLogEntry $log, private ReadEngagement $read)
    {
    }

    #[Adds('engagements/{engagement}/entries', 'writeEngagementEntry', 'Write a note, call, email, meeting or letter', 'LogEntryInput', 'Engagement', 'Engagements')]
    public function write(LogEntryRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{kind: string, day: string, withPartyId: int|null, text: string, isPinned: bool} $input */
        $input = $request->validated();
        $this->log->write($engagement, $input, $user);

        return new JsonResponse($this->read->handle($engagement), 201);
    }

    #[Puts('engagements/{engagement}/entries/{logEntry}', 'pinEngagementEntry', 'Pin an entry to the head of it, or take it down', 'PinInput', 'Engagement', 'Engagements')]
    public function pin(PinRequest $request, Engagement $engagement, LogEntry $logEntry): JsonResponse
    {
        $this->log->pin($logEntry, $request->boolean('isPinned'));

        return new JsonResponse($this->read->handle($engagement));
    }

    #[Removes('engagements/{engagement}/entries/{logEntry}', 'removeEngagementEntry', 'Remove an entry; what it said stays in the log', '', 'Engagement', 'Engagements')]
    public function remove(Engagement $engagement, LogEntry $logEntry, #[CurrentUser] User $user): JsonResponse
    {
        $this->log->remove($engagement, $logEntry, $user);

        return new JsonResponse($this->read->handle($engagement));
    }
}
