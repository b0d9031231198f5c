<?php

declare(strict_types=1);

namespace Almanac\Engagements;

use Almanac\Titled;

/** What a stage means to the program, whatever the firm calls it. */
enum StageKind: string implements Titled
{
    /** Not ours yet: it has a value, a chance and a day on which it is decided. */
    case Enquiry = 'enquiry';
    case Open = 'open';

    /** Ours, and for somebody else to go on with. */
    case Waiting = 'waiting';
    case Closed = 'closed';

    public function title(): string
    {
        return $this->value;
    }

    /** Whether somebody still works on it. */
    public function isLive(): bool
    {
        return $this !== self::Closed;
    }
}
