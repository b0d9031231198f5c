<?php

declare(strict_types=1);

namespace App\Http\Controllers\Engagements;

use App\Actions\Files\KeepFiles;
use App\Actions\Notes\WriteLogEntry;
use App\Actions\Reminders\KeepReminders;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Files\AddFileRequest;
use App\Http\Requests\Notes\LogEntryRequest;
use App\Http\Requests\Notes\PinRequest;
use App\Http\Requests\Reminders\ReminderRequest;
use App\Models\Engagement;
use App\Models\LogEntry;
use App\Models\User;
use App\Queries\Engagements\ReadEngagement;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** What people write into the log of a case or a project, and what they put to it: files and reminders. */
final readonly class EngagementLogController
{
    public function __construct(
        private WriteLogEntry $log,
        private KeepReminders $reminders,
        private KeepFiles $files,
        private ReadEngagement $read,
    ) {
    }

    #[Adds(
        'engagements/{engagement}/entries', 'writeEngagementEntry', 'Write a note, call, email, meeting or letter',
        'LogEntryInput', 'Engagement', 'Engagements',
    )]
    public function write(LogEntryRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{kind: string, day: string, withPartyId: int|null, text: string, isPinned: bool} $input */
        $input = $request->validated();
        $this->log->write($engagement, $input, $user);

        return new JsonResponse($this->read->handle($engagement), 201);
    }

    #[Adds(
        'engagements/{engagement}/reminders', 'addEngagementReminder', 'Set a reminder, for oneself or a colleague',
        'ReminderInput', 'Engagement', 'Engagements',
    )]
    public function remind(ReminderRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{text: string, day: string, time: string, rule: string, userId: int} $input */
        $input = $request->validated();
        $this->reminders->add($engagement, $input, $user);

        return new JsonResponse($this->read->handle($engagement), 201);
    }

    #[OA\Post(
        path: '/api/engagements/{engagement}/files',
        operationId: 'addEngagementFile',
        summary: 'Take a file in',
        requestBody: new OA\RequestBody(
            content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(ref: '#/components/schemas/FileUpload')),
        ),
        tags: ['Engagements'],
        parameters: [new OA\Parameter(name: 'engagement', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
        responses: [
            new OA\Response(response: 201, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Engagement')),
            new OA\Response(response: 'default', description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        ],
    )]
    public function file(AddFileRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        $this->files->add($engagement, $request->upload(), $request->kind(), $user);

        return new JsonResponse($this->read->handle($engagement), 201);
    }

    #[Puts(
        'engagements/{engagement}/entries/{logEntry}', 'pinEngagementEntry',
        'Pin an entry to the head of it, or take it down', 'PinInput', 'Engagement', 'Engagements',
    )]
    public function pin(PinRequest $request, Engagement $engagement, LogEntry $logEntry): JsonResponse
    {
        $this->log->pin($logEntry, $request->boolean('isPinned'));

        return new JsonResponse($this->read->handle($engagement));
    }

    #[Removes(
        'engagements/{engagement}/entries/{logEntry}', 'removeEngagementEntry',
        'Remove an entry; what it said stays in the log', '', 'Engagement', 'Engagements',
    )]
    public function remove(Engagement $engagement, LogEntry $logEntry, #[CurrentUser] User $user): JsonResponse
    {
        $this->log->remove($engagement, $logEntry, $user);

        return new JsonResponse($this->read->handle($engagement));
    }
}
