<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use OpenApi\Attributes as OA;

/** One thing that a line changes. */
#[OA\Schema(schema: 'ImportChange')]
final readonly class ImportChangeData
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $to,
    ) {
    }
}
