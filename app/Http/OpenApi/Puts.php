<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use OpenApi\Attributes as OA;

/** A route that changes something. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Puts extends OA\Put
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
