<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** Who invites whom to an event, how often that has been changed since, and whether it is called off. */
final readonly class Invitees
{
    /**
     * @param array{string, string} $organizer the name and the email
     * @param list<array{string, string}> $attendees the name and the email of each
     * @param int $sequence 0 for the first invitation; RFC 5545, section 3.8.7.4
     */
    public function __construct(public array $organizer, public array $attendees, public int $sequence, public bool $isCancelled)
    {
    }
}
