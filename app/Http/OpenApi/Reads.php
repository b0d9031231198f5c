<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use OpenApi\Attributes as OA;

/** A route that only reads. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Reads extends OA\Get
{
    /** @param  array<string, string>  $query types by name */
    public function __construct(string $path, string $operationId, string $summary, string $schema, string $tag, array $query = [])
    {
        parent::__construct(
            path: '/api/'.$path,
            operationId: $operationId,
            summary: $summary,
            tags: [$tag],
            parameters: Described::parameters($path, $query),
            responses: Described::responses($schema),
        );
    }
}
