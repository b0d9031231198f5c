<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Ledger\TaxGroup;
use OpenApi\Attributes as OA;

/** What is taxed at one rate. */
#[OA\Schema(schema: 'TaxGroup')]
final readonly class TaxGroupData
{
    private function __construct(
        #[OA\Property(description: 'As in 19%.')]
        public string $rate,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $taxable,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $tax,
    ) {
    }

    public static function of(TaxGroup $group): self
    {
        return new self($group->rate->toText(), MoneyData::of($group->taxable), MoneyData::of($group->tax));
    }
}
