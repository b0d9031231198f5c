<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use Almanac\Calendar\Day;
use Almanac\Calendar\ImpossibleDay;
use Almanac\Calendar\TypedDay;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class TypedDayTest extends TestCase
{
    #[TestWith(['2026-01-31', '2026-01-31'])]
    #[TestWith(['2026-1-5', '2026-01-05'])]
    #[TestWith(['jan 31', '2026-01-31'])]
    #[TestWith(['31 jan', '2026-01-31'])]
    #[TestWith(['31 January 2027', '2027-01-31'])]
    #[TestWith(['Jan. 31, 2027', '2027-01-31'])]
    #[TestWith(['7 Aug 2020', '2020-08-07'])]
    #[TestWith(['sept 3rd', '2026-09-03'])]
    #[TestWith(['1/31', '2026-01-31'])]
    #[TestWith(['31/1', '2026-01-31'])]
    #[TestWith(['3/4', '2026-03-04'])]
    #[TestWith(['3/4/27', '2027-03-04'])]
    #[TestWith(['12.31.99', '1999-12-31'])]
    #[TestWith(['+30', '2026-12-24'])]
    #[TestWith(['-1', '2026-11-23'])]
    #[TestWith([' today ', '2026-11-24'])]
    #[TestWith(['Tomorrow', '2026-11-25'])]
    #[TestWith(['yesterday', '2026-11-23'])]
    #[TestWith(['fri', '2026-11-27'])]
    #[TestWith(['Friday', '2026-11-27'])]
    #[TestWith(['next mon', '2026-11-30'])]
    #[TestWith(['tue', '2026-12-01'])]
    #[TestWith(['thurs', '2026-11-26'])]
    #[TestWith(['1 week', '2026-12-01'])]
    #[TestWith(['in 2 weeks', '2026-12-08'])]
    #[TestWith(['a month', '2026-12-24'])]
    #[TestWith(['10 days', '2026-12-04'])]
    #[TestWith(['31.1.', '2026-01-31'])]
    #[TestWith(['jan. 31.', '2026-01-31'])]
    public function test_it_reads_what_people_type_in_the_united_states(string $typed, string $iso): void
    {
        $this->assertSame($iso, TypedDay::reader(Day::fromIso('2026-11-24'), monthFirst: true)->read($typed)->toIso());
    }

    public function test_elsewhere_the_day_comes_first(): void
    {
        $reader = TypedDay::reader(Day::fromIso('2026-11-24'), monthFirst: false);
        $this->assertSame('2026-04-03', $reader->read('3/4')->toIso());
        $this->assertSame('2026-01-31', $reader->read('1/31')->toIso(), 'no month 31, so it must be the day');
    }

    public function test_every_day_that_is_shown_can_be_typed_again(): void
    {
        $reader = TypedDay::reader(Day::fromIso('2026-11-24'), monthFirst: true);
        for ($day = Day::of(2024, 1, 1); $day->year < 2026; $day = $day->plusDays(1)) {
            $this->assertTrue($reader->read($day->toText())->equals($day));
            $this->assertTrue($reader->read($day->toIso())->equals($day));
        }
    }

    #[TestWith(['31 February', 'There is no 31 February: February 2026 has 28 days.'])]
    #[TestWith(['2/30', 'There is no 30 February: February 2026 has 28 days.'])]
    #[TestWith(['13/13', 'There is no month 13: months run from 1 to 12.'])]
    #[TestWith(['soon', '“soon” is not a date we can read. Try 31 Jan 2026, 2026-01-31, jan 31 or +30.'])]
    #[TestWith(['31 juicy', '“31 juicy” is not a date we can read. Try 31 Jan 2026, 2026-01-31, jan 31 or +30.'])]
    #[TestWith(['', '“” is not a date we can read. Try 31 Jan 2026, 2026-01-31, jan 31 or +30.'])]
    public function test_it_says_what_is_wrong(string $typed, string $message): void
    {
        $this->expectException(ImpossibleDay::class);
        $this->expectExceptionMessage($message);
        TypedDay::reader(Day::fromIso('2026-11-24'), monthFirst: true)->read($typed);
    }
}
