<?php

declare(strict_types=1);

namespace Almanac\Calendar;

use Almanac\Refusal;

/** A rule of repeating that cannot be read. */
final class RecurrenceRefused extends Refusal
{
    public static function unreadable(string $typed): self
    {
        return new self(
            "“{$typed}” cannot be read. Try “every week”, “every 3 months”, “every weekday”, or a rule such as FREQ=MONTHLY;BYDAY=2TU.",
        );
    }

    public static function never(string $typed): self
    {
        return new self("“{$typed}” never comes: no such month has that day.");
    }
}
