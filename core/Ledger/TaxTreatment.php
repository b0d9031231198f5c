<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Titled;

/** What the amounts of a document say about the tax on them. */
enum TaxTreatment: string implements Titled
{
    case Exclusive = 'exclusive';
    case Inclusive = 'inclusive';
    case None = 'none';

    public function title(): string
    {
        return match ($this) {
            self::Exclusive => 'amounts exclude tax',
            self::Inclusive => 'amounts include tax',
            self::None => 'no tax',
        };
    }
}
