<?php

declare(strict_types=1);

namespace Almanac\Records;

use Almanac\Calendar\Day;
use Almanac\Refusal;

/** A period that ends before it begins. */
final class PeriodRefused extends Refusal
{
    public static function endsBeforeItBegins(Day $since, Day $until): self
    {
        return new self(sprintf('It cannot end on %s, before it begins on %s.', $until->toText(), $since->toText()));
    }
}
