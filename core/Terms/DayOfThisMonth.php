<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;

/** A day of the document's month; once it is past, the same day of the next month. */
final readonly class DayOfThisMonth implements DueRule
{
    private function __construct(public int $day)
    {
    }

    /** @throws TermsRefused when the day is not in 1 to 31 */
    public static function of(int $day): self
    {
        return new self(TermsLimits::dayOfMonth($day));
    }

    public function dueFor(Day $documentDate): Day
    {
        $thisMonth = $documentDate->inMonth(0, $this->day);

        return $thisMonth->isBefore($documentDate) ? $documentDate->inMonth(1, $this->day) : $thisMonth;
    }

    public function explain(Day $documentDate): string
    {
        $ordinal = TermsWording::ordinal($this->day);
        if ($documentDate->inMonth(0, $this->day)->isBefore($documentDate)) {
            return sprintf('the %s is past on %s, so the %s of the next month', $ordinal, $documentDate->toText(), $ordinal);
        }

        return sprintf('the %s of the document’s month', $ordinal).TermsWording::shortened($this->day, $this->dueFor($documentDate));
    }

    public function toShorthand(): string
    {
        return TermsWording::ordinal($this->day).' of this month';
    }
}
