<?php

declare(strict_types=1);

namespace Almanac\Mailing;

use Almanac\Titled;

/** How far a message in the outbox has come. */
enum MessageState: string implements Titled
{
    /** The office has no mail server. */
    case Kept = 'kept';
    case Waiting = 'waiting';
    case Sending = 'sending';
    case Sent = 'sent';
    case Failed = 'failed';

    public function title(): string
    {
        return match ($this) {
            self::Kept => 'kept here only',
            self::Waiting => 'waiting',
            self::Sending => 'on its way',
            self::Sent => 'sent',
            self::Failed => 'not sent',
        };
    }
}
