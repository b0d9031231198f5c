<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Calendar\Day;
use Almanac\Calendar\TimeOfDay;
use Almanac\Interchange\CalendarEvent;
use Almanac\Interchange\CalendarFeed;
use Almanac\Interchange\Invitees;
use PHPUnit\Framework\TestCase;

/** Invitations, RFC 5545 and 5546, as the npm package ical.js reads them. */
final class InvitationsTest extends TestCase
{
    public function test_an_invitation_is_read_with_all_who_come_and_a_cancellation_takes_its_place(): void
    {
        $event = new CalendarEvent(
            'meeting-7@almanac.example',
            Day::fromIso('2027-03-15'),
            TimeOfDay::read('14:30'),
            'Dial; hands, and “movement”',
            null,
            '',
            90,
            "Tower stair,\nbehind the council chamber",
            "1. The dial\n2. Who pays; how much",
        );
        $attendees = [['Wren, Silas "Sy"', 'silas@wren.example'], ['Zoë Škvorecká', 'zoe@orreryvane.example']];
        $invitees = fn (int $sequence, bool $isCancelled) => new Invitees(
            ['Maud Ferris', 'maud@orreryvane.example'], $attendees, $sequence, $isCancelled,
        );
        $stamp = new \DateTimeImmutable('2026-11-24T09:30:00', new \DateTimeZone('America/New_York'));

        [$asked] = (array) NodeReference::ask('calendar.mjs', CalendarFeed::invitation($event, $invitees(0, false), $stamp));
        $this->assertSame([
            'uid' => 'meeting-7@almanac.example',
            'summary' => 'Dial; hands, and “movement”',
            'start' => '2027-03-15T14:30:00',
            // Summer time has begun the day before.
            'instant' => '2027-03-15T18:30:00.000Z',
            'rule' => '',
            'url' => '',
            'method' => 'REQUEST',
            'sequence' => 0,
            'status' => 'CONFIRMED',
            'location' => "Tower stair,\nbehind the council chamber",
            'description' => "1. The dial\n2. Who pays; how much",
            'minutes' => 90,
            'organizer' => 'mailto:maud@orreryvane.example',
            'attendees' => [
                ["Wren, Silas 'Sy'", 'mailto:silas@wren.example', 'NEEDS-ACTION'],
                ['Zoë Škvorecká', 'mailto:zoe@orreryvane.example', 'NEEDS-ACTION'],
            ],
        ], (array) $asked);

        [$off] = (array) NodeReference::ask('calendar.mjs', CalendarFeed::invitation($event, $invitees(3, true), $stamp));
        $this->assertSame(['CANCEL', 3, 'CANCELLED'], [$off['method'], $off['sequence'], $off['status']]);
    }
}
