<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** A statement of account on one side in one currency, and what is open at its end. */
#[OA\Schema(schema: 'Statement')]
final readonly class StatementData
{
    /**
     * @param list<StatementLineData> $lines
     * @param list<DocumentRowData> $open
     * @param list<AgeingBucketData> $ageing
     */
    public function __construct(
        #[OA\Property]
        public string $currency,
        #[OA\Property(description: 'As in 1 Jan 2026 to 24 Nov 2026.')]
        public string $period,
        #[OA\Property]
        public string $toText,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $opening,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/StatementLine'))]
        public array $lines,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $closing,
        #[OA\Property(description: 'What is open today.', items: new OA\Items(ref: '#/components/schemas/DocumentRow'))]
        public array $open,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/AgeingBucket'))]
        public array $ageing,
    ) {
    }
}
