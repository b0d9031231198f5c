<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/** Months of the Gregorian calendar: names and lengths. */
final class Month
{
    /** @var array<int, string> */
    public const NAMES = [
        1 => 'January', 'February', 'March', 'April', 'May', 'June',
        'July', 'August', 'September', 'October', 'November', 'December',
    ];

    /** @var array<int, string> */
    public const SHORT = [
        1 => 'Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec',
    ];

    private const LENGTHS = [1 => 31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

    public static function lengthOf(int $year, int $month): int
    {
        return $month === 2 && self::isLeap($year) ? 29 : self::LENGTHS[$month];
    }

    public static function isLeap(int $year): bool
    {
        return $year % 4 === 0 && ($year % 100 !== 0 || $year % 400 === 0);
    }

    /** The month that a word such as "jan", "sept" or "January" names, or null. */
    public static function named(string $word): ?int
    {
        $word = mb_strtolower(rtrim($word, '.'));
        foreach (self::NAMES as $number => $name) {
            if (strlen($word) >= 3 && str_starts_with(mb_strtolower($name), $word)) {
                return $number;
            }
        }

        return $word === 'sept' ? 9 : null;
    }
}
