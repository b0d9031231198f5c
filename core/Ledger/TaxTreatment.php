<?php

declare(strict_types=1);

namespace Almanac\Ledger;

/** What the amounts of a document say about the tax on them. */
enum TaxTreatment: string
{
    case Exclusive = 'exclusive';
    case Inclusive = 'inclusive';
    case None = 'none';

    public function words(): string
    {
        return match ($this) {
            self::Exclusive => 'amounts exclude tax',
            self::Inclusive => 'amounts include tax',
            self::None => 'no tax',
        };
    }
}
