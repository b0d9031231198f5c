<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;

/** The same day of the month so many months later, or that month's last day: net 1 month. */
final readonly class MonthsAfter implements DueRule
{
    private function __construct(public int $months)
    {
    }

    /** @throws TermsRefused when the months are not in 1 to 120 */
    public static function of(int $months): self
    {
        return new self(TermsLimits::months($months, 1));
    }

    public function dueFor(Day $documentDate): Day
    {
        return $documentDate->plusMonths($this->months);
    }

    public function explain(Day $documentDate): string
    {
        return sprintf('%s, plus %s,', $documentDate->toText(), TermsWording::count($this->months, 'month'));
    }

    public function toShorthand(): string
    {
        return 'net '.TermsWording::count($this->months, 'month');
    }
}
