<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;

/**
 * A day of a following month: 10th prox. A document dated after the cutoff counts as one of
 * the month after its own.
 */
final readonly class DayOfFollowingMonth implements DueRule
{
    private function __construct(public int $day, public int $monthsOn, public ?int $cutoff)
    {
    }

    /**
     * @param int|null $cutoff last day of the month whose documents still count for it
     *
     * @throws TermsRefused when the day or the cutoff is not in 1 to 31, or the months not in 1 to 120
     */
    public static function of(int $day, int $monthsOn = 1, ?int $cutoff = null): self
    {
        return new self(
            TermsLimits::dayOfMonth($day),
            TermsLimits::months($monthsOn, 1),
            $cutoff === null ? null : TermsLimits::dayOfMonth($cutoff),
        );
    }

    public function dueFor(Day $documentDate): Day
    {
        return $documentDate->inMonth($this->monthsOn + ($this->isPastCutoff($documentDate) ? 1 : 0), $this->day);
    }

    public function explain(Day $documentDate): string
    {
        $months = $this->monthsOn + ($this->isPastCutoff($documentDate) ? 1 : 0);
        $month = $months === 1 ? 'the following month' : sprintf('the month %d months on', $months);
        $target = sprintf('the %s of %s', TermsWording::ordinal($this->day), $month)
            .TermsWording::shortened($this->day, $this->dueFor($documentDate));

        return $this->isPastCutoff($documentDate)
            ? sprintf(
                '%s is after the cutoff on the %s, so %s', $documentDate->toText(),
                TermsWording::ordinal((int) $this->cutoff), $target,
            )
            : $target;
    }

    public function toShorthand(): string
    {
        return TermsWording::ordinal($this->day).' prox'
            .($this->monthsOn === 1 ? '' : ' + '.TermsWording::count($this->monthsOn - 1, 'month'))
            .($this->cutoff === null ? '' : ' cutoff '.$this->cutoff);
    }

    private function isPastCutoff(Day $documentDate): bool
    {
        return $this->cutoff !== null && $documentDate->day > $this->cutoff;
    }
}
