<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

use Almanac\Titled;

/** What was decided about something that a conflict search found. */
enum Decision: string implements Titled
{
    case NoConflict = 'no-conflict';
    case Consent = 'consent';
    case Declined = 'declined';

    public function title(): string
    {
        return match ($this) {
            self::NoConflict => 'no conflict',
            self::Consent => 'consent given',
            self::Declined => 'declined',
        };
    }
}
