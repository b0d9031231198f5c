<?php

declare(strict_types=1);

namespace Almanac\Engagements;

use Almanac\Calendar\Day;

/** The day on which something came into a stage. */
final readonly class StageMove
{
    private function __construct(public Stage $stage, public Day $on)
    {
    }

    public static function of(Stage $stage, Day $on): self
    {
        return new self($stage, $on);
    }
}
