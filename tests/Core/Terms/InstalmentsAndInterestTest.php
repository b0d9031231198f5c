<?php

declare(strict_types=1);

namespace Tests\Core\Terms;

use Almanac\Calendar\BusinessCalendar;
use Almanac\Calendar\Day;
use Almanac\Calendar\NoHolidays;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Terms\LateInterest;
use Almanac\Terms\Shorthand;
use Almanac\Terms\TermsRefused;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class InstalmentsAndInterestTest extends TestCase
{
    public function test_the_last_part_takes_the_remainder(): void
    {
        $outcome = Shorthand::read('33.33% on receipt, 33.33% net 30, 33.34% net 60')
            ->applyTo(Day::fromIso('2026-01-31'), BusinessCalendar::with(new NoHolidays));
        $this->assertSame(
            ['33.33', '33.33', '33.35'],
            array_map(fn (Money $part) => $part->toDecimal(), $outcome->amounts(Money::of('100.01', 'USD'))),
        );
        $this->assertSame('2026-04-01', $outcome->due()->toIso());
    }

    public function test_parts_add_up_to_the_cent_for_any_amount(): void
    {
        mt_srand(7);
        foreach (['30% on receipt, 70% net 30', '33.3% net 10, 33.3% net 20, 33.4% net 30', '0.5% net 1, 99.5% net 2'] as $terms) {
            $outcome = Shorthand::read($terms)->applyTo(Day::fromIso('2026-01-31'), BusinessCalendar::with(new NoHolidays));
            for ($n = 0; $n < 500; $n++) {
                $total = Money::ofMinor(mt_rand(-1_000_000_000, 1_000_000_000), ['USD', 'JPY', 'KWD'][$n % 3]);
                $sum = array_reduce($outcome->amounts($total), fn (?Money $sum, Money $part) => $sum?->plus($part) ?? $part);
                $this->assertTrue($sum?->equals($total));
            }
        }
    }

    public function test_too_many_parts_are_refused(): void
    {
        $this->expectException(TermsRefused::class);
        $this->expectExceptionMessage('At most 24 instalments.');
        Shorthand::read(implode(', ', array_map(fn (int $n) => "4% net $n", range(1, 25))));
    }

    /** Simple interest, worked by hand: 1,000.00 × rate × days / 365. */
    #[TestWith(['8', '2026-01-31', '2026-01-31', '0.00'])]
    #[TestWith(['8', '2026-01-31', '2026-02-01', '0.22'])] // 80 / 365 = 0.2192
    #[TestWith(['8', '2026-01-31', '2026-04-01', '13.15'])] // 80 × 60 / 365 = 13.1507
    #[TestWith(['12', '2026-01-31', '2027-01-31', '120.00'])]
    #[TestWith(['12', '2026-01-31', '2026-01-01', '0.00'])]
    public function test_interest_per_year(string $rate, string $due, string $today, string $interest): void
    {
        $this->assertSame($interest, LateInterest::perYear(Percent::of($rate))
            ->on(Money::of('1000.00', 'USD'), Day::fromIso($due), Day::fromIso($today))->toDecimal());
    }

    #[TestWith(['2026-01-31', '0.00'])]
    #[TestWith(['2026-02-01', '15.00'])]
    #[TestWith(['2026-02-28', '15.00'])]
    #[TestWith(['2026-03-01', '30.00'])]
    #[TestWith(['2026-03-31', '30.00'])]
    #[TestWith(['2026-04-01', '45.00'])]
    public function test_a_flat_rate_for_each_month_begun(string $today, string $interest): void
    {
        $this->assertSame($interest, LateInterest::perMonthBegun(Percent::of('1.5'))
            ->on(Money::of('1000.00', 'USD'), Day::fromIso('2026-01-31'), Day::fromIso($today))->toDecimal());
    }
}
