<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use Almanac\Calendar\Day;
use Almanac\Calendar\ImpossibleDay;
use Almanac\Calendar\Month;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Day does its own arithmetic; here it is held against PHP's calendar, an implementation of others. */
final class DayTest extends TestCase
{
    public function test_every_day_of_2023_to_2029_agrees_with_phps_calendar(): void
    {
        $day = Day::of(2023, 1, 1);
        $php = new \DateTimeImmutable('2023-01-01', new \DateTimeZone('UTC'));
        for ($n = 0; $php->format('Y') !== '2030'; $n++) {
            $this->assertSame($php->format('Y-m-d'), $day->toIso());
            $this->assertSame((int) $php->format('N'), $day->weekday()->value);
            $this->assertSame($php->format('Y-m-t'), $day->endOfMonth()->toIso());
            $this->assertSame($n, Day::of(2023, 1, 1)->daysUntil($day));
            $day = $day->plusDays(1);
            $php = $php->modify('+1 day');
        }
        $this->assertSame(2557, $n, 'seven years, two of them leap years');
    }

    public function test_adding_months_keeps_the_day_or_takes_the_months_last(): void
    {
        for ($day = Day::of(2023, 1, 1); $day->year < 2030; $day = $day->plusDays(1)) {
            foreach ([1, 2, 3, 11, 12, 13, -1, -12] as $months) {
                // PHP lets 31 January plus a month run into March, so the month is reached from its first day.
                $month = (new \DateTimeImmutable($day->toIso()))->modify('first day of this month')->modify("$months months");
                $expected = min($day->day, (int) $month->format('t'));
                $this->assertSame($month->format('Y-m-').sprintf('%02d', $expected), $day->plusMonths($months)->toIso());
            }
        }
    }

    public function test_it_goes_back_and_forth_over_all_it_can_hold(): void
    {
        $first = Day::of(1, 1, 1);
        $last = Day::of(9999, 12, 31);
        // The count of days from 0001-01-01 to 9999-12-31: 9999 years with 2424 leap days, less one.
        $this->assertSame(9999 * 365 + 2424 - 1, $first->daysUntil($last));
        $this->assertTrue($first->plusDays($first->daysUntil($last))->equals($last));
        $this->assertTrue($last->plusDays(-$first->daysUntil($last))->equals($first));
    }

    /** @return iterable<string, array{int, int, int, string}> */
    public static function impossible(): iterable
    {
        yield '31 February' => [2026, 2, 31, 'There is no 31 February: February 2026 has 28 days.'];
        yield '29 February of a common year' => [2025, 2, 29, 'There is no 29 February: February 2025 has 28 days.'];
        yield '31 April' => [2026, 4, 31, 'There is no 31 April: April 2026 has 30 days.'];
        yield 'month 13' => [2026, 13, 1, 'There is no month 13: months run from 1 to 12.'];
        yield 'year 0' => [0, 1, 1, 'The year 0 is out of range: years run from 1 to 9999.'];
    }

    #[DataProvider('impossible')]
    public function test_it_refuses_what_no_calendar_has(int $year, int $month, int $day, string $message): void
    {
        $this->expectExceptionObject(new \DomainException($message));
        $this->expectException(ImpossibleDay::class);
        Day::of($year, $month, $day);
    }

    public function test_leap_years(): void
    {
        $this->assertTrue(Month::isLeap(2024));
        $this->assertTrue(Month::isLeap(2000));
        $this->assertFalse(Month::isLeap(1900));
        $this->assertFalse(Month::isLeap(2026));
        $this->assertSame('29 Feb 2024', Day::of(2024, 2, 29)->toText());
    }

    public function test_text(): void
    {
        $day = Day::fromIso('2026-01-31');
        $this->assertSame('31 Jan 2026', $day->toText());
        $this->assertSame('Sat 31 Jan 2026', $day->toTextWithWeekday());
        $this->assertSame('"2026-01-31"', json_encode($day));
    }
}
