<?php

declare(strict_types=1);

namespace App\Http\Controllers\Records;

use Almanac\Names\TypedPersonName;
use App\Http\Data\Records\PersonNameData;
use App\Validation\FieldProblems;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final readonly class NameController
{
    #[
        OA\Get(
            path: '/api/names',
            operationId: 'takeNameApart',
            summary: 'Take a person’s name apart as it was typed in one run',
            tags: ['Records'],
            parameters: [new OA\Parameter(name: 'typed', in: 'query', required: true, schema: new OA\Schema(type: 'string'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Its parts, a first guess',
                    content: new OA\JsonContent(ref: '#/components/schemas/PersonName'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function __invoke(Request $request): JsonResponse
    {
        $problems = new FieldProblems;
        $name = $problems->at('typed', fn () => TypedPersonName::read($request->string('typed')->value()));
        $problems->throwIfAny();

        return new JsonResponse($name === null ? null : PersonNameData::of($name));
    }
}
