<?php

declare(strict_types=1);

namespace Tests\Core\Money;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Details\FieldKind;
use Almanac\Details\FieldReader;
use Almanac\Interchange\DocumentReader;
use Almanac\Ledger\Line;
use Almanac\Money\BadAmount;
use Almanac\Money\DecimalSign;
use Almanac\Money\ExchangeRates;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Money\TypedNumber;
use Almanac\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** How people write numbers: common practice, no published source; the signs of countries are those of CLDR. */
final class TypedNumberTest extends TestCase
{
    /**
     * @return iterable<string, array{
     *     string, string|null, string|null,
     * }> typed; with a decimal point; with a decimal comma; null where it is refused
     */
    public static function typed(): iterable
    {
        yield 'plain' => ['1250.00', '1250.00', '1250.00'];
        yield 'a comma that can only be decimal' => ['12,50', '12.50', '12.50'];
        yield 'a point that can only be decimal' => ['12.5', '12.5', '12.5'];
        yield 'groups with commas' => ['1,250.00', '1250.00', '1250.00'];
        yield 'groups with points' => ['1.250,00', '1250.00', '1250.00'];
        yield 'a comma before three figures' => ['1,250', '1250', '1.250'];
        yield 'a point before three figures' => ['1.250', '1.250', '1250'];
        yield 'a nought begins no group' => ['0,125', '0.125', '0.125'];
        yield 'two commas' => ['1,234,567', '1234567', '1234567'];
        yield 'two points' => ['1.234.567', '1234567', '1234567'];
        yield 'groups with spaces' => ['12 345,67', '12345.67', '12345.67'];
        yield 'groups with narrow spaces' => ["12\u{202f}345", '12345', '12345'];
        yield 'groups with apostrophes' => ['12’345.50', '12345.50', '12345.50'];
        yield 'a true minus' => ['−12', '-12', '-12'];
        yield 'without a nought' => ['.5', '0.5', '0.5'];
        yield 'four figures after a comma' => ['1,2345', '1.2345', '1.2345'];
        yield 'noughts in front' => ['007', '7', '7'];
        yield 'groups of one' => ['1,2,3', null, null];
        yield 'a group of two' => ['1,25,000', null, null];
        yield 'groups of two kinds' => ['1,234 567', null, null];
        yield 'groups after the decimals' => ['1.234.56,7', null, null];
        yield 'an exponent' => ['1e9', null, null];
        yield 'a huge exponent' => ['1e9000000000000000', null, null];
        yield 'hexadecimal' => ['0x1f', null, null];
        yield 'infinite' => ['INF', null, null];
        yield 'words' => ['twelve', null, null];
        yield 'nothing' => ['', null, null];
        yield 'a sign alone' => ['-', null, null];
        yield 'two minuses' => ['--5', null, null];
        yield 'a fraction' => ['1/2', null, null];
        yield 'figures of another script' => ['١٢', null, null];
        yield 'a nul' => ["12\0", null, null];
        yield 'no UTF-8' => ["\xff12", null, null];
        yield 'too many figures' => [str_repeat('9', 40), null, null];
        yield 'very long' => [str_repeat('9', 1_000_000), null, null];
    }

    #[DataProvider('typed')]
    public function test_the_number_that_was_meant(string $typed, ?string $point, ?string $comma): void
    {
        $this->assertSame($point, $this->read($typed, DecimalSign::Point));
        $this->assertSame($comma, $this->read($typed, DecimalSign::Comma));
    }

    /** @return iterable<string, array{\Closure(string): string}> every place that reads a number */
    public static function places(): iterable
    {
        yield 'an amount' => [fn (string $typed) => Money::fromTyped($typed, 'USD')->toDecimal()];
        yield 'a quantity' => [fn (string $typed) => (string) Line::readQuantity($typed)->toScale(2)];
        yield 'a price' => [fn (string $typed) => (string) Line::readPrice($typed, 'USD')->toScale(2)];
        yield 'a rate' => [fn (string $typed) => (string) ExchangeRates::readRate($typed)->toScale(2)];
        yield 'a field of a sheet' => [fn (string $typed) => FieldReader::of(self::dates(), 'USD')->read(FieldKind::Number, $typed)];
        yield 'an amount of a sheet' => [
            fn (string $typed) => substr(FieldReader::of(self::dates(), 'USD')->read(FieldKind::Amount, $typed), 0, -4),
        ];
        yield 'a file' => [fn (string $typed) => self::ofFile($typed)];
    }

    /** @param  \Closure(string): string  $read */
    #[DataProvider('places')]
    public function test_every_place_reads_alike(\Closure $read): void
    {
        foreach (['12,50' => '12.50', '1.250,00' => '1250.00', '1,250.00' => '1250.00', '12 345,67' => '12345.67'] as $typed => $meant) {
            $this->assertSame($meant, $read($typed), $typed);
        }
        foreach (['1,2,3', '1e3', '1e9000000000000000', str_repeat('1', 500)] as $typed) {
            try {
                $read($typed);
                $this->fail("“{$typed}” was taken.");
            } catch (Refusal $refusal) {
                $this->assertNotSame('', $refusal->getMessage());
            }
        }
    }

    #[TestWith(['$2,500', 'USD', '2500.00'])]
    #[TestWith(['$ 2,500', 'CAD', '2500.00'])]
    #[TestWith(['-$5', 'USD', '-5.00'])]
    #[TestWith(['12,50 €', 'EUR', '12.50'])]
    #[TestWith(['CHF 1’250.50', 'CHF', '1250.50'])]
    #[TestWith(['2500 usd', 'USD', '2500.00'])]
    #[TestWith(['¥5,000', 'JPY', '5000'])]
    public function test_the_sign_of_its_currency_fits(string $typed, string $currency, string $amount): void
    {
        $this->assertSame($amount, Money::fromTyped($typed, $currency)->toDecimal());
    }

    #[TestWith(['€2,500', 'USD', 'It says €, and this is in USD. Type the number alone.'])]
    #[TestWith(['5 %', 'USD', 'It says %, and this is in USD. Type the number alone.'])]
    #[TestWith(['$5 USD', 'USD', '“$5 USD” is not a number. Write it like 1250.00.'])]
    #[TestWith(['1,2,3', 'USD', '“1,2,3” could be read in more than one way. Write it like 1250.00 or 1,250.00.'])]
    #[TestWith(['1.250', 'USD', '“1.250” has more decimals than USD has: at most 2.'])]
    #[TestWith(['100000000000.01', 'USD', 'That is more than the book can hold in USD.'])]
    public function test_what_does_not_fit_is_said(string $typed, string $currency, string $said): void
    {
        $this->expectException(BadAmount::class);
        $this->expectExceptionMessage($said);
        Money::fromTyped($typed, $currency);
    }

    #[TestWith(['5 %', '5'])]
    #[TestWith(['5%', '5'])]
    #[TestWith(['2,125', '2.125'])]
    #[TestWith(['2.125 %', '2.125'])]
    public function test_a_percentage_has_its_sign_and_no_thousands(string $typed, string $percent): void
    {
        $this->assertSame($percent, (string) Percent::of($typed));
    }

    public function test_what_is_written_is_read_again(): void
    {
        mt_srand(20261124);
        for ($run = 0; $run < 2000; $run++) {
            $plain = (string) Money::ofMinor(mt_rand(-10 ** 9, 10 ** 9), ['USD', 'JPY', 'KWD'][$run % 3])->toDecimal();
            foreach (DecimalSign::cases() as $sign) {
                $this->assertTrue(
                    TypedNumber::plain($plain)->isEqualTo(TypedNumber::read($sign->write($plain), $sign)->value),
                    "$plain with {$sign->value}",
                );
            }
        }
    }

    #[TestWith(['US', DecimalSign::Point])]
    #[TestWith(['GB', DecimalSign::Point])]
    #[TestWith(['CH', DecimalSign::Point])]
    #[TestWith(['DE', DecimalSign::Comma])]
    #[TestWith(['FR', DecimalSign::Comma])]
    #[TestWith(['BR', DecimalSign::Comma])]
    public function test_the_sign_of_a_country(string $country, DecimalSign $sign): void
    {
        $this->assertSame($sign, DecimalSign::ofCountry($country));
    }

    public function test_sums_and_products_are_checked(): void
    {
        $most = Money::ofMinor(PHP_INT_MAX, 'USD');
        foreach (
            [
                fn () => $most->plus(Money::ofMinor(1, 'USD')),
                fn () => $most->negated()->minus(Money::ofMinor(1, 'USD')),
                fn () => Money::rounded(TypedNumber::plain('99999999999999999999'), 'USD'),
                fn () => Line::of(
                    'Work',
                    TypedNumber::plain('1000000'),
                    TypedNumber::plain('1000000000'),
                    Percent::of(0),
                    Percent::of(0),
                )->amount('USD'),
            ] as $sum
        ) {
            try {
                $sum();
                $this->fail('It was taken.');
            } catch (BadAmount $refused) {
                $this->assertSame('That is more than the book can hold in USD.', $refused->getMessage());
            }
        }
        $this->assertSame(99, Money::ofMinor(PHP_INT_MAX - 1, 'USD')->shareOf($most));
        $this->assertSame(0, $most->shareOf(Money::zero('USD')));
    }

    private function read(string $typed, DecimalSign $sign): ?string
    {
        try {
            return (string) TypedNumber::read($typed, $sign)->alone();
        } catch (BadAmount) {
            return null;
        }
    }

    private static function dates(): TypedDay
    {
        return TypedDay::reader(Day::of(2026, 11, 24), true);
    }

    private static function ofFile(string $typed): string
    {
        $read = DocumentReader::of(['kind', 'number', 'party', 'date', 'amount'], self::dates(), 'USD')
            ->read([1 => ['invoice', '1', 'Somebody', '2026-11-01', $typed]]);

        return $read->document?->totals()->gross->toDecimal() ?? throw BadAmount::notANumber($typed);
    }
}
