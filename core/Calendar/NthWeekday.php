<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/** A weekday, or the so-manieth of it in a month or a year, counted from the end when it is negative. */
final readonly class NthWeekday
{
    private const CODES = ['MO' => 1, 'TU' => 2, 'WE' => 3, 'TH' => 4, 'FR' => 5, 'SA' => 6, 'SU' => 7];

    private function __construct(public Weekday $weekday, public int $nth)
    {
    }

    /** Reads "MO", "2TU" or "-1FR"; null when it is none. */
    public static function read(string $code): ?self
    {
        if (preg_match('/^([+-]?\d{1,2})?(MO|TU|WE|TH|FR|SA|SU)$/', $code, $part) !== 1 || abs((int) $part[1]) > 53 || $part[1] === '0') {
            return null;
        }

        return new self(Weekday::from(self::CODES[$part[2]]), (int) $part[1]);
    }

    public function toCode(): string
    {
        return ($this->nth === 0 ? '' : (string) $this->nth).array_search($this->weekday->value, self::CODES, true);
    }

    /** Within the month of the day, or within its year. */
    public function falls(Day $day, bool $inMonth): bool
    {
        if ($day->weekday() !== $this->weekday) {
            return false;
        }
        if ($this->nth === 0) {
            return true;
        }
        $first = $inMonth ? Day::of($day->year, $day->month, 1) : Day::of($day->year, 1, 1);
        $last = $inMonth ? $day->endOfMonth() : Day::of($day->year, 12, 31);

        return $this->nth > 0
            ? intdiv($first->daysUntil($day), 7) + 1 === $this->nth
            : intdiv($day->daysUntil($last), 7) + 1 === -$this->nth;
    }

    /** For reading: "Tue", "the second Tue", "the last Fri". */
    public function toText(): string
    {
        return match (true) {
            $this->nth === 0 => $this->weekday->short(),
            default => 'the '.self::ordinal($this->nth).' '.$this->weekday->short(),
        };
    }

    /** "second", "last", "third-to-last", "20th". */
    public static function ordinal(int $nth): string
    {
        $words = [1 => 'first', 'second', 'third', 'fourth', 'fifth'];

        return match (true) {
            $nth === -1 => 'last',
            $nth < 0 => self::ordinal(-$nth).'-to-last',
            isset($words[$nth]) => $words[$nth],
            default => $nth.(in_array($nth % 100, [11, 12, 13], true) ? 'th' : ([1 => 'st', 'nd', 'rd'][$nth % 10] ?? 'th')),
        };
    }
}
