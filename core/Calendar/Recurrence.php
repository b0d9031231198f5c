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
    private const MOST_INTERVAL = 100;

    private const MOST_COUNT = 1000;

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
     * Reads a rule such as FREQ=MONTHLY;BYDAY=2TU, or words such as "every 2 weeks", "every quarter", "every weekday".
     *
     * @throws RecurrenceRefused when it cannot be read, or can never come back
     */
    public static function read(string $typed): self
    {
        $text = trim(preg_replace('/^RRULE:/i', '', trim($typed)) ?? '');
        $rule = self::fromWords(mb_strtolower($text)) ?? self::fromParts(strtoupper($text), $typed);
        if (max(array_map(fn (int $month) => Month::lengthOf(2024, $month), $rule->byMonth ?: [1])) < min(array_map(fn (int $day) => abs($day), $rule->byMonthDay ?: [1]))) {
            throw RecurrenceRefused::never(trim($typed));
        }

        return $rule;
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

    private static function fromWords(string $words): ?self
    {
        if ($words === 'every weekday') {
            return new self(Frequency::Weekly, 1, null, null, array_values(array_filter(array_map(NthWeekday::read(...), ['MO', 'TU', 'WE', 'TH', 'FR']))), [], []);
        }
        if ($words === 'every quarter') {
            return new self(Frequency::Monthly, 3, null, null, [], [], []);
        }
        $frequency = preg_match('/^every (?:(?<n>\d{1,3}) )?(?<unit>[a-z]+)$/', $words, $part) === 1 ? Frequency::ofUnit($part['unit']) : null;

        return $frequency === null ? null : new self($frequency, self::inRange($part['n'] === '' ? 1 : (int) $part['n'], self::MOST_INTERVAL, $words), null, null, [], [], []);
    }

    private static function fromParts(string $rule, string $typed): self
    {
        $parts = [];
        foreach (explode(';', rtrim($rule, ';')) as $part) {
            if (preg_match('/^(FREQ|INTERVAL|COUNT|UNTIL|BYDAY|BYMONTHDAY|BYMONTH|WKST)=([A-Z0-9,+-]+)$/', $part, $pair) !== 1 || isset($parts[$pair[1]])) {
                throw RecurrenceRefused::unreadable(trim($typed));
            }
            $parts[$pair[1]] = $pair[2];
        }
        $frequency = Frequency::tryFrom($parts['FREQ'] ?? '') ?? throw RecurrenceRefused::unreadable(trim($typed));
        $byDay = array_map(fn (string $code) => NthWeekday::read($code) ?? throw RecurrenceRefused::unreadable(trim($typed)), self::list($parts['BYDAY'] ?? ''));
        $isCounted = array_filter($byDay, fn (NthWeekday $day) => $day->nth !== 0) !== [];
        $takesNth = $frequency === Frequency::Monthly || $frequency === Frequency::Yearly;
        if (($isCounted && ! $takesNth)
            || ($frequency === Frequency::Weekly && isset($parts['BYMONTHDAY']))
            || (isset($parts['COUNT']) && isset($parts['UNTIL']))
            || ($parts['WKST'] ?? 'MO') !== 'MO') {
            throw RecurrenceRefused::unreadable(trim($typed));
        }

        return new self(
            $frequency,
            self::inRange((int) ($parts['INTERVAL'] ?? 1), self::MOST_INTERVAL, $typed),
            isset($parts['COUNT']) ? self::inRange((int) $parts['COUNT'], self::MOST_COUNT, $typed) : null,
            isset($parts['UNTIL']) ? self::day($parts['UNTIL'], $typed) : null,
            $byDay,
            array_map(fn (string $day) => self::inRange(abs((int) $day), 31, $typed) * ((int) $day <=> 0), self::list($parts['BYMONTHDAY'] ?? '')),
            array_map(fn (string $month) => self::inRange((int) $month, 12, $typed), self::list($parts['BYMONTH'] ?? '')),
        );
    }

    private static function inRange(int $number, int $most, string $typed): int
    {
        return $number >= 1 && $number <= $most ? $number : throw RecurrenceRefused::unreadable(trim($typed));
    }

    /** Of a time, only its day counts. */
    private static function day(string $text, string $typed): Day
    {
        return preg_match('/^(\d{4})(\d{2})(\d{2})(T\d{6}Z?)?$/', $text, $part) === 1
            ? Day::of((int) $part[1], (int) $part[2], (int) $part[3])
            : throw RecurrenceRefused::unreadable(trim($typed));
    }

    /** @return list<string> */
    private static function list(string $text): array
    {
        return $text === '' ? [] : explode(',', $text);
    }

    /** @param  list<string>  $words */
    private static function listed(string $before, array $words): string
    {
        $last = array_pop($words);

        return $last === null ? '' : $before.($words === [] ? '' : implode(', ', $words).' and ').$last;
    }
}
