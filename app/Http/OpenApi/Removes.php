<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use OpenApi\Attributes as OA;

/** A route that takes something away. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Removes extends OA\Delete
{
    public function __construct(string $path, string $operationId, string $summary, string $input, string $schema, string $tag, int $status = 200)
    {
        $body = Described::body($input);
        parent::__construct(...[
            'path' => '/api/'.$path,
            'operationId' => $operationId,
            'summary' => $summary,
            'tags' => [$tag],
            'parameters' => Described::parameters($path),
            'responses' => Described::responses($schema, $status),
            ...($body === null ? [] : ['requestBody' => $body]),
        ]);
    }
}
