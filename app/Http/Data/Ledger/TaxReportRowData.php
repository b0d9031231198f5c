<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Http\Data\Records\PartyLinkData;
use OpenApi\Attributes as OA;

/** A vendor in the tax report. */
#[OA\Schema(schema: 'TaxReportRow')]
final readonly class TaxReportRowData
{
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/PartyLink')]
        public PartyLinkData $party,
        #[OA\Property(description: 'Kind and last signs; empty while there is none.')]
        public string $number,
        #[OA\Property(description: 'When form W-9 came in; empty while it has not.')]
        public string $formText,
        #[OA\Property(ref: '#/components/schemas/TaxYear')]
        public TaxYearData $year,
    ) {
    }
}
