<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** The vendors that are reported for a year: those above the threshold first, then by what they were paid. */
#[OA\Schema(schema: 'TaxReport')]
final readonly class TaxReportData
{
    /** @param  list<TaxReportRowData>  $rows */
    public function __construct(
        #[OA\Property]
        public int $year,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $threshold,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/TaxReportRow'))]
        public array $rows,
        #[OA\Property(description: 'Of those above the threshold, how many lack something.')]
        public int $lacking,
    ) {
    }
}
