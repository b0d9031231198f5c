<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use App\Actions\Records\AddParty;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Lists\ListQuery;
use App\Http\Requests\Records\AddPartyRequest;
use App\Http\Requests\Records\StreamRequest;
use App\Models\Party;
use App\Models\User;
use App\Queries\Records\ListParties;
use App\Queries\Records\ReadChanges;
use App\Queries\Records\ReadRecord;
use App\Queries\Records\ReadStream;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final readonly class PartyController
{
    #[Reads(
        'parties', 'listParties', 'The directory: those that a sentence asks for, in any order', 'PartyPage', 'Records',
        ListQuery::class,
    )]
    public function index(ListQuery $query, ListParties $list, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($list->handle($query->listed(), $user));
    }

    #[
        OA\Post(
            path: '/api/parties',
            operationId: 'addParty',
            summary: 'Add a person or a company',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/PartyInput')),
            tags: ['Records'],
            responses: [
                new OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: '#/components/schemas/Record')),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function store(AddPartyRequest $request, AddParty $add, ReadRecord $read, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array<string, mixed> $input */
        $input = $request->validated();

        return new JsonResponse($read->handle($add->handle($input, $user)), 201);
    }

    #[OA\Get(path: '/api/parties/{id}', operationId: 'readRecord', summary: 'A whole record', tags: ['Records'], parameters: [
        new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(response: 200, description: 'The record', content: new OA\JsonContent(ref: '#/components/schemas/Record')),
        new OA\Response(response: 'default', description: 'Not found', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function show(Party $party, ReadRecord $read): JsonResponse
    {
        return new JsonResponse($read->handle($party));
    }

    #[
        OA\Get(
            path: '/api/parties/{id}/changes',
            operationId: 'readChanges',
            summary: 'The log of a record: entries and changes in one stream',
            tags: ['Records'],
            parameters: [
                new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
                new OA\Parameter(name: 'before', in: 'query', schema: new OA\Schema(type: 'integer')),
                new OA\Parameter(name: 'show', in: 'query', schema: new OA\Schema(type: 'string', enum: ['all', 'entries', 'changes'])),
            ],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The newest first',
                    content: new OA\JsonContent(ref: '#/components/schemas/Changes'),
                ),
            ],
        ),
    ]
    public function changes(Party $party, Request $request, ReadChanges $read): JsonResponse
    {
        return new JsonResponse($read->handle(
            $party,
            $request->has('before') ? $request->integer('before') : null,
            match ($request->string('show')->value()) {
                'entries' => 'entries',
                'changes' => 'changes',
                default => 'all',
            },
        ));
    }

    #[Reads('parties/{id}/stream', 'readStream', 'The history of a record in one stream', 'Stream', 'Records', StreamRequest::class)]
    public function stream(StreamRequest $request, Party $party, ReadStream $read): JsonResponse
    {
        return new JsonResponse($read->handle($party, $request->filter(), $request->before(), $request->withPeople()));
    }
}
