<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Ledger\TaxGroup;
use Almanac\Ledger\Totals;
use OpenApi\Attributes as OA;

/** What the lines come to. */
#[OA\Schema(schema: 'Totals')]
final readonly class TotalsData
{
    /** @param  list<TaxGroupData>  $taxes */
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $net,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/TaxGroup'))]
        public array $taxes,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $gross,
    ) {
    }

    public static function of(Totals $totals): self
    {
        return new self(
            MoneyData::of($totals->net),
            array_map(fn (TaxGroup $group) => TaxGroupData::of($group), $totals->groups),
            MoneyData::of($totals->gross),
        );
    }
}
