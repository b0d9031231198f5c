<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;

/** The end of the document's month, or of a month after it: EOM, EOM + 1 month. */
final readonly class MonthEnd implements DueRule
{
    private function __construct(public int $monthsOn)
    {
    }

    /** @throws TermsRefused when the months are not in 0 to 120 */
    public static function of(int $monthsOn): self
    {
        return new self(TermsLimits::months($monthsOn, 0));
    }

    public function dueFor(Day $documentDate): Day
    {
        return $documentDate->inMonth($this->monthsOn, 31);
    }

    public function explain(Day $documentDate): string
    {
        return match ($this->monthsOn) {
            0 => 'the end of the document’s month',
            1 => 'the end of the following month',
            default => sprintf('the end of the month %d months on', $this->monthsOn),
        };
    }

    public function toShorthand(): string
    {
        return $this->monthsOn === 0 ? 'EOM' : 'EOM + '.TermsWording::count($this->monthsOn, 'month');
    }
}
