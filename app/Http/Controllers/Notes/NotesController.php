<?php

declare(strict_types=1);

namespace App\Http\Controllers\Notes;

use App\Actions\Notes\SetCaution;
use App\Actions\Notes\WriteLogEntry;
use App\Http\Requests\Notes\CautionRequest;
use App\Http\Requests\Notes\LogEntryRequest;
use App\Http\Requests\Notes\PinRequest;
use App\Models\Caution;
use App\Models\LogEntry;
use App\Models\Party;
use App\Models\User;
use App\Queries\Records\ReadRecord;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The working notes on a record: log entries and cautions. */
final readonly class NotesController
{
    public function __construct(private WriteLogEntry $log, private SetCaution $cautions, private ReadRecord $read)
    {
    }

    #[
        OA\Post(
            path: '/api/parties/{id}/entries',
            operationId: 'writeLogEntry',
            summary: 'Write a note, call, email, meeting or letter',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/LogEntryInput')),
            tags: ['Notes'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Written; the whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function write(LogEntryRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{kind: string, day: string, withPartyId: int|null, text: string, isPinned: bool} $input */
        $input = $request->validated();
        $this->log->write($party, $input, $user);

        return new JsonResponse($this->read->handle($party), 201);
    }

    #[
        OA\Put(
            path: '/api/parties/{id}/entries/{logEntry}',
            operationId: 'pinLogEntry',
            summary: 'Pin a log entry to the head of the record, or take it down',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/PinInput')),
            tags: ['Notes'],
            parameters: [
                new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
                new OA\Parameter(name: 'logEntry', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
            ],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
            ],
        ),
    ]
    public function pin(PinRequest $request, Party $party, LogEntry $logEntry): JsonResponse
    {
        $this->log->pin($logEntry, $request->boolean('isPinned'));

        return new JsonResponse($this->read->handle($party));
    }

    #[
        OA\Delete(
            path: '/api/parties/{id}/entries/{logEntry}',
            operationId: 'removeLogEntry',
            summary: 'Remove a log entry; what it said stays in the change log',
            tags: ['Notes'],
            parameters: [
                new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
                new OA\Parameter(name: 'logEntry', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
            ],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
            ],
        ),
    ]
    public function remove(Party $party, LogEntry $logEntry, #[CurrentUser] User $user): JsonResponse
    {
        $this->log->remove($party, $logEntry, $user);

        return new JsonResponse($this->read->handle($party));
    }

    #[
        OA\Post(
            path: '/api/parties/{id}/cautions',
            operationId: 'setCaution',
            summary: 'Put a caution on a record',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/CautionInput')),
            tags: ['Notes'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Set; the whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function caution(CautionRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{level: string, use: string, text: string, since: string, until: string} $input */
        $input = $request->validated();
        $this->cautions->set($party, $input, $user);

        return new JsonResponse($this->read->handle($party), 201);
    }

    #[
        OA\Delete(
            path: '/api/parties/{id}/cautions/{caution}',
            operationId: 'liftCaution',
            summary: 'Lift a caution; a stop only by its author or an administrator',
            tags: ['Notes'],
            parameters: [
                new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
                new OA\Parameter(name: 'caution', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
            ],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Lifted; the whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function lift(Party $party, Caution $caution, #[CurrentUser] User $user): JsonResponse
    {
        $this->cautions->lift($party, $caution, $user);

        return new JsonResponse($this->read->handle($party));
    }
}
