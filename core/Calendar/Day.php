<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/**
 * A day of the proleptic Gregorian calendar, without a time or a zone.
 *
 * Kept as days since 1970-01-01, so adding days and comparing are plain integer work. The
 * conversion to and from year, month and day is the "days from civil" algorithm of Howard
 * Hinnant, "chrono-Compatible Low-Level Date Algorithms" (2013).
 */
final readonly class Day implements \JsonSerializable, \Stringable
{
    private function __construct(
        public int $number,
        public int $year,
        public int $month,
        public int $day,
    ) {
    }

    /** @throws ImpossibleDay when the calendar has no such day, or the year is not in 1 to 9999 */
    public static function of(int $year, int $month, int $day): self
    {
        if ($year < 1 || $year > 9999) {
            throw ImpossibleDay::outOfRange($year);
        }
        if ($month < 1 || $month > 12) {
            throw ImpossibleDay::noSuchMonth($month);
        }
        if ($day < 1 || $day > Month::lengthOf($year, $month)) {
            throw ImpossibleDay::noSuchDay($year, $month, $day);
        }

        return new self(self::numberOf($year, $month, $day), $year, $month, $day);
    }

    /**
     * Reads the extended format of ISO 8601, as in 2026-01-31.
     *
     * @throws ImpossibleDay when the text has another shape, or names no day
     */
    public static function fromIso(string $text): self
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $text, $part) !== 1) {
            throw ImpossibleDay::unreadable($text);
        }

        return self::of((int) $part[1], (int) $part[2], (int) $part[3]);
    }

    /** @throws ImpossibleDay when the result leaves the years 1 to 9999 */
    public function plusDays(int $days): self
    {
        return self::fromNumber($this->number + $days);
    }

    /**
     * The same day of the month, that many months on; the month's last day where it is shorter.
     *
     * @throws ImpossibleDay when the result leaves the years 1 to 9999
     */
    public function plusMonths(int $months): self
    {
        return $this->inMonth($months, $this->day);
    }

    /**
     * A given day of the month that lies that many months on, or that month's last day when
     * the month is shorter.
     *
     * @throws ImpossibleDay when the result leaves the years 1 to 9999
     */
    public function inMonth(int $monthsOn, int $day): self
    {
        $index = $this->year * 12 + ($this->month - 1) + $monthsOn;
        $year = intdiv($index, 12);
        $month = $index % 12 + 1;

        return self::of($year, $month, max(1, min($day, Month::lengthOf($year, $month))));
    }

    public function endOfMonth(): self
    {
        return $this->inMonth(0, 31);
    }

    /** Days from this day to the other; negative when the other is earlier. */
    public function daysUntil(self $other): int
    {
        return $other->number - $this->number;
    }

    /** Whole years from this day to the other, as ages are told; never negative. */
    public function yearsUntil(self $other): int
    {
        $years = $other->year - $this->year;

        return max(0, [$other->month, $other->day] < [$this->month, $this->day] ? $years - 1 : $years);
    }

    public function isBefore(self $other): bool
    {
        return $this->number < $other->number;
    }

    public function isAfter(self $other): bool
    {
        return $this->number > $other->number;
    }

    public function equals(self $other): bool
    {
        return $this->number === $other->number;
    }

    public function weekday(): Weekday
    {
        // 1970-01-01 was a Thursday.
        return Weekday::from((($this->number + 3) % 7 + 7) % 7 + 1);
    }

    public function sharesMonthWith(self $other): bool
    {
        return $this->year === $other->year && $this->month === $other->month;
    }

    /** For reading: 31 Jan 2026. */
    public function toText(): string
    {
        return sprintf('%d %s %d', $this->day, Month::SHORT[$this->month], $this->year);
    }

    /** For reading where the weekday matters: Sat 31 Jan 2026. */
    public function toTextWithWeekday(): string
    {
        return $this->weekday()->short().' '.$this->toText();
    }

    public function toIso(): string
    {
        return sprintf('%04d-%02d-%02d', $this->year, $this->month, $this->day);
    }

    public function __toString(): string
    {
        return $this->toIso();
    }

    public function jsonSerialize(): string
    {
        return $this->toIso();
    }

    private static function fromNumber(int $number): self
    {
        $shifted = $number + 719468;
        $era = intdiv($shifted >= 0 ? $shifted : $shifted - 146096, 146097);
        $dayOfEra = $shifted - $era * 146097;
        $yearOfEra = intdiv(
            $dayOfEra - intdiv($dayOfEra, 1460) + intdiv($dayOfEra, 36524) - intdiv($dayOfEra, 146096),
            365,
        );
        $dayOfYear = $dayOfEra - (365 * $yearOfEra + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100));
        $shiftedMonth = intdiv(5 * $dayOfYear + 2, 153);
        $month = $shiftedMonth < 10 ? $shiftedMonth + 3 : $shiftedMonth - 9;

        return self::of(
            $yearOfEra + $era * 400 + ($month <= 2 ? 1 : 0),
            $month,
            $dayOfYear - intdiv(153 * $shiftedMonth + 2, 5) + 1,
        );
    }

    private static function numberOf(int $year, int $month, int $day): int
    {
        $year -= $month <= 2 ? 1 : 0;
        $era = intdiv($year >= 0 ? $year : $year - 399, 400);
        $yearOfEra = $year - $era * 400;
        $dayOfYear = intdiv(153 * ($month + ($month > 2 ? -3 : 9)) + 2, 5) + $day - 1;
        $dayOfEra = $yearOfEra * 365 + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100) + $dayOfYear;

        return $era * 146097 + $dayOfEra - 719468;
    }
}
