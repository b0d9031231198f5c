<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** What a vendor was paid in a calendar year, as the tax report counts it. */
#[OA\Schema(schema: 'TaxYear')]
final readonly class TaxYearData
{
    /** @param  list<string>  $missing */
    public function __construct(
        #[OA\Property]
        public int $year,
        #[OA\Property]
        public bool $isReportable,
        #[OA\Property]
        public string $why,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $paid,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $threshold,
        #[OA\Property]
        public bool $isAbove,
        #[OA\Property(description: 'Warnings such as a missing number.', items: new OA\Items(type: 'string'))]
        public array $missing,
    ) {
    }
}
