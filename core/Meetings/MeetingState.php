<?php

declare(strict_types=1);

namespace Almanac\Meetings;

use Almanac\Titled;

/** What has become of a meeting. */
enum MeetingState: string implements Titled
{
    case Planned = 'planned';
    case Held = 'held';
    case Cancelled = 'cancelled';

    public function title(): string
    {
        return match ($this) {
            self::Planned => 'planned',
            self::Held => 'held',
            self::Cancelled => 'called off',
        };
    }

    /** @throws MeetingRefused when it is over, or will not be */
    public function mustBePlanned(): void
    {
        if ($this !== self::Planned) {
            throw MeetingRefused::notPlanned($this);
        }
    }

    /** @throws MeetingRefused when it was called off */
    public function mustNotBeCancelled(): void
    {
        if ($this === self::Cancelled) {
            throw MeetingRefused::notPlanned($this);
        }
    }
}
