<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use App\Actions\Records\RevealPrivate;
use App\Http\Data\Records\RevealedData;
use App\Http\OpenApi\Adds;
use App\Http\Requests\Records\RevealRequest;
use App\Models\Engagement;
use App\Models\Party;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Tells private values; each time is written into the log. */
final readonly class PrivateController
{
    #[
        OA\Post(
            path: '/api/parties/{id}/reveal',
            operationId: 'reveal',
            summary: 'Tell a private value, and write into the log that it was told',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/RevealInput')),
            tags: ['Records'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(response: 200, description: 'The value', content: new OA\JsonContent(ref: '#/components/schemas/Revealed')),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function __invoke(RevealRequest $request, Party $party, RevealPrivate $reveal, #[CurrentUser] User $user): JsonResponse
    {
        $field = $request->fieldId();
        $number = $request->taxNumberId();

        return new JsonResponse(new RevealedData(match (true) {
            $number !== null => $reveal->taxNumber($party, $number, $user),
            $field !== null => $reveal->detail($party, $field, $user),
            default => $reveal->birthDate($party, $user),
        }));
    }

    #[Adds(
        'engagements/{engagement}/reveal', 'revealOfEngagement',
        'Tell a secret of a detail sheet, and write into the log that it was told', 'RevealInput', 'Revealed', 'Engagements',
        200,
    )]
    public function ofEngagement(
        RevealRequest $request,
        Engagement $engagement,
        RevealPrivate $reveal,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $field = $request->fieldId();

        return new JsonResponse(new RevealedData($field === null ? '' : $reveal->detailOf($engagement, $field, $user)));
    }
}
