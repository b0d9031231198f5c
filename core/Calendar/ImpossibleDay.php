<?php

declare(strict_types=1);

namespace Almanac\Calendar;

use Almanac\Refusal;

/** A date that no calendar has, or that cannot be read. */
final class ImpossibleDay extends Refusal
{
    public static function unreadable(string $typed): self
    {
        return new self(sprintf('“%s” is not a date we can read. Try 31 Jan 2026, 2026-01-31, jan 31 or +30.', $typed));
    }

    public static function noSuchMonth(int $month): self
    {
        return new self(sprintf('There is no month %d: months run from 1 to 12.', $month));
    }

    public static function noSuchDay(int $year, int $month, int $day): self
    {
        return new self(sprintf(
            'There is no %d %s: %s %d has %d days.',
            $day,
            Month::NAMES[$month],
            Month::NAMES[$month],
            $year,
            Month::lengthOf($year, $month),
        ));
    }

    public static function outOfRange(int $year): self
    {
        return new self(sprintf('The year %d is out of range: years run from 1 to 9999.', $year));
    }
}
