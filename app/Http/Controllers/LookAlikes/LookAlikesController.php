<?php

declare(strict_types=1);

namespace App\Http\Controllers\LookAlikes;

use App\Actions\LookAlikes\CompareNumbers;
use App\Actions\LookAlikes\NotePairs;
use App\Http\Requests\LookAlikes\LookAlikesRequest;
use App\Models\LookAlikePair;
use App\Models\User;
use App\Queries\LookAlikes\FindLookAlikes;
use App\Queries\LookAlikes\ListPairs;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final readonly class LookAlikesController
{
    #[
        OA\Post(
            path: '/api/look-alikes',
            operationId: 'findLookAlikes',
            summary: 'Kept records that may be the same as what is being entered',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/LookAlikesInput')),
            tags: ['Look-alikes'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The likeliest first',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/LookAlike')),
                ),
            ],
        ),
    ]
    public function find(LookAlikesRequest $request, FindLookAlikes $find, CompareNumbers $compare, #[CurrentUser] User $user): JsonResponse
    {
        if ($request->asksForNumbers()) {
            $compare->note($user);
        }

        return new JsonResponse($find->handle(
            $request->likeness(),
            $request->input('exceptId') === null ? null : $request->integer('exceptId'),
        ));
    }

    #[
        OA\Get(
            path: '/api/look-alikes',
            operationId: 'listLookAlikes',
            summary: 'Pairs that wait to be looked at',
            tags: ['Look-alikes'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'The oldest first',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/LookAlikePair')),
                ),
            ],
        ),
    ]
    public function index(ListPairs $list): JsonResponse
    {
        return new JsonResponse($list->handle());
    }

    #[
        OA\Delete(
            path: '/api/look-alikes/{pair}',
            operationId: 'settleLookAlikes',
            summary: 'They are two different records',
            tags: ['Look-alikes'],
            parameters: [new OA\Parameter(name: 'pair', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [new OA\Response(response: 204, description: 'Settled')],
        ),
    ]
    public function settle(LookAlikePair $pair, NotePairs $pairs, #[CurrentUser] User $user): Response
    {
        $pairs->keepApart($pair, $user);

        return new Response(status: 204);
    }
}
