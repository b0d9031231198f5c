<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Calendar\Day;
use Almanac\Calendar\Month;

/**
 * Days in a row as people call them: "this week", "last 30 days", "March 2026". What is called by today moves with it,
 * so that a list of what was added this week is one of that week whenever it is opened. Weeks begin on Monday (ISO 8601).
 */
final readonly class Span
{
    public const MOST_DAYS = 3660;

    private const MOST_MONTHS = 120;

    /**
     * @param 'day'|'week'|'month'|'quarter'|'year' $unit
     * @param int $from by how many units it begins before today's, or after
     * @param int $units how many
     * @param Day|null $fixed the first day, where it does not move
     */
    private function __construct(private string $unit, private int $from, private int $units, private ?Day $fixed = null)
    {
    }

    /** @throws ConditionRefused for none, or more than ten years of days */
    public static function lastDays(int $days): self
    {
        return self::ofDays($days, -$days + 1);
    }

    /** @throws ConditionRefused for none, or more than ten years of days */
    public static function nextDays(int $days): self
    {
        return self::ofDays($days, 0);
    }

    public static function thisYear(): self
    {
        return new self('year', 0, 1);
    }

    /** @throws \Almanac\Calendar\ImpossibleDay when there is no such year */
    public static function year(int $year): self
    {
        return new self('year', 0, 1, Day::of($year, 1, 1));
    }

    /** @throws \Almanac\Calendar\ImpossibleDay when there is no such month */
    public static function month(int $year, int $month): self
    {
        return new self('month', 0, 1, Day::of($year, $month, 1));
    }

    /** "this week", "last 30 days", "2026", "Mar 2026"; null where it is called none of them. */
    public static function read(string $text): ?self
    {
        $words = mb_strtolower(trim(preg_replace('/\s+/u', ' ', $text) ?? ''));

        return match (true) {
            $words === 'today' => new self('day', 0, 1),
            $words === 'yesterday' => new self('day', -1, 1),
            $words === 'tomorrow' => new self('day', 1, 1),
            preg_match('/^(last|past|next) (\d{1,4}) days$/', $words, $part) === 1 && (int) $part[2] > 0 && (int) $part[2] <= self::MOST_DAYS => $part[1] === 'next' ? self::nextDays((int) $part[2]) : self::lastDays((int) $part[2]),
            preg_match('/^(this|last|next) (week|month|quarter|year)$/', $words, $part) === 1 => new self(
                $part[2],
                ['this' => 0, 'last' => -1, 'next' => 1][$part[1]],
                1,
            ),
            preg_match('/^(last|past|next) (\d{1,3}) months$/', $words, $part) === 1 && (int) $part[2] > 1 && (int) $part[2] <= self::MOST_MONTHS => new self(
                'month',
                $part[1] === 'next' ? 0 : 1 - (int) $part[2],
                (int) $part[2],
            ),
            preg_match('/^[12]\d{3}$/', $words) === 1 => self::year((int) $words),
            preg_match('/^(\p{L}{3,9})\.? ([12]\d{3})$/u', $words, $part) === 1 && Month::named($part[1]) !== null => self::month((int) $part[2], Month::named($part[1])),
            default => null,
        };
    }

    /** @return list<string> what can be read, for whoever chooses one: those that move */
    public static function usual(): array
    {
        return [
            'today', 'yesterday', 'this week', 'last week', 'this month', 'last month', 'this quarter', 'last quarter',
            'this year', 'last year', 'last 12 months', 'last 30 days', 'last 90 days', 'next 30 days', 'next week', 'next month',
        ];
    }

    /** @return array{Day, Day} its first day and its last */
    public function on(Day $today): array
    {
        $first = $this->fixed ?? $this->begin($today, $this->from);
        $after = $this->fixed === null ? $this->begin($today, $this->from + $this->units) : $this->begin($this->fixed, $this->units);

        return [$first, $after->plusDays(-1)];
    }

    /** Whether it is counted from today. */
    public function moves(): bool
    {
        return $this->fixed === null;
    }

    public function toText(): string
    {
        return match (true) {
            $this->fixed !== null => $this->unit === 'year' ? (string) $this->fixed->year : substr($this->fixed->toText(), 2),
            $this->unit === 'day' && $this->units === 1 && $this->from >= -1 && $this->from <= 1 => ['yesterday', 'today', 'tomorrow'][$this->from + 1],
            $this->unit === 'day', $this->units > 1 => ($this->from < 0 ? 'last ' : 'next ')."{$this->units} {$this->unit}s",
            default => ['last', 'this', 'next'][$this->from + 1].' '.$this->unit,
        };
    }

    /** @throws ConditionRefused */
    private static function ofDays(int $days, int $from): self
    {
        return $days > 0 && $days <= self::MOST_DAYS ? new self('day', $from, $days) : throw ConditionRefused::noSpan(self::MOST_DAYS);
    }

    /** The first day of the unit that a day is in, or so many units later. */
    private function begin(Day $day, int $units): Day
    {
        return match ($this->unit) {
            'day' => $day->plusDays($units),
            'week' => $day->plusDays(7 * $units - $day->weekday()->value + 1),
            'month' => Day::of($day->year, $day->month, 1)->plusMonths($units),
            'quarter' => Day::of($day->year, intdiv($day->month - 1, 3) * 3 + 1, 1)->plusMonths(3 * $units),
            default => Day::of($day->year + $units, 1, 1),
        };
    }
}
