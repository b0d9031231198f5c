<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/**
 * What happens to a date that falls on a day without business.
 *
 * The conventions are those of the 2006 ISDA Definitions, section 4.12: Following, Preceding,
 * Modified Following; or no adjustment at all.
 */
enum Roll: string
{
    case None = 'none';
    case Next = 'next';
    case Previous = 'previous';
    case NextWithinMonth = 'next-within-month';

    /** As it is written in shorthand. */
    public function words(): string
    {
        return match ($this) {
            self::None => '',
            self::Next => 'next business day',
            self::Previous => 'previous business day',
            self::NextWithinMonth => 'next business day within the month',
        };
    }
}
