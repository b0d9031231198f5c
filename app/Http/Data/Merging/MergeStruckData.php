<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use OpenApi\Attributes as OA;

/** What a record said that was not taken over. */
#[OA\Schema(schema: 'MergeStruck')]
final readonly class MergeStruckData
{
    public function __construct(
        #[OA\Property(description: 'Of which record.')]
        public int $partyId,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $text,
    ) {
    }
}
