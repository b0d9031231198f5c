<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Money\Money;
use Almanac\Money\Percent;

/** What is taxed at one rate, and the tax on it. */
final readonly class TaxGroup
{
    /** @internal made by Totals */
    public function __construct(public Percent $rate, public Money $taxable, public Money $tax)
    {
    }
}
