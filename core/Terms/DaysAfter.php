<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;

/** So many days after the document's date: net 30. */
final readonly class DaysAfter implements DueRule
{
    private function __construct(public int $days)
    {
    }

    /** @throws TermsRefused when the days are not in 0 to 3650 */
    public static function of(int $days): self
    {
        return new self(TermsLimits::days($days));
    }

    public function dueFor(Day $documentDate): Day
    {
        return $documentDate->plusDays($this->days);
    }

    public function explain(Day $documentDate): string
    {
        return sprintf('%s, plus %s,', $documentDate->toText(), TermsWording::count($this->days, 'day'));
    }

    public function toShorthand(): string
    {
        return 'net '.$this->days;
    }
}
