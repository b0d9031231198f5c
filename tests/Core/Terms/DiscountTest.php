<?php

declare(strict_types=1);

namespace Tests\Core\Terms;

use Almanac\Calendar\BusinessCalendar;
use Almanac\Calendar\Day;
use Almanac\Calendar\NoHolidays;
use Almanac\Terms\Shorthand;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * The cost of not taking a cash discount. 2/10 net 30 is the standard example of financial
 * management textbooks: 37.24% on a year of 365 days, 36.73% on one of 360. The others are
 * worked by hand from the same formula, p / (100 − p) × year / (N − n).
 */
final class DiscountTest extends TestCase
{
    #[TestWith(['2/10 net 30', '37.24', '36.73'])] // 2/98 × 365/20 = 0.372449
    #[TestWith(['1/10 net 30', '18.43', '18.18'])] // 1/99 × 365/20 = 0.184343
    #[TestWith(['3/10 net 30', '56.44', '55.67'])] // 3/97 × 365/20 = 0.564433
    #[TestWith(['2/10 net 60', '14.90', '14.69'])] // 2/98 × 365/50 = 0.148980
    #[TestWith(['2/10 net 45', '21.28', '20.99'])] // 2/98 × 365/35 = 0.212828
    public function test_cost_of_not_taking_it(string $terms, string $on365, string $on360): void
    {
        $discount = $this->apply($terms, '2026-01-01')->discount;
        $this->assertNotNull($discount);
        $this->assertSame($on365, (string) $discount->costPerYear());
        $this->assertSame($on360, (string) $discount->costPerYear(360));
    }

    public function test_it_runs_from_the_documents_date_or_from_the_months_end(): void
    {
        $this->assertSame('2026-02-10', $this->apply('2/10 net 30', '2026-01-31')->discount?->lastDay->toIso());
        $this->assertSame('2026-02-15', $this->apply('1/15 EOM net 45', '2026-01-10')->discount?->lastDay->toIso());
    }

    public function test_it_never_runs_past_the_due_date(): void
    {
        // Twenty days after the month's end lie past net 45 for what is dated early in a long month.
        $early = $this->apply('2/20 EOM net 45', '2026-01-01')->discount;
        $this->assertSame('2026-02-15', $early?->lastDay->toIso());
        $this->assertNull($early->costPerYear(), 'waiting gains nothing');
        $this->assertSame('2% off until 15 Feb 2026.', $early->sentence());
        $this->assertSame('2026-02-20', $this->apply('2/20 EOM net 45', '2026-01-31')->discount?->lastDay->toIso());
    }

    private function apply(string $terms, string $day): \Almanac\Terms\Outcome
    {
        return Shorthand::read($terms)->applyTo(Day::fromIso($day), BusinessCalendar::with(new NoHolidays));
    }
}
