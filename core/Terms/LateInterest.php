<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/**
 * Simple interest on money that is late: a rate per year on the days late over 365, or a flat
 * rate for each month begun (common practice, no published source).
 */
final readonly class LateInterest
{
    private function __construct(public Percent $rate, public bool $perMonthBegun)
    {
    }

    public static function perYear(Percent $rate): self
    {
        return new self($rate, false);
    }

    public static function perMonthBegun(Percent $rate): self
    {
        return new self($rate, true);
    }

    /** Zero until the day after the due date. Rounded half up to the minor unit. */
    public function on(Money $open, Day $due, Day $today): Money
    {
        $daysLate = max(0, $due->daysUntil($today));
        $amount = BigDecimal::of($open->minor)->multipliedBy($this->rate->value);

        return Money::ofMinor(($this->perMonthBegun
            ? $amount->multipliedBy($this->monthsBegun($due, $today))->dividedBy(100, 0, RoundingMode::HALF_UP)
            : $amount->multipliedBy($daysLate)->dividedBy(36500, 0, RoundingMode::HALF_UP)
        )->toInt(), $open->currency);
    }

    private function monthsBegun(Day $due, Day $today): int
    {
        $months = 0;
        while ($due->plusMonths($months)->isBefore($today)) {
            $months++;
        }

        return $months;
    }
}
