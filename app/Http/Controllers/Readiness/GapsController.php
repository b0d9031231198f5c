<?php

declare(strict_types=1);

namespace App\Http\Controllers\Readiness;

use App\Queries\Readiness\ListGaps;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final readonly class GapsController
{
    #[
        OA\Get(
            path: '/api/gaps',
            operationId: 'listGaps',
            summary: 'Records that lack something for a purpose',
            tags: ['Readiness'],
            parameters: [new OA\Parameter(name: 'page', in: 'query', schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Those that lack most first',
                    content: new OA\JsonContent(ref: '#/components/schemas/GapPage'),
                ),
            ],
        ),
    ]
    public function __invoke(Request $request, ListGaps $list): JsonResponse
    {
        return new JsonResponse($list->handle($request->integer('page', 1)));
    }
}
