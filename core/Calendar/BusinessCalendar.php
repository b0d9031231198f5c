<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/** Which days are business days: not a weekend day, not a holiday. */
final readonly class BusinessCalendar
{
    /** @param  list<Weekday>  $weekend */
    private function __construct(private array $weekend, private Holidays $holidays)
    {
    }

    /**
     * @param list<Weekday> $weekend
     *
     * @throws \InvalidArgumentException when every day of the week is a weekend day
     */
    public static function with(
        Holidays $holidays,
        array $weekend = [Weekday::Saturday, Weekday::Sunday],
    ): self {
        if (count(array_unique(array_map(fn (Weekday $day) => $day->value, $weekend))) > 6) {
            throw new \InvalidArgumentException('A week needs at least one business day.');
        }

        return new self($weekend, $holidays);
    }

    public function isBusinessDay(Day $day): bool
    {
        return $this->reasonClosed($day) === null;
    }

    /** Why there is no business that day ("a Sunday", "Thanksgiving Day"), or null. */
    public function reasonClosed(Day $day): ?string
    {
        if (in_array($day->weekday(), $this->weekend, true)) {
            return 'a '.$day->weekday()->name;
        }

        return $this->holidays->nameOf($day);
    }

    /** The day itself when it is a business day; otherwise where the convention moves it. */
    public function roll(Day $day, Roll $roll): Day
    {
        return match ($roll) {
            Roll::None => $day,
            Roll::Next => $this->seek($day, 1),
            Roll::Previous => $this->seek($day, -1),
            Roll::NextWithinMonth => $this->seekWithinMonth($day),
        };
    }

    private function seekWithinMonth(Day $day): Day
    {
        $next = $this->seek($day, 1);

        return $next->sharesMonthWith($day) ? $next : $this->seek($day, -1);
    }

    private function seek(Day $day, int $step): Day
    {
        while (! $this->isBusinessDay($day)) {
            $day = $day->plusDays($step);
        }

        return $day;
    }
}
