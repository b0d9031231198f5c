<?php

declare(strict_types=1);

namespace Tests\Core\Records;

use Almanac\Calendar\Day;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\Period;
use Almanac\Records\PeriodRefused;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RecordsTest extends TestCase
{
    public function test_differences_are_told_in_words(): void
    {
        $before = ['a' => new LoggedFact('Phone', '1'), 'b' => new LoggedFact('Phone', '2'), 'c' => new LoggedFact('Email', '3')];
        $after = ['a' => new LoggedFact('Phone', '1'), 'c' => new LoggedFact('Email', '4'), 'd' => new LoggedFact('Website', '5')];
        $this->assertSame(
            [['Phone', '2', ''], ['Email', '3', '4'], ['Website', '', '5']],
            array_map(fn (Difference $one) => [$one->label, $one->from, $one->to], Difference::between($before, $after)),
        );
        $this->assertSame([], Difference::between($before, $before));
    }

    #[TestWith([null, null, ''])]
    #[TestWith(['2026-03-01', null, 'since 1 Mar 2026'])]
    #[TestWith([null, '2026-06-30', 'until 30 Jun 2026'])]
    #[TestWith(['2026-03-01', '2026-06-30', '1 Mar 2026 to 30 Jun 2026'])]
    public function test_periods_include_both_ends(?string $since, ?string $until, string $text): void
    {
        $period = Period::of($since === null ? null : Day::fromIso($since), $until === null ? null : Day::fromIso($until));
        $this->assertSame($text, $period->toText());
        $this->assertTrue($period->includes(Day::fromIso($since ?? '2026-03-01')));
        $this->assertTrue($period->includes(Day::fromIso($until ?? '2026-06-30')));
        $this->assertSame($since === null, $period->includes(Day::fromIso('2026-02-28')));
        $this->assertSame($until === null, $period->includes(Day::fromIso('2026-07-01')));
    }

    public function test_a_period_that_ends_before_it_begins_is_refused(): void
    {
        $this->expectException(PeriodRefused::class);
        $this->expectExceptionMessage('It cannot end on 28 Feb 2026, before it begins on 1 Mar 2026.');
        Period::of(Day::fromIso('2026-03-01'), Day::fromIso('2026-02-28'));
    }
}
