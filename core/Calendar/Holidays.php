<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/** A set of days on which an office does no business, each with its name. */
interface Holidays
{
    /** The name of the holiday kept on that day, or null. */
    public function nameOf(Day $day): ?string;
}
