<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use Almanac\Calendar\Day;
use Almanac\Money\BadAmount;
use Almanac\Money\ExchangeRates;
use Almanac\Money\Money;
use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ExchangeRatesTest extends TestCase
{
    public function test_a_rate_holds_until_the_next_one(): void
    {
        $rates = ExchangeRates::of('USD', [
            ['EUR', Day::of(2026, 7, 1), BigDecimal::of('1.10')],
            ['EUR', Day::of(2026, 1, 1), BigDecimal::of('1.0842')],
            ['JPY', Day::of(2026, 1, 1), BigDecimal::of('0.0067')],
        ]);
        $this->assertSame('108.42', $rates->toHome(Money::of('100', 'EUR'), Day::of(2026, 6, 30))->toDecimal());
        $this->assertSame('110.00', $rates->toHome(Money::of('100', 'EUR'), Day::of(2026, 7, 1))->toDecimal());
        $this->assertSame('67.00', $rates->toHome(Money::of('10000', 'JPY'), Day::of(2026, 7, 1))->toDecimal(), 'a yen has no cents');
        $this->assertSame('5.00', $rates->toHome(Money::of('5', 'USD'), Day::of(2020, 1, 1))->toDecimal());
        $this->assertSame('2026-01-01', $rates->since('EUR', Day::of(2026, 3, 3))?->toIso());
        $this->assertFalse($rates->has('EUR', Day::of(2025, 12, 31)));
        $this->expectExceptionMessage('There is no rate for EUR on 31 Dec 2025. Add one under Office, Currencies.');
        $rates->toHome(Money::of('1', 'EUR'), Day::of(2025, 12, 31));
    }

    #[TestWith(['0'])]
    #[TestWith(['-1'])]
    #[TestWith(['1.123456789'])]
    #[TestWith(['about one'])]
    public function test_a_rate_is_a_number_above_zero(string $typed): void
    {
        $this->expectException(BadAmount::class);
        ExchangeRates::readRate($typed);
    }

    #[TestWith(['1234567.5', 'USD', '1,234,567.50'])]
    #[TestWith(['-1200', 'JPY', '−1,200'])]
    #[TestWith(['0', 'USD', '0.00'])]
    public function test_amounts_are_grouped_for_reading(string $amount, string $currency, string $text): void
    {
        $this->assertSame($text, Money::of($amount, $currency)->figures());
    }
}
