<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use OpenApi\Attributes as OA;

/** How many lines of a file come to the same. */
#[OA\Schema(schema: 'ImportCount')]
final readonly class ImportCountData
{
    public function __construct(
        #[OA\Property]
        public string $outcome,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $count,
    ) {
    }
}
