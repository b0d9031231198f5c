<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use App\Http\Requests\ShapedRequest;
use OpenApi\Attributes as OA;

/** A route that only reads. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Reads extends OA\Get
{
    /** @param  array<string, string>|class-string<ShapedRequest>  $query types by name, or the request that says it */
    public function __construct(string $path, string $operationId, string $summary, string $schema, string $tag, array|string $query = [])
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
