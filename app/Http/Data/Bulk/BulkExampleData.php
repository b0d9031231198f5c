<?php

declare(strict_types=1);

namespace App\Http\Data\Bulk;

use OpenApi\Attributes as OA;

/** What a bulk change would do to one record. */
#[OA\Schema(schema: 'BulkExample')]
final readonly class BulkExampleData
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'What changes, as in "Looked after by".')]
        public string $label,
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $to,
        #[OA\Property(description: 'Why it cannot be; empty where it can.')]
        public string $refusal,
    ) {
    }
}
