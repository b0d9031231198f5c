<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use Almanac\Calendar\Day;
use Almanac\Calendar\Recurrence;
use PHPUnit\Framework\TestCase;

/** What holds for every rule, on random ones. */
final class RecurrencePropertiesTest extends TestCase
{
    private const ROUNDS = 150;

    public function test_it_goes_forward_names_its_days_and_reads_as_it_is_written(): void
    {
        mt_srand(5545);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $rule = $this->rule();
            $recurrence = Recurrence::read($rule);
            $this->assertSame($recurrence->toRule(), Recurrence::read($recurrence->toRule())->toRule(), $rule);
            $this->assertStringStartsWith('every ', $recurrence->toText(), $rule);
            $start = Day::fromIso('2024-01-01')->plusDays(mt_rand(0, 1200));
            $day = $start;
            for ($n = 0; $n < 6; $n++) {
                $next = $recurrence->nextAfter($start, $day);
                if ($next === null) {
                    break;
                }
                $this->assertTrue($next->isAfter($day), "$rule goes forward");
                $this->assertNames($rule, $next);
                // Asked a day before it comes, it is that day still: nothing between is left out.
                $this->assertSame($next->toIso(), $recurrence->nextAfter($start, $next->plusDays(-1))?->toIso(), $rule);
                $day = $next;
            }
        }
    }

    public function test_a_count_is_the_number_of_days_from_its_first(): void
    {
        foreach ([1, 2, 7] as $count) {
            foreach (['DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'] as $frequency) {
                $recurrence = Recurrence::read("FREQ=$frequency;COUNT=$count");
                $start = Day::fromIso('2026-01-15');
                $days = [];
                $day = $start->plusDays(-1);
                while (($day = $recurrence->nextAfter($start, $day)) !== null) {
                    $days[] = $day->toIso();
                }
                $this->assertCount($count, $days, $frequency);
                $this->assertSame('2026-01-15', $days[0]);
            }
        }
    }

    private function assertNames(string $rule, Day $day): void
    {
        if (preg_match('/BYMONTH=([\d,]+)/', $rule, $months) === 1) {
            $this->assertContains((string) $day->month, explode(',', $months[1]), $rule);
        }
        if (preg_match('/BYMONTHDAY=([\d,]+)/', $rule, $days) === 1) {
            $this->assertContains((string) $day->day, explode(',', $days[1]), $rule);
        }
        if (preg_match('/BYDAY=([A-Z,]+)/', $rule, $days) === 1) {
            $this->assertContains(strtoupper(substr($day->weekday()->name, 0, 2)), explode(',', $days[1]), $rule);
        }
        if (preg_match('/UNTIL=(\d{8})/', $rule, $until) === 1) {
            $this->assertLessThanOrEqual($until[1], str_replace('-', '', $day->toIso()), $rule);
        }
    }

    private function rule(): string
    {
        $frequency = ['DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'][mt_rand(0, 3)];
        $some = fn (array $all) => implode(
            ',',
            array_intersect_key($all, array_flip((array) array_rand($all, mt_rand(1, min(3, count($all)))))),
        );

        return implode(';', array_filter([
            "FREQ=$frequency",
            mt_rand(0, 1) === 1 ? 'INTERVAL='.mt_rand(1, 6) : '',
            mt_rand(0, 3) === 0 ? 'UNTIL=20280615' : '',
            mt_rand(0, 2) === 0 ? 'BYMONTH='.$some(range(1, 12)) : '',
            $frequency !== 'WEEKLY' && mt_rand(0, 2) === 0 ? 'BYMONTHDAY='.$some(range(1, 28)) : '',
            mt_rand(0, 2) === 0 ? 'BYDAY='.$some(['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU']) : '',
        ]));
    }
}
