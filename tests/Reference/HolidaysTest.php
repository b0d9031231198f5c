<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Calendar\Day;
use Almanac\Calendar\UsFederalHolidays;
use Almanac\Calendar\Weekday;
use PHPUnit\Framework\TestCase;

/** Against the npm package date-holidays, for 2020 to 2035. */
final class HolidaysTest extends TestCase
{
    public function test_the_weekdays_off_agree(): void
    {
        $reference = NodeReference::ask('holidays.mjs');
        $this->assertSame(range(2020, 2035), array_keys($reference));
        foreach ($reference as $year => $holidays) {
            $theirs = [];
            foreach ($holidays as ['date' => $date]) {
                $day = Day::fromIso($date);
                if (! in_array($day->weekday(), [Weekday::Saturday, Weekday::Sunday], true)) {
                    $theirs[] = $date;
                }
            }
            $theirs = [...$theirs, ...$this->veteransDayShifts((int) $year)];
            sort($theirs);

            $this->assertSame($theirs, array_keys((new UsFederalHolidays)->in((int) $year)), "in $year");
        }
    }

    /**
     * The one difference: the package leaves Veterans Day on a weekend where it is; 5 U.S.C. 6103(b)
     * and Executive Order 11582 shift it like every other.
     *
     * @return list<string>
     */
    private function veteransDayShifts(int $year): array
    {
        $day = Day::of($year, 11, 11);

        return match ($day->weekday()) {
            Weekday::Saturday => [$day->plusDays(-1)->toIso()],
            Weekday::Sunday => [$day->plusDays(1)->toIso()],
            default => [],
        };
    }

    public function test_every_holiday_is_kept_once_a_year(): void
    {
        foreach (range(2022, 2100) as $year) {
            // New Year's Day on a Saturday is kept in the year before.
            $kept = array_count_values((new UsFederalHolidays)->in($year));
            $newYear = 'New Year’s Day';
            $expected = 1
                + (Day::of($year + 1, 1, 1)->weekday() === Weekday::Saturday ? 1 : 0)
                - (Day::of($year, 1, 1)->weekday() === Weekday::Saturday ? 1 : 0);
            $this->assertSame($expected, $kept[$newYear] ?? 0);
            unset($kept[$newYear]);
            $this->assertCount(10, $kept);
            $this->assertSame([1], array_values(array_unique($kept)));
        }
    }
}
