<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/** Holidays that an office has read in, added to those it keeps by rule. */
final readonly class OwnHolidays implements Holidays
{
    /** @param  array<string, string>  $own names by ISO day */
    public function __construct(private Holidays $byRule, private array $own)
    {
    }

    public function nameOf(Day $day): ?string
    {
        return $this->own[$day->toIso()] ?? $this->byRule->nameOf($day);
    }
}
