<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;
use Almanac\Money\Percent;

/** So many percent off for paying within some days of the document's date, or of its month's end. */
final readonly class Discount
{
    private function __construct(
        public Percent $percent,
        public int $days,
        public bool $fromMonthEnd,
    ) {
    }

    /** @throws TermsRefused when it is 0% or 100%, or the days are not in 0 to 3650 */
    public static function of(Percent $percent, int $days, bool $fromMonthEnd = false): self
    {
        if ($percent->isZero() || $percent->value->isEqualTo(100)) {
            throw TermsRefused::emptyDiscount();
        }

        return new self($percent, TermsLimits::days($days), $fromMonthEnd);
    }

    public function lastDayFor(Day $documentDate): Day
    {
        return ($this->fromMonthEnd ? $documentDate->endOfMonth() : $documentDate)->plusDays($this->days);
    }

    public function toShorthand(): string
    {
        return $this->percent.'/'.$this->days.($this->fromMonthEnd ? ' EOM' : '');
    }
}
