<?php

declare(strict_types=1);

namespace Almanac\Calendar;

use Almanac\Refusal;

/** A time that no clock shows, or that cannot be read. */
final class ImpossibleTime extends Refusal
{
    public static function unreadable(string $typed): self
    {
        return new self("“{$typed}” is not a time. Type it like 9, 9:30, 2pm or 14:05.");
    }
}
