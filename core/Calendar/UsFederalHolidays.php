<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/**
 * The legal public holidays of the United States, by rule.
 *
 * Source: 5 U.S.C. 6103(a), as amended by Pub. L. 117-17 (Juneteenth, first kept in 2021), with
 * the shifts for people who work Monday to Friday: from Saturday to the Friday before
 * (5 U.S.C. 6103(b)), from Sunday to the Monday after (Executive Order 11582, section 3).
 * Inauguration Day, kept in the capital's area only, is left out.
 */
final readonly class UsFederalHolidays implements Holidays
{
    private const JUNETEENTH_FROM = 2021;

    /** Name, month, day. */
    private const FIXED = [
        ['New Year’s Day', 1, 1],
        ['Juneteenth National Independence Day', 6, 19],
        ['Independence Day', 7, 4],
        ['Veterans Day', 11, 11],
        ['Christmas Day', 12, 25],
    ];

    /** Name, month, weekday, which one of the month (-1 is the last). */
    private const FLOATING = [
        ['Birthday of Martin Luther King, Jr.', 1, Weekday::Monday, 3],
        ['Washington’s Birthday', 2, Weekday::Monday, 3],
        ['Memorial Day', 5, Weekday::Monday, -1],
        ['Labor Day', 9, Weekday::Monday, 1],
        ['Columbus Day', 10, Weekday::Monday, 2],
        ['Thanksgiving Day', 11, Weekday::Thursday, 4],
    ];

    public function nameOf(Day $day): ?string
    {
        return $this->fixedOn($day) ?? $this->floatingOn($day);
    }

    /**
     * Every holiday kept in a year, by the day on which it is kept. The New Year's Day of the
     * next year counts here when it is kept on 31 December.
     *
     * @return array<string, string> ISO date to name
     */
    public function in(int $year): array
    {
        $kept = [];
        for ($day = Day::of($year, 1, 1); $day->year === $year; $day = $day->plusDays(1)) {
            $name = $this->nameOf($day);
            if ($name !== null) {
                $kept[$day->toIso()] = $name;
            }
        }

        return $kept;
    }

    private function fixedOn(Day $day): ?string
    {
        $candidates = match ($day->weekday()) {
            Weekday::Saturday, Weekday::Sunday => [],
            Weekday::Friday => [$day, $day->plusDays(1)],
            Weekday::Monday => [$day, $day->plusDays(-1)],
            default => [$day],
        };
        foreach ($candidates as $candidate) {
            foreach (self::FIXED as [$name, $month, $date]) {
                if ($candidate->month === $month && $candidate->day === $date && $this->isKept($month, $candidate->year)) {
                    return $name;
                }
            }
        }

        return null;
    }

    private function isKept(int $month, int $year): bool
    {
        return $month !== 6 || $year >= self::JUNETEENTH_FROM;
    }

    private function floatingOn(Day $day): ?string
    {
        foreach (self::FLOATING as [$name, $month, $weekday, $which]) {
            if ($day->month !== $month || $day->weekday() !== $weekday) {
                continue;
            }
            $isLast = $day->day + 7 > Month::lengthOf($day->year, $month);
            if ($which === -1 ? $isLast : intdiv($day->day - 1, 7) + 1 === $which) {
                return $name;
            }
        }

        return null;
    }
}
