<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** What a list comes to in one currency. */
#[OA\Schema(schema: 'LedgerSum')]
final readonly class SumData
{
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $total,
        #[OA\Property(description: 'Of documents: still open; of payments: not used yet.', ref: '#/components/schemas/Money')]
        public MoneyData $open,
        #[OA\Property(description: 'Without tax.', ref: '#/components/schemas/Money')]
        public MoneyData $net,
    ) {
    }
}
