<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use App\Actions\Records\ReplacePerson;
use App\Http\Requests\Records\ReplaceRequest;
use App\Models\Position;
use App\Models\User;
use App\Queries\Records\ReadRecord;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Somebody at a company is followed by somebody else. */
final readonly class ReplaceController
{
    #[
        OA\Post(
            path: '/api/positions/{position}/replace',
            operationId: 'replacePerson',
            summary: 'End one position and begin the next, with its duties and, where wanted, phone and mailbox',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/ReplaceInput')),
            tags: ['Records'],
            parameters: [new OA\Parameter(name: 'position', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The whole record of the company',
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
    public function __invoke(
        ReplaceRequest $request,
        Position $position,
        ReplacePerson $replace,
        ReadRecord $read,
        #[CurrentUser] User $user,
    ): JsonResponse {
        /** @var array{successorId: int, since: string, contactPointIds: list<int>} $input */
        $input = $request->validated();
        $replace->handle($position, $input, $user);

        return new JsonResponse($read->handle($position->company));
    }
}
