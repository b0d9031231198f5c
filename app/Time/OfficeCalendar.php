<?php

declare(strict_types=1);

namespace App\Time;

use Almanac\Calendar\BusinessCalendar;
use Almanac\Calendar\NoHolidays;
use Almanac\Calendar\OwnHolidays;
use Almanac\Calendar\UsFederalHolidays;
use App\Models\Office;
use Illuminate\Support\Facades\DB;

/** The business days of the office: weekends off, the holidays of its country, and those it has read in. */
final class OfficeCalendar
{
    public static function of(Office $office): BusinessCalendar
    {
        $own = once(fn (): array => DB::table('holidays')->pluck('name', 'kept_on')->all());

        return BusinessCalendar::with(new OwnHolidays($office->keepsUsHolidays() ? new UsFederalHolidays : new NoHolidays, $own));
    }
}
