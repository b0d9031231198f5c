<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/**
 * How something comes back: a recurrence rule of RFC 5545, section 3.3.10, on whole days, with
 * FREQ from DAILY to YEARLY, INTERVAL, COUNT, UNTIL, BYDAY, BYMONTHDAY and BYMONTH. Weeks begin
 * on Monday. The day it begins on is its first occurrence.
 */
final readonly class Recurrence
{
    /** What comes no more within so many years of the last time comes no more. */
    private const HORIZON = 30;

    /**
     * @param list<NthWeekday> $byDay
     * @param list<int> $byMonthDay from the month's end when negative
     * @param list<int> $byMonth
     */
    private function __construct(
        private Frequency $frequency,
        private int $interval,
        private ?int $count,
        private ?Day $until,
        private array $byDay,
        private array $byMonthDay,
        private array $byMonth,
    ) {
    }

    /**
     * @internal made by TypedRecurrence
     *
     * @param list<NthWeekday> $byDay
     * @param list<int> $byMonthDay from the month's end when negative
     * @param list<int> $byMonth
     */
    public static function of(
        Frequency $frequency,
        int $interval = 1,
        ?int $count = null,
        ?Day $until = null,
        array $byDay = [],
        array $byMonthDay = [],
        array $byMonth = [],
    ): self {
        return new self($frequency, $interval, $count, $until, $byDay, $byMonthDay, $byMonth);
    }

    /**
     * Reads a rule or the words for it; see TypedRecurrence.
     *
     * @throws RecurrenceRefused when it cannot be read, or can never come back
     */
    public static function read(string $typed): self
    {
        return TypedRecurrence::read($typed);
    }

    /**
     * The first occurrence after a day, of what began on another; null when there is none any more.
     */
    public function nextAfter(Day $start, Day $after): ?Day
    {
        $last = ($after->isBefore($start) ? $start : $after)->plusMonths(12 * self::HORIZON);
        $count = 0;
        for ($day = $start; ! $day->isAfter($this->until ?? $last); $day = $day->plusDays(1)) {
            if (! $day->equals($start) && ! $this->matches($day, $start)) {
                continue;
            }
            $count++;
            if ($this->count !== null && $count > $this->count) {
                return null;
            }
            if ($day->isAfter($after)) {
                return $day;
            }
        }

        return null;
    }

    /** As RFC 5545 writes it, without the name of the property. */
    public function toRule(): string
    {
        return implode(';', array_filter([
            'FREQ='.$this->frequency->value,
            $this->interval === 1 ? '' : 'INTERVAL='.$this->interval,
            $this->count === null ? '' : 'COUNT='.$this->count,
            $this->until === null ? '' : 'UNTIL='.str_replace('-', '', $this->until->toIso()),
            $this->byMonth === [] ? '' : 'BYMONTH='.implode(',', $this->byMonth),
            $this->byMonthDay === [] ? '' : 'BYMONTHDAY='.implode(',', $this->byMonthDay),
            $this->byDay === [] ? '' : 'BYDAY='.implode(',', array_map(fn (NthWeekday $day) => $day->toCode(), $this->byDay)),
        ]));
    }

    /** For reading: "every 2 weeks on Tue and Thu, 5 times". */
    public function toText(): string
    {
        $unit = $this->frequency->unit();

        return ($this->interval === 1 ? "every $unit" : "every {$this->interval} {$unit}s")
            .self::listed(' in ', array_map(fn (int $month) => Month::SHORT[$month], $this->byMonth))
            .self::listed(' on ', array_map(fn (NthWeekday $day) => $day->toText(), $this->byDay))
            .self::listed(' on ', array_map(
                fn (int $day) => $day < 0 ? 'the '.NthWeekday::ordinal($day).' day' : "day $day",
                $this->byMonthDay,
            ))
            .match ($this->count) {
                null => '',
                1 => ', once',
                default => ", {$this->count} times",
            }
            .($this->until === null ? '' : ', until '.$this->until->toText());
    }

    private function matches(Day $day, Day $start): bool
    {
        return $this->isAligned($day, $start)
            && ($this->byMonth === [] || in_array($day->month, $this->byMonth, true))
            && ($this->byMonthDay === [] || $this->isMonthDay($day))
            && ($this->byDay === [] || $this->isByDay($day))
            && ($this->byDay !== [] || $this->byMonthDay !== [] || $this->isLikeStart($day, $start));
    }

    private function isAligned(Day $day, Day $start): bool
    {
        $monday = fn (Day $of) => $of->plusDays(1 - $of->weekday()->value);

        return match ($this->frequency) {
            Frequency::Daily => $start->daysUntil($day),
            Frequency::Weekly => intdiv($monday($start)->daysUntil($monday($day)), 7),
            Frequency::Monthly => 12 * ($day->year - $start->year) + $day->month - $start->month,
            Frequency::Yearly => $day->year - $start->year,
        } % $this->interval === 0;
    }

    private function isMonthDay(Day $day): bool
    {
        return in_array($day->day, $this->byMonthDay, true)
            || in_array($day->day - Month::lengthOf($day->year, $day->month) - 1, $this->byMonthDay, true);
    }

    private function isByDay(Day $day): bool
    {
        $inMonth = $this->frequency === Frequency::Monthly || $this->byMonth !== [];
        foreach ($this->byDay as $one) {
            if ($one->falls($day, $inMonth)) {
                return true;
            }
        }

        return false;
    }

    /** Where the rule names no day, the one it began on does. */
    private function isLikeStart(Day $day, Day $start): bool
    {
        return match ($this->frequency) {
            Frequency::Daily => true,
            Frequency::Weekly => $day->weekday() === $start->weekday(),
            Frequency::Monthly => $day->day === $start->day,
            Frequency::Yearly => $day->day === $start->day && ($this->byMonth !== [] || $day->month === $start->month),
        };
    }

    /** @param  list<string>  $words */
    private static function listed(string $before, array $words): string
    {
        $last = array_pop($words);

        return $last === null ? '' : $before.($words === [] ? '' : implode(', ', $words).' and ').$last;
    }
}
