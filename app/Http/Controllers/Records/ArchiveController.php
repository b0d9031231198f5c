<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use App\Actions\Records\ArchiveParty;
use App\Actions\Records\DeleteParty;
use App\Http\Requests\Records\ArchiveRequest;
use App\Models\Party;
use App\Models\User;
use App\Queries\Records\ReadRecord;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** The end of a record's life, and its return. */
final readonly class ArchiveController
{
    public function __construct(private ArchiveParty $archive, private ReadRecord $read)
    {
    }

    #[
        OA\Put(
            path: '/api/parties/{id}/archive',
            operationId: 'archiveRecord',
            summary: 'Take a record out of use',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/ArchiveInput')),
            tags: ['Records'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Archived; the whole record',
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
    public function store(ArchiveRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        $this->archive->archive($party, $request->string('reason')->value(), $user);

        return new JsonResponse($this->read->handle($party));
    }

    #[
        OA\Delete(
            path: '/api/parties/{id}/archive',
            operationId: 'restoreRecord',
            summary: 'Take an archived record back into use',
            tags: ['Records'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Restored; the whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
            ],
        ),
    ]
    public function restore(Party $party, #[CurrentUser] User $user): JsonResponse
    {
        $this->archive->restore($party, $user);

        return new JsonResponse($this->read->handle($party));
    }

    #[
        OA\Delete(
            path: '/api/parties/{id}',
            operationId: 'deleteRecord',
            summary: 'Delete a record that nothing refers to',
            tags: ['Records'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(response: 204, description: 'Deleted'),
                new OA\Response(
                    response: 'default',
                    description: 'Something refers to it',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function destroy(Party $party, DeleteParty $delete, #[CurrentUser] User $user): Response
    {
        $delete->handle($party, $user);

        return new Response(status: 204);
    }
}
