<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;

/** So many days after the end of the document's month: net 15 EOM. */
final readonly class DaysAfterMonthEnd implements DueRule
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
        return $documentDate->endOfMonth()->plusDays($this->days);
    }

    public function explain(Day $documentDate): string
    {
        return sprintf(
            '%s, the end of the document’s month, plus %s,',
            $documentDate->endOfMonth()->toText(),
            TermsWording::count($this->days, 'day'),
        );
    }

    public function toShorthand(): string
    {
        return sprintf('net %d EOM', $this->days);
    }
}
