<?php

declare(strict_types=1);

namespace App\Http\Controllers\Office;

use App\Http\Data\Office\NamedCodeData;
use App\Queries\Office\ReadChoices;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Symfony\Component\Intl\Countries;

final readonly class ChoicesController
{
    #[
        OA\Get(
            path: '/api/choices',
            operationId: 'readChoices',
            summary: 'What the fields of a record offer',
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Countries, labels, uses, duties, the list of terms',
                    content: new OA\JsonContent(ref: '#/components/schemas/Choices'),
                ),
            ],
        ),
    ]
    public function index(ReadChoices $read): JsonResponse
    {
        return new JsonResponse($read->handle());
    }

    #[
        OA\Get(
            path: '/api/countries',
            operationId: 'readCountries',
            summary: 'Countries by code',
            security: [],
            tags: ['Office'],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'ISO 3166-1 codes and English names',
                    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/NamedCode')),
                ),
            ],
        ),
    ]
    public function countries(): JsonResponse
    {
        return new JsonResponse(NamedCodeData::list(Countries::getNames('en')));
    }
}
