<?php

declare(strict_types=1);

namespace Almanac\Engagements;

use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Money\Percent;

/** What may become of something that is not ours yet. */
final readonly class Enquiry
{
    private function __construct(public Money $value, public Percent $chance, public ?Day $decidedOn)
    {
    }

    /**
     * @param Day|null $decidedOn when a decision is expected
     *
     * @throws EngagementRefused when it is worth less than nothing
     */
    public static function of(Money $value, Percent $chance, ?Day $decidedOn): self
    {
        return $value->isNegative() ? throw EngagementRefused::negativeValue() : new self($value, $chance, $decidedOn);
    }

    /** Its value by its chance, rounded half up: the expectation of textbooks. */
    public function weighed(): Money
    {
        return $this->value->percentage($this->chance);
    }

    /** Whether the day on which it was to be decided has passed. */
    public function isOverdue(Day $today): bool
    {
        return $this->decidedOn?->isBefore($today) === true;
    }
}
