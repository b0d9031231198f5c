<?php

declare(strict_types=1);

namespace App\Http\Controllers\Finding;

use Almanac\Records\PartyKind;
use App\Http\Data\Finding\FoundData;
use App\Queries\Engagements\ListEngagements;
use App\Queries\Finding\FindRecords;
use App\Queries\Finding\FindScope;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

final readonly class FindController
{
    private const LONGEST = 200;

    #[
        OA\Get(
            path: '/api/find',
            operationId: 'find',
            summary: 'Find records by whatever is known of them',
            tags: ['Records'],
            parameters: [
                new OA\Parameter(name: 'q', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
                new OA\Parameter(
                    name: 'archived',
                    description: 'False leaves archived records out.',
                    in: 'query',
                    schema: new OA\Schema(type: 'boolean'),
                ),
                new OA\Parameter(
                    name: 'engagements',
                    description: 'Cases and projects too.',
                    in: 'query',
                    schema: new OA\Schema(type: 'boolean'),
                ),
                new OA\Parameter(name: 'kind', in: 'query', schema: new OA\Schema(type: 'string', enum: PartyKind::class)),
            ],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The best first, at most twelve',
                    content: new OA\JsonContent(ref: '#/components/schemas/Found'),
                ),
            ],
        ),
    ]
    public function __invoke(Request $request, FindRecords $find, ListEngagements $engagements): JsonResponse
    {
        $typed = $request->string('q')->value();
        $asked = Str::limit($typed, self::LONGEST, '');
        $scope = new FindScope(
            PartyKind::tryFrom($request->string('kind')->value()),
            $request->boolean('archived', true),
        );

        return new JsonResponse(new FoundData(
            $typed,
            $find->handle($asked, $scope),
            $request->boolean('engagements') ? $engagements->found($asked) : [],
        ));
    }
}
