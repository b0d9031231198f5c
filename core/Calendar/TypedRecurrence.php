<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/**
 * Reads how something comes back: a rule such as FREQ=MONTHLY;BYDAY=2TU, or words such as "every 2 weeks", "every
 * quarter", "every weekday".
 */
final class TypedRecurrence
{
    private const MOST_INTERVAL = 100;

    private const MOST_COUNT = 1000;

    /** @throws RecurrenceRefused when it cannot be read, or can never come back */
    public static function read(string $typed): Recurrence
    {
        $text = trim(preg_replace('/^RRULE:/i', '', trim($typed)) ?? '');

        return self::fromWords(mb_strtolower($text)) ?? self::fromParts(strtoupper($text), $typed);
    }

    private static function fromWords(string $words): ?Recurrence
    {
        if ($words === 'every weekday') {
            return Recurrence::of(
                Frequency::Weekly,
                1,
                null,
                null,
                array_values(array_filter(array_map(NthWeekday::read(...), ['MO', 'TU', 'WE', 'TH', 'FR']))),
                [],
                [],
            );
        }
        if ($words === 'every quarter') {
            return Recurrence::of(Frequency::Monthly, 3, null, null, [], [], []);
        }
        $frequency =
            preg_match('/^every (?:(?<n>\d{1,3}) )?(?<unit>[a-z]+)$/', $words, $part) === 1 ? Frequency::ofUnit($part['unit']) : null;

        return $frequency === null
            ? null
            : Recurrence::of(
                $frequency,
                self::inRange($part['n'] === '' ? 1 : (int) $part['n'], self::MOST_INTERVAL, $words),
                null,
                null,
                [],
                [],
                [],
            );
    }

    private static function fromParts(string $rule, string $typed): Recurrence
    {
        $parts = [];
        foreach (explode(';', rtrim($rule, ';')) as $part) {
            if (
                preg_match('/^(FREQ|INTERVAL|COUNT|UNTIL|BYDAY|BYMONTHDAY|BYMONTH|WKST)=([A-Z0-9,+-]+)$/', $part, $pair) !== 1 ||
                isset($parts[$pair[1]])
            ) {
                throw RecurrenceRefused::unreadable(trim($typed));
            }
            $parts[$pair[1]] = $pair[2];
        }
        $frequency = Frequency::tryFrom($parts['FREQ'] ?? '') ?? throw RecurrenceRefused::unreadable(trim($typed));
        $byDay = array_map(
            fn (string $code) => NthWeekday::read($code) ?? throw RecurrenceRefused::unreadable(trim($typed)),
            self::list($parts['BYDAY'] ?? ''),
        );
        $isCounted = array_filter($byDay, fn (NthWeekday $day) => $day->nth !== 0) !== [];
        $takesNth = $frequency === Frequency::Monthly || $frequency === Frequency::Yearly;
        if (($isCounted && ! $takesNth)
            || ($frequency === Frequency::Weekly && isset($parts['BYMONTHDAY']))
            || (isset($parts['COUNT']) && isset($parts['UNTIL']))
            || ($parts['WKST'] ?? 'MO') !== 'MO') {
            throw RecurrenceRefused::unreadable(trim($typed));
        }

        $monthDays = array_map(
            fn (string $day) => self::inRange(abs((int) $day), 31, $typed) * ((int) $day <=> 0),
            self::list($parts['BYMONTHDAY'] ?? ''),
        );
        $months = array_map(fn (string $month) => self::inRange((int) $month, 12, $typed), self::list($parts['BYMONTH'] ?? ''));
        if (max(array_map(fn (int $month) => Month::lengthOf(2024, $month), $months ?: [1])) < min(array_map(abs(...), $monthDays ?: [1]))) {
            throw RecurrenceRefused::never(trim($typed));
        }

        return Recurrence::of(
            $frequency,
            self::inRange((int) ($parts['INTERVAL'] ?? 1), self::MOST_INTERVAL, $typed),
            isset($parts['COUNT']) ? self::inRange((int) $parts['COUNT'], self::MOST_COUNT, $typed) : null,
            isset($parts['UNTIL']) ? self::day($parts['UNTIL'], $typed) : null,
            $byDay,
            $monthDays,
            $months,
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
}
