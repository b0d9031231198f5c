<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use OpenApi\Attributes as OA;

/** The contract of saving a section, which is the same for all of them but for what is sent. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class SavesSection extends OA\Put
{
    public function __construct(string $section, string $operationId, string $input)
    {
        parent::__construct(
            path: '/api/parties/{id}/'.$section,
            operationId: $operationId,
            summary: 'Save the section '.$section,
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/'.$input)),
            tags: ['Records'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 200,
                    description: 'Saved; the whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
                new OA\Response(
                    response: 409,
                    description: 'Saved by somebody else since that version',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        );
    }
}
