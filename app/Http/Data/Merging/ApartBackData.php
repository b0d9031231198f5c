<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use OpenApi\Attributes as OA;

/** How much of something goes back to a record. */
#[OA\Schema(schema: 'ApartBack')]
final readonly class ApartBackData
{
    public function __construct(
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public int $partyId,
        #[OA\Property]
        public int $count,
    ) {
    }
}
