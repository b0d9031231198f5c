<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** One line of a statement. */
#[OA\Schema(schema: 'StatementLine')]
final readonly class StatementLineData
{
    public function __construct(
        #[OA\Property]
        public string $dayText,
        #[OA\Property]
        public string $what,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $amount,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $balance,
    ) {
    }
}
