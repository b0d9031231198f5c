<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use Almanac\Money\BadAmount;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Minor units by ISO 4217: two for USD, none for JPY, three for KWD. */
final class MoneyTest extends TestCase
{
    #[TestWith(['1250.00', 'USD', 125_000])]
    #[TestWith(['-0.01', 'USD', -1])]
    #[TestWith(['1250', 'JPY', 1_250])]
    #[TestWith(['1.234', 'KWD', 1_234])]
    public function test_minor_units(string $amount, string $currency, int $minor): void
    {
        $this->assertSame($minor, Money::of($amount, $currency)->minor);
        $this->assertSame($amount, Money::of($amount, $currency)->toDecimal());
    }

    #[TestWith(['1.234', 'USD', '“1.234” has more decimals than USD has: at most 2.'])]
    #[TestWith(['1.5', 'JPY', '“1.5” has more decimals than JPY has: at most 0.'])]
    #[TestWith(['ten', 'USD', '“ten” is not a number. Write it like 1250.00.'])]
    #[TestWith(['1', 'USDX', '“USDX” is not a currency code. Use three letters such as USD or EUR.'])]
    public function test_refusals(string $amount, string $currency, string $message): void
    {
        $this->expectException(BadAmount::class);
        $this->expectExceptionMessage($message);
        Money::of($amount, $currency);
    }

    public function test_currencies_do_not_mix(): void
    {
        $this->expectException(BadAmount::class);
        $this->expectExceptionMessage('Amounts in USD and EUR cannot be added up.');
        Money::of('1', 'USD')->plus(Money::of('1', 'EUR'));
    }

    public function test_a_percentage_rounds_half_away_from_zero(): void
    {
        $this->assertSame('0.03', Money::of('1.25', 'USD')->percentage(Percent::of(2))->toDecimal());
        $this->assertSame('-0.03', Money::of('-1.25', 'USD')->percentage(Percent::of(2))->toDecimal());
    }

    #[TestWith(['2', '2'])]
    #[TestWith(['2,50', '2.5'])]
    #[TestWith(['100', '100'])]
    #[TestWith(['0', '0'])]
    #[TestWith(['0.125', '0.125'])]
    public function test_percent_is_read_and_written(string $typed, string $written): void
    {
        $this->assertSame($written, (string) Percent::of($typed));
    }

    #[TestWith(['101'])]
    #[TestWith(['-1'])]
    #[TestWith(['1.1234567'])]
    #[TestWith(['two'])]
    public function test_percent_refuses(string $typed): void
    {
        $this->expectException(BadAmount::class);
        Percent::of($typed);
    }
}
