<?php

declare(strict_types=1);

namespace App\Support;

use Almanac\Calendar\BusinessCalendar;
use Almanac\Calendar\NoHolidays;
use Almanac\Calendar\UsFederalHolidays;
use App\Models\Office;

/** The business days of the office, by its country. */
final class OfficeCalendar
{
    public static function of(Office $office): BusinessCalendar
    {
        return BusinessCalendar::with($office->country === 'US' ? new UsFederalHolidays : new NoHolidays);
    }
}
