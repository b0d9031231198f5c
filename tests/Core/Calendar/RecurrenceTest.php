<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use Almanac\Calendar\Day;
use Almanac\Calendar\ImpossibleTime;
use Almanac\Calendar\Recurrence;
use Almanac\Calendar\RecurrenceRefused;
use Almanac\Calendar\TimeOfDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecurrenceTest extends TestCase
{
    /**
     * Most are the examples of RFC 5545, section 3.8.5.3.
     *
     * @return iterable<string, array{string, string, list<string>, string, string}> rule, start, first days, canonical rule, words
     */
    public static function rules(): iterable
    {
        yield 'daily for some times' => [
            'FREQ=DAILY;COUNT=3',
            '1997-09-02',
            ['1997-09-02', '1997-09-03', '1997-09-04', ''],
            'FREQ=DAILY;COUNT=3',
            'every day, 3 times',
        ];
        yield 'every other day' => [
            'FREQ=DAILY;INTERVAL=2',
            '1997-09-02',
            ['1997-09-02', '1997-09-04', '1997-09-06'],
            'FREQ=DAILY;INTERVAL=2',
            'every 2 days',
        ];
        yield 'until a day' => [
            'FREQ=DAILY;UNTIL=19970904T000000Z',
            '1997-09-02',
            ['1997-09-02', '1997-09-03', '1997-09-04', ''],
            'FREQ=DAILY;UNTIL=19970904',
            'every day, until 4 Sep 1997',
        ];
        yield 'weekly on two days' => [
            'FREQ=WEEKLY;WKST=MO;BYDAY=TU,TH',
            '1997-09-02',
            ['1997-09-02', '1997-09-04', '1997-09-09'],
            'FREQ=WEEKLY;BYDAY=TU,TH',
            'every week on Tue and Thu',
        ];
        yield 'every other week' => [
            'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE,FR',
            '1997-09-01',
            ['1997-09-01', '1997-09-03', '1997-09-05', '1997-09-15'],
            'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE,FR',
            'every 2 weeks on Mon, Wed and Fri',
        ];
        yield 'the first Friday' => [
            'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
            '1997-09-05',
            ['1997-09-05', '1997-10-03', '1997-11-07', '1997-12-05'],
            'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
            'every month on the first Fri, 10 times',
        ];
        yield 'the second-to-last Monday' => [
            'FREQ=MONTHLY;BYDAY=-2MO',
            '1997-09-22',
            ['1997-09-22', '1997-10-20', '1997-11-17'],
            'FREQ=MONTHLY;BYDAY=-2MO',
            'every month on the second-to-last Mon',
        ];
        yield 'the third day to the end' => [
            'FREQ=MONTHLY;BYMONTHDAY=-3',
            '1997-09-28',
            ['1997-09-28', '1997-10-29', '1997-11-28'],
            'FREQ=MONTHLY;BYMONTHDAY=-3',
            'every month on the third-to-last day',
        ];
        yield 'the last day' => [
            'FREQ=MONTHLY;BYMONTHDAY=-1',
            '2026-01-31',
            ['2026-01-31', '2026-02-28', '2026-03-31'],
            'FREQ=MONTHLY;BYMONTHDAY=-1',
            'every month on the last day',
        ];
        yield 'the 31st, where there is one' => [
            'every month',
            '2026-01-31',
            ['2026-01-31', '2026-03-31', '2026-05-31'],
            'FREQ=MONTHLY',
            'every month',
        ];
        yield 'Friday the 13th' => [
            'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13',
            '1998-02-13',
            ['1998-02-13', '1998-03-13', '1998-11-13', '1999-08-13'],
            'FREQ=MONTHLY;BYMONTHDAY=13;BYDAY=FR',
            'every month on Fri on day 13',
        ];
        yield 'June and July' => [
            'FREQ=YEARLY;COUNT=10;BYMONTH=6,7',
            '1997-06-10',
            ['1997-06-10', '1997-07-10', '1998-06-10'],
            'FREQ=YEARLY;COUNT=10;BYMONTH=6,7',
            'every year in Jun and Jul, 10 times',
        ];
        yield 'the 20th Monday of the year' => [
            'FREQ=YEARLY;BYDAY=20MO',
            '1997-05-19',
            ['1997-05-19', '1998-05-18', '1999-05-17'],
            'FREQ=YEARLY;BYDAY=20MO',
            'every year on the 20th Mon',
        ];
        yield 'Thursdays in March' => [
            'FREQ=YEARLY;BYMONTH=3;BYDAY=TH',
            '1997-03-13',
            ['1997-03-13', '1997-03-20', '1997-03-27', '1998-03-05'],
            'FREQ=YEARLY;BYMONTH=3;BYDAY=TH',
            'every year in Mar on Thu',
        ];
        yield 'a leap day' => ['every year', '2024-02-29', ['2024-02-29', '2028-02-29', '2032-02-29'], 'FREQ=YEARLY', 'every year'];
        yield 'a quarter' => [
            'Every quarter',
            '2026-11-24',
            ['2026-11-24', '2027-02-24', '2027-05-24'],
            'FREQ=MONTHLY;INTERVAL=3',
            'every 3 months',
        ];
        yield 'weekdays' => [
            'every weekday',
            '2026-11-27',
            ['2026-11-27', '2026-11-30', '2026-12-01'],
            'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR',
            'every week on Mon, Tue, Wed, Thu and Fri',
        ];
    }

    /** @param  list<string>  $days */
    #[DataProvider('rules')]
    public function test_it_comes_back(string $typed, string $start, array $days, string $rule, string $words): void
    {
        $recurrence = Recurrence::read($typed);
        $this->assertSame($rule, $recurrence->toRule());
        $this->assertSame($words, $recurrence->toText());
        $this->assertEquals($recurrence, Recurrence::read($rule), 'what was written reads as the same');
        $day = Day::fromIso($start)->plusDays(-1);
        foreach ($days as $expected) {
            $day = $recurrence->nextAfter(Day::fromIso($start), $day);
            $this->assertSame($expected, $day?->toIso() ?? '');
            if ($day === null) {
                return;
            }
        }
    }

    public function test_what_is_missed_is_passed_over(): void
    {
        $next = Recurrence::read('every week')->nextAfter(Day::fromIso('2026-09-01'), Day::fromIso('2026-11-24'));
        $this->assertSame('2026-12-01', $next?->toIso());
    }

    public function test_what_cannot_be_read_is_refused(): void
    {
        foreach (
            [
                '',
                'sometimes',
                'every moon',
                'every 0 days',
                'FREQ=HOURLY',
                'FREQ=DAILY;BYDAY=2TU',
                'FREQ=WEEKLY;BYMONTHDAY=3',
                'FREQ=DAILY;COUNT=3;UNTIL=20270101',
                'FREQ=DAILY;COUNT=0',
                'FREQ=MONTHLY;BYMONTHDAY=0',
                'FREQ=MONTHLY;BYDAY=9XX',
                'FREQ=DAILY;FREQ=DAILY',
                'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
                'every 999 days',
            ] as $typed
        ) {
            try {
                Recurrence::read($typed);
                $this->fail("$typed was taken");
            } catch (RecurrenceRefused $refusal) {
                $this->assertStringContainsString("“{$typed}”", $refusal->getMessage());
            }
        }
    }

    public function test_what_can_never_come_again_ends(): void
    {
        $this->assertNull(
            Recurrence::read('FREQ=MONTHLY;INTERVAL=12;BYMONTHDAY=31')->nextAfter(Day::fromIso('2026-02-01'), Day::fromIso('2026-02-01')),
        );
    }

    public function test_times_are_read_as_people_type_them(): void
    {
        foreach (
            [
                '9' => '09:00',
                '9:30' => '09:30',
                '9.05' => '09:05',
                '930' => '09:30',
                '2pm' => '14:00',
                '12 am' => '00:00',
                '12p.m.' => '12:00',
                '14h05' => '14:05',
                '23:59' => '23:59',
            ] as $typed => $text
        ) {
            $this->assertSame($text, TimeOfDay::read((string) $typed)->toText());
        }
        foreach (['', 'noon', '24:00', '9:60', '13pm', '0am', '99'] as $typed) {
            try {
                TimeOfDay::read($typed);
                $this->fail("$typed was taken");
            } catch (ImpossibleTime $refusal) {
                $this->assertSame("“{$typed}” is not a time. Type it like 9, 9:30, 2pm or 14:05.", $refusal->getMessage());
            }
        }
    }
}
