<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use App\Models\Party;
use App\Queries\Records\ListLikelyRelations;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Who is likely to be related. */
final readonly class LikelyRelationsController
{
    #[
        OA\Get(
            path: '/api/parties/{id}/likely-relations',
            operationId: 'listLikelyRelations',
            summary: 'Who is likely to be related: at the same address, or of the same family name',
            tags: ['Records'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Those at the same address first',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/PartyRow')),
                ),
            ],
        ),
    ]
    public function index(Party $party, ListLikelyRelations $list): JsonResponse
    {
        return new JsonResponse($list->handle($party));
    }
}
