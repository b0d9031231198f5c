<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use OpenApi\Attributes as OA;

/** What a column of a file can be said to be. */
#[OA\Schema(schema: 'ImportTarget')]
final readonly class ImportTargetData
{
    public function __construct(
        #[OA\Property]
        public string $target,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $group,
    ) {
    }
}
