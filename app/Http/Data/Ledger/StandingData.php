<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** How a party stands: the computed margin of a record. */
#[OA\Schema(schema: 'Standing')]
final readonly class StandingData
{
    /** @param  list<SideStandingData>  $sides */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/SideStanding'))] public array $sides,
        #[
            OA\Property(
                description: 'Receivable less payable, in the office’s currency, where there are both.',
                ref: '#/components/schemas/Money',
                nullable: true,
            ),
        ]
        public ?MoneyData $net,
        #[OA\Property(ref: '#/components/schemas/Credit', nullable: true)]
        public ?CreditData $credit,
        #[OA\Property(description: 'Of a vendor, this year.', ref: '#/components/schemas/TaxYear', nullable: true)]
        public ?TaxYearData $taxYear,
    ) {
    }
}
