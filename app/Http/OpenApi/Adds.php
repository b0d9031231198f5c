<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use OpenApi\Attributes as OA;

/** A route that adds something, or does something to it. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final class Adds extends OA\Post
{
    public function __construct(
        string $path,
        string $operationId,
        string $summary,
        string $input,
        string $schema,
        string $tag,
        int $status = 201,
    ) {
        parent::__construct(...Described::taking($path, $operationId, $summary, $input, $schema, $tag, $status));
    }
}
