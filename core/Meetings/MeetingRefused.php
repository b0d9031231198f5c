<?php

declare(strict_types=1);

namespace Almanac\Meetings;

use Almanac\Refusal;

/** Something that meetings cannot do. */
final class MeetingRefused extends Refusal
{
    public static function notPlanned(MeetingState $state): self
    {
        return new self($state === MeetingState::Held
            ? 'This meeting has been held. Arrange another one.'
            : 'This meeting was called off. Arrange another one.');
    }

    public static function tooLong(): self
    {
        return new self('Type how long it lasts in minutes, from 5 to 1440.');
    }

    public static function noEmail(string $name): self
    {
        return new self("$name has no email to be invited by. Add one to the record, or leave the invitations out.");
    }
}
