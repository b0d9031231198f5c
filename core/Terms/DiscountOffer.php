<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;
use Almanac\Money\Percent;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** A discount as it stands for one document: until when, and what it costs not to take it. */
final readonly class DiscountOffer
{
    private function __construct(
        public Percent $percent,
        public Day $lastDay,
        public Day $due,
    ) {
    }

    public static function of(Percent $percent, Day $lastDay, Day $due): self
    {
        return new self($percent, $lastDay->isAfter($due) ? $due : $lastDay, $due);
    }

    /**
     * The simple yearly rate, in percent to two decimals, that is paid for keeping the money from
     * the discount's last day to the due date: p / (100 − p) × year / (N − n). Null when both
     * fall on one day, and nothing is gained by waiting.
     *
     * Source: the approximate cost of forgoing a cash discount of financial management
     * textbooks, where 2/10 net 30 gives 37.24% on 365 days and 36.73% on 360.
     */
    public function costPerYear(int $daysInYear = 365): ?BigDecimal
    {
        $daysGained = $this->lastDay->daysUntil($this->due);
        if ($daysGained === 0) {
            return null;
        }

        return BigRational::of($this->percent->value)
            ->dividedBy(BigDecimal::of(100)->minus($this->percent->value))
            ->multipliedBy(100 * $daysInYear)
            ->dividedBy($daysGained)
            ->toScale(2, RoundingMode::HALF_UP);
    }

    /** "2% off until 10 Feb 2026; not taking it costs 37.24% a year." */
    public function sentence(): string
    {
        $cost = $this->costPerYear();

        return sprintf('%s off until %s', $this->percent->toText(), $this->lastDay->toText())
            .($cost === null ? '.' : sprintf('; not taking it costs %s%% a year.', $cost));
    }
}
