<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/**
 * Reads a date as people type it: 2026-01-31, 31 jan, jan 31 2026, 1/31, 31.1.2026, 31.1., +30, 1 week, fri, today.
 *
 * A date without a year means the one nearest to today's year: this year. Where both numbers
 * of 3/4 could be a month, the office's own order decides (common practice, no published source).
 */
final readonly class TypedDay
{
    private const MOST_MONTHS = 1200;

    private const PATTERNS = [
        'iso' => '/^(?<y>\d{4})-(?<m>\d{1,2})-(?<d>\d{1,2})$/',
        'dayFirst' => '/^(?<d>\d{1,2})(?:st|nd|rd|th)?[ .\-]*(?<name>[a-z]{3,9})\.?(?:[ ,.\-]+(?<y>\d{4}|\d{2}))?$/',
        'monthFirst' => '/^(?<name>[a-z]{3,9})\.?[ .\-]*(?<d>\d{1,2})(?:st|nd|rd|th)?(?:[ ,.\-]+(?<y>\d{4}|\d{2}))?$/',
        'figures' => '/^(?<a>\d{1,2})[\/.\-](?<b>\d{1,2})(?:[\/.\-](?<y>\d{4}|\d{2}))?$/',
    ];

    private function __construct(private Day $today, private bool $monthFirst)
    {
    }

    /** @param  bool  $monthFirst whether 3/4 means March 4, as in the United States */
    public static function reader(Day $today, bool $monthFirst): self
    {
        return new self($today, $monthFirst);
    }

    /** @throws ImpossibleDay when the text cannot be read, or names a day that does not exist */
    public function read(string $typed): Day
    {
        $text = mb_strtolower(trim(preg_replace('/\s+/u', ' ', $typed) ?? ''));

        // 31.1. is how some write 31 January; the last point says nothing.
        $text = rtrim($text, '.');
        $relative = $this->relative($text);
        if ($relative !== null) {
            return $relative;
        }
        foreach (self::PATTERNS as $pattern) {
            if (preg_match($pattern, $text, $part) === 1) {
                return $this->fromParts($part, $typed);
            }
        }

        throw ImpossibleDay::unreadable(trim($typed));
    }

    private function relative(string $text): ?Day
    {
        if (preg_match('/^([+-]) ?(\d{1,5})$/', $text, $part) === 1) {
            return $this->today->plusDays((int) ($part[1].$part[2]));
        }

        if (preg_match('/^(?:in )?(\d{1,4}|a|an|one) ?(d|days?|w|weeks?|months?|years?)(?: from now)?$/', $text, $part) === 1) {
            $count = ctype_digit($part[1]) ? (int) $part[1] : 1;

            return match ($part[2][0]) {
                'd' => $this->today->plusDays($count),
                'w' => $this->today->plusDays(7 * $count),
                'm' => $this->today->plusMonths(min($count, self::MOST_MONTHS)),
                default => $this->today->plusMonths(min(12 * $count, self::MOST_MONTHS)),
            };
        }
        // The next such day; today's own name is a week from now.
        foreach (Weekday::cases() as $weekday) {
            if (
                preg_match(
                    '/^(?:next |on )?('.
                        mb_strtolower(substr($weekday->name, 0, 3)).
                        '|'.
                        mb_strtolower(substr($weekday->name, 0, 4)).
                        '|'.
                        mb_strtolower(substr($weekday->name, 0, 5)).
                        '|'.
                        mb_strtolower($weekday->name).
                        ')\\.?$/',
                    $text,
                ) === 1
            ) {
                $day = $this->today->plusDays(1);
                while ($day->weekday() !== $weekday) {
                    $day = $day->plusDays(1);
                }

                return $day;
            }
        }

        return match ($text) {
            'today' => $this->today,
            'tomorrow' => $this->today->plusDays(1),
            'yesterday' => $this->today->plusDays(-1),
            default => null,
        };
    }

    /**
     * @param array<array-key, string> $part
     *
     * @throws ImpossibleDay
     */
    private function fromParts(array $part, string $typed): Day
    {
        $year = $this->year($part['y'] ?? '');
        if (isset($part['name'])) {
            $month = Month::named($part['name']) ?? throw ImpossibleDay::unreadable(trim($typed));

            return Day::of($year, $month, (int) $part['d']);
        }
        if (isset($part['m'])) {
            return Day::of($year, (int) $part['m'], (int) $part['d']);
        }

        [$month, $day] = $this->order((int) $part['a'], (int) $part['b']);

        return Day::of($year, $month, $day);
    }

    /** @return array{int, int} month and day */
    private function order(int $first, int $second): array
    {
        if ($first > 12 && $second <= 12) {
            return [$second, $first];
        }
        if ($second > 12 && $first <= 12) {
            return [$first, $second];
        }

        return $this->monthFirst ? [$first, $second] : [$second, $first];
    }

    private function year(string $typed): int
    {
        return match (strlen($typed)) {
            0 => $this->today->year,
            // Two figures name a year within fifty of today's.
            2 => $this->nearest((int) $typed),
            default => (int) $typed,
        };
    }

    private function nearest(int $twoFigures): int
    {
        $year = intdiv($this->today->year, 100) * 100 + $twoFigures;

        return match (true) {
            $year > $this->today->year + 50 => $year - 100,
            $year < $this->today->year - 50 => $year + 100,
            default => $year,
        };
    }
}
