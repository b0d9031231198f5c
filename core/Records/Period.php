<?php

declare(strict_types=1);

namespace Almanac\Records;

use Almanac\Calendar\Day;

/** From a day until a day, both included; either end may be open. */
final readonly class Period
{
    private function __construct(public ?Day $since, public ?Day $until)
    {
    }

    /** @throws PeriodRefused when it ends before it begins */
    public static function of(?Day $since, ?Day $until): self
    {
        return $since !== null && $until !== null && $until->isBefore($since)
            ? throw PeriodRefused::endsBeforeItBegins($since, $until)
            : new self($since, $until);
    }

    public function includes(Day $day): bool
    {
        return ($this->since === null || ! $day->isBefore($this->since))
            && ($this->until === null || ! $day->isAfter($this->until));
    }

    /** Whether its last day is past. */
    public function isOver(Day $today): bool
    {
        return $this->until !== null && $this->until->isBefore($today);
    }

    /** Whether there is a day that both include. */
    public function overlaps(self $other): bool
    {
        return ($this->since === null || $other->until === null || ! $other->until->isBefore($this->since))
            && ($other->since === null || $this->until === null || ! $this->until->isBefore($other->since));
    }

    /** For reading: "since 1 Mar 2026", "until 30 Jun 2026", "1 Mar 2026 to 30 Jun 2026", or nothing. */
    public function toText(): string
    {
        return match (true) {
            $this->since !== null && $this->until !== null => $this->since->toText().' to '.$this->until->toText(),
            $this->since !== null => 'since '.$this->since->toText(),
            $this->until !== null => 'until '.$this->until->toText(),
            default => '',
        };
    }
}
