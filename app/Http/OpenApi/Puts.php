<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use OpenApi\Attributes as OA;

/** A route that changes something. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Puts extends OA\Put
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
