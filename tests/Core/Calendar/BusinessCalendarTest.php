<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use Almanac\Calendar\BusinessCalendar;
use Almanac\Calendar\Day;
use Almanac\Calendar\NoHolidays;
use Almanac\Calendar\Roll;
use Almanac\Calendar\UsFederalHolidays;
use Almanac\Calendar\Weekday;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Rolls as the 2006 ISDA Definitions, section 4.12, define them. */
final class BusinessCalendarTest extends TestCase
{
    #[TestWith(['2026-05-30', Roll::None, '2026-05-30'])]
    #[TestWith(['2026-05-30', Roll::Next, '2026-06-01'])]
    #[TestWith(['2026-05-30', Roll::Previous, '2026-05-29'])]
    #[TestWith(['2026-05-30', Roll::NextWithinMonth, '2026-05-29'])] // following would leave May
    #[TestWith(['2026-05-16', Roll::NextWithinMonth, '2026-05-18'])]
    #[TestWith(['2026-07-03', Roll::Next, '2026-07-06'])] // Independence Day is kept on Friday the 3rd
    #[TestWith(['2026-11-26', Roll::Next, '2026-11-27'])] // Thanksgiving Day
    #[TestWith(['2027-12-31', Roll::Next, '2028-01-03'])] // New Year's Day 2028, a Saturday, is kept the day before
    public function test_rolls(string $day, Roll $roll, string $expected): void
    {
        $calendar = BusinessCalendar::with(new UsFederalHolidays);
        $this->assertSame($expected, $calendar->roll(Day::fromIso($day), $roll)->toIso());
    }

    public function test_a_rolled_day_is_a_business_day_and_rolls_no_further(): void
    {
        $calendar = BusinessCalendar::with(new UsFederalHolidays);
        for ($day = Day::of(2023, 1, 1); $day->year < 2030; $day = $day->plusDays(1)) {
            foreach ([Roll::Next, Roll::Previous, Roll::NextWithinMonth] as $roll) {
                $rolled = $calendar->roll($day, $roll);
                $this->assertTrue($calendar->isBusinessDay($rolled));
                $this->assertTrue($calendar->roll($rolled, $roll)->equals($rolled));
                $this->assertLessThanOrEqual(5, abs($day->daysUntil($rolled)));
            }
            $this->assertTrue($calendar->roll($day, Roll::NextWithinMonth)->sharesMonthWith($day));
        }
    }

    public function test_a_week_may_have_other_weekends(): void
    {
        $calendar = BusinessCalendar::with(new NoHolidays, [Weekday::Friday, Weekday::Saturday]);
        $this->assertSame('a Friday', $calendar->reasonClosed(Day::fromIso('2026-11-27')));
        $this->assertTrue($calendar->isBusinessDay(Day::fromIso('2026-11-29')));
    }

    public function test_a_week_without_business_is_refused(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        BusinessCalendar::with(new NoHolidays, Weekday::cases());
    }
}
