<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/** Days of the week, numbered as in ISO 8601: Monday is 1, Sunday is 7. */
enum Weekday: int
{
    case Monday = 1;
    case Tuesday = 2;
    case Wednesday = 3;
    case Thursday = 4;
    case Friday = 5;
    case Saturday = 6;
    case Sunday = 7;

    public function short(): string
    {
        return substr($this->name, 0, 3);
    }
}
