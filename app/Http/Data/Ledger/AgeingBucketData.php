<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** What is open of one age. */
#[OA\Schema(schema: 'AgeingBucket')]
final readonly class AgeingBucketData
{
    public function __construct(
        #[OA\Property(enum: ['not-due', '1-30', '31-60', '61-90', 'over-90'])]
        public string $bucket,
        #[OA\Property]
        public string $title,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $amount,
        #[OA\Property(description: 'Percent of the whole, for drawing.')]
        public int $share,
    ) {
    }
}
