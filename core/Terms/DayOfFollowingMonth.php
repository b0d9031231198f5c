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
            Bounds::dayOfMonth($day),
            Bounds::months($monthsOn, 1),
            $cutoff === null ? null : Bounds::dayOfMonth($cutoff),
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
        $target = sprintf('the %s of %s', Words::ordinal($this->day), $month)
            .Words::shortened($this->day, $this->dueFor($documentDate));

        return $this->isPastCutoff($documentDate)
            ? sprintf('%s is after the cutoff on the %s, so %s', $documentDate->toText(), Words::ordinal((int) $this->cutoff), $target)
            : $target;
    }

    public function toShorthand(): string
    {
        return Words::ordinal($this->day).' prox'
            .($this->monthsOn === 1 ? '' : ' + '.Words::count($this->monthsOn - 1, 'month'))
            .($this->cutoff === null ? '' : ' cutoff '.$this->cutoff);
    }

    private function isPastCutoff(Day $documentDate): bool
    {
        return $this->cutoff !== null && $documentDate->day > $this->cutoff;
    }
}
