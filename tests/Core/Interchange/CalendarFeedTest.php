<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Calendar\Day;
use Almanac\Calendar\Recurrence;
use Almanac\Calendar\TimeOfDay;
use Almanac\Interchange\CalendarEvent;
use Almanac\Interchange\CalendarFeed;
use PHPUnit\Framework\TestCase;

/** RFC 5545, line by line. */
final class CalendarFeedTest extends TestCase
{
    public function test_a_feed_as_the_standard_writes_it(): void
    {
        $this->assertSame(
            implode("\r\n", [
                'BEGIN:VCALENDAR',
                'VERSION:2.0',
                'PRODID:-//Neat Almanac//Reminders//EN',
                'NAME:Reminders of Maud\, Orrery & Vane',
                ...$this->phoenix(),
                'BEGIN:VEVENT',
                'UID:reminder-7@almanac.example',
                'DTSTAMP:20261124T143000Z',
                'DTSTART;TZID=America/Phoenix:20261125T090500',
                'DURATION:PT15M',
                'RRULE:FREQ=WEEKLY;BYDAY=TU',
                'SUMMARY:Ring\; twice\, then\nwait \\\\ go',
                'URL:http://almanac.example/records/3',
                'END:VEVENT',
                'END:VCALENDAR',
                '',
            ]),
            CalendarFeed::write(
                'Reminders of Maud, Orrery & Vane',
                new \DateTimeImmutable('2026-11-24T07:30:00', new \DateTimeZone('America/Phoenix')),
                [
                    new CalendarEvent(
                        'reminder-7@almanac.example',
                        Day::fromIso('2026-11-25'),
                        TimeOfDay::read('9:05'),
                        "Ring; twice, then\nwait \\ go",
                        Recurrence::read('FREQ=WEEKLY;BYDAY=TU'),
                        'http://almanac.example/records/3',
                    ),
                ],
            ),
        );
    }

    public function test_an_empty_feed_is_a_calendar_still(): void
    {
        $this->assertSame(
            implode("\r\n", [
                'BEGIN:VCALENDAR',
                'VERSION:2.0',
                'PRODID:-//Neat Almanac//Reminders//EN',
                'NAME:R',
                ...$this->phoenix(),
                'END:VCALENDAR',
                '',
            ]),
            CalendarFeed::write('R', new \DateTimeImmutable('2026-11-24T07:30:00', new \DateTimeZone('America/Phoenix')), []),
        );
    }

    /** @return list<string> a zone whose clock is never changed */
    private function phoenix(): array
    {
        return [
            'BEGIN:VTIMEZONE',
            'TZID:America/Phoenix',
            'BEGIN:STANDARD',
            'DTSTART:19700101T000000',
            'TZOFFSETFROM:-0700',
            'TZOFFSETTO:-0700',
            'TZNAME:MST',
            'END:STANDARD',
            'END:VTIMEZONE',
        ];
    }

    /** Whatever the length and the letters: no line over 75 octets, no letter cut through, nothing lost. */
    public function test_long_lines_are_folded_without_loss(): void
    {
        foreach (['x', 'ä', '時', '🕰', 'é́'] as $sign) {
            for ($length = 60; $length <= 160; $length++) {
                $summary = mb_substr(str_repeat($sign, $length), 0, $length);
                $feed = CalendarFeed::write('R', new \DateTimeImmutable(), [
                    new CalendarEvent('u', Day::fromIso('2026-11-25'), TimeOfDay::read('9'), $summary),
                ]);
                foreach (explode("\r\n", $feed) as $line) {
                    $this->assertLessThanOrEqual(75, strlen($line));
                    $this->assertTrue(mb_check_encoding($line, 'UTF-8'), "$sign of $length");
                }
                $this->assertStringContainsString("SUMMARY:$summary\r\n", str_replace("\r\n ", '', $feed));
            }
        }
    }
}
