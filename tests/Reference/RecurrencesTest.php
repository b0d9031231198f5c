<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Calendar\Day;
use Almanac\Calendar\Recurrence;
use Almanac\Calendar\TimeOfDay;
use Almanac\Interchange\CalendarEvent;
use Almanac\Interchange\CalendarFeed;
use PHPUnit\Framework\TestCase;

/**
 * Against the npm package ical.js, which reads iCalendar and works out its recurrence rules. It
 * takes BYDAY=20MO in a year for every Monday, so that example of the RFC stands in the core's own test.
 */
final class RecurrencesTest extends TestCase
{
    private const COUNT = 15;

    private const RULES = [
        'FREQ=DAILY',
        'FREQ=DAILY;INTERVAL=3',
        'FREQ=DAILY;INTERVAL=10;COUNT=5',
        'FREQ=DAILY;BYMONTH=1',
        'FREQ=DAILY;BYDAY=MO,TU',
        'FREQ=WEEKLY',
        'FREQ=WEEKLY;INTERVAL=2',
        'FREQ=WEEKLY;BYDAY=MO,WE,FR',
        'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,TH',
        'FREQ=WEEKLY;INTERVAL=3;BYDAY=SU',
        'FREQ=MONTHLY',
        'FREQ=MONTHLY;INTERVAL=2',
        'FREQ=MONTHLY;BYMONTHDAY=2,15',
        'FREQ=MONTHLY;BYMONTHDAY=-1',
        'FREQ=MONTHLY;BYMONTHDAY=31',
        'FREQ=MONTHLY;BYDAY=1FR',
        'FREQ=MONTHLY;BYDAY=-1TU',
        'FREQ=MONTHLY;BYDAY=2TU,4TU',
        'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13',
        'FREQ=MONTHLY;INTERVAL=18;BYMONTHDAY=10,11,12,13,14,15',
        'FREQ=YEARLY',
        'FREQ=YEARLY;INTERVAL=2',
        'FREQ=YEARLY;BYMONTH=6,7',
        'FREQ=YEARLY;BYMONTH=3;BYDAY=TH',
        'FREQ=YEARLY;BYMONTH=11;BYDAY=4TH',
        'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1',
    ];

    public function test_occurrences_agree(): void
    {
        $asked = [];
        foreach (self::RULES as $rule) {
            foreach (['2023-01-31', '2024-02-29', '2026-11-24', '2027-08-01'] as $day) {
                // A series begins on a day that its rule names; RFC 5545 leaves the rest undefined.
                $recurrence = Recurrence::read($rule);
                $start = $recurrence->nextAfter(Day::fromIso($day), Day::fromIso($day));
                if ($start !== null) {
                    $asked[] = ['rule' => $rule, 'start' => $start->toIso(), 'count' => self::COUNT];
                }
            }
        }
        $this->assertGreaterThan(90, count($asked));
        foreach (NodeReference::ask('recurrences.mjs', $asked) as $index => $theirs) {
            ['rule' => $rule, 'start' => $start] = $asked[$index];
            if (preg_match('/^FREQ=YEARLY(?!.*DAY)/', $rule) === 1 && (int) substr($start, 8) > 28) {
                // The one difference: the package goes on into the next month; RFC 5545, section 3.3.10, leaves out days that are none.
                continue;
            }
            $ours = [];
            $day = Day::fromIso($start)->plusDays(-1);
            while (count($ours) < self::COUNT && ($day = Recurrence::read($rule)->nextAfter(Day::fromIso($start), $day)) !== null) {
                $ours[] = $day->toIso();
            }
            $this->assertSame(array_slice((array) $theirs, 0, count($ours)), $ours, "$rule from $start");
            $this->assertNotSame([], $ours);
        }
    }

    public function test_a_feed_is_read_as_it_was_meant(): void
    {
        $summary =
            'Ring the verger; twice, at "the" gate \\ bell: '.str_repeat('Zifferblätter für Regula Aebi-Müller 🕰 ', 6)."\nsecond line";
        $feed = CalendarFeed::write('Reminders', new \DateTimeImmutable('2026-11-24T09:30:00', new \DateTimeZone('America/New_York')), [
            new CalendarEvent(
                '1@almanac',
                Day::fromIso('2026-11-25'),
                TimeOfDay::read('9:05'),
                $summary,
                Recurrence::read('FREQ=MONTHLY;BYDAY=2TU'),
                'http://127.0.0.1/records/3',
            ),
            new CalendarEvent('2@almanac', Day::fromIso('2027-07-01'), TimeOfDay::read('14'), 'Plain'),
        ]);
        foreach (explode("\r\n", rtrim($feed)) as $line) {
            $this->assertLessThanOrEqual(75, strlen($line));
            $this->assertTrue(mb_check_encoding($line, 'UTF-8'));
        }
        $this->assertSame(
            [
                [
                    'uid' => '1@almanac',
                    'summary' => $summary,
                    'start' => '2026-11-25T09:05:00',
                    'instant' => '2026-11-25T14:05:00.000Z',
                    'rule' => 'FREQ=MONTHLY;BYDAY=2TU',
                    'url' => 'http://127.0.0.1/records/3',
                ],
                [
                    'uid' => '2@almanac',
                    'summary' => 'Plain',
                    'start' => '2027-07-01T14:00:00',
                    'instant' => '2027-07-01T18:00:00.000Z',
                    'rule' => '',
                    'url' => '',
                ],
            ],
            NodeReference::ask('calendar.mjs', $feed),
        );
    }
}
