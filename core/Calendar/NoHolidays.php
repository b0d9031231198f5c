<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/** For an office that keeps no holidays but its weekends. */
final readonly class NoHolidays implements Holidays
{
    public function nameOf(Day $day): ?string
    {
        return null;
    }
}
