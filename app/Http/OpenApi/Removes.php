<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use OpenApi\Attributes as OA;

/** A route that takes something away. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Removes extends OA\Delete
{
    public function __construct(
        string $path,
        string $operationId,
        string $summary,
        string $input,
        string $schema,
        string $tag,
        int $status = 200,
    ) {
        parent::__construct(...Described::taking($path, $operationId, $summary, $input, $schema, $tag, $status));
    }
}
