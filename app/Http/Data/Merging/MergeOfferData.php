<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use OpenApi\Attributes as OA;

/** What one record says of something that can be said once. */
#[OA\Schema(schema: 'MergeOffer')]
final readonly class MergeOfferData
{
    public function __construct(
        #[OA\Property]
        public int $partyId,
        #[OA\Property(description: 'For reading; empty where it says nothing.')]
        public string $text,
        #[OA\Property(description: 'The first record that says the same.')]
        public int $sameAsId,
    ) {
    }
}
