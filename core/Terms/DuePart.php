<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;
use Almanac\Money\Percent;

/** What is due on one day, and how the day came about. */
final readonly class DuePart
{
    /** @internal made by PaymentTerms */
    public function __construct(
        public Percent $percent,
        public Day $due,
        public string $sentence,
    ) {
    }
}
