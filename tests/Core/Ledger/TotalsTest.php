<?php

declare(strict_types=1);

namespace Tests\Core\Ledger;

use Almanac\Ledger\Line;
use Almanac\Ledger\TaxGroup;
use Almanac\Ledger\TaxTreatment;
use Almanac\Ledger\Totals;
use Almanac\Money\BadAmount;
use Almanac\Money\Percent;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Against the calculation rules of EN 16931-1, section 6.4 (BR-CO and BR-DEC). */
final class TotalsTest extends TestCase
{
    /**
     * The line net amount, BT-131: quantity times net price, rounded to two decimals.
     *
     * @param list<string> $line quantity, price, discount
     */
    #[TestWith([['3', '10', '0'], '30.00'])]
    #[TestWith([['2.5', '0.333', '0'], '0.83'], 'rounded up at half a cent: 0.8325')]
    #[TestWith([['1', '0.005', '0'], '0.01'])]
    #[TestWith([['-1', '0.005', '0'], '-0.01'], 'away from zero on both sides')]
    #[TestWith([['7', '19.99', '12.5'], '122.44'], '139.93 less 17.49125')]
    #[TestWith([['1', '480', '100'], '0.00'], 'a discount of all of it')]
    public function test_a_line_is_rounded_once(array $line, string $amount): void
    {
        $this->assertSame($amount, $this->line(...$line)->amount('USD')->toDecimal());
    }

    public function test_an_invoice_with_two_rates_step_by_step(): void
    {
        // 2 x 100.00 at 19% and 3 x 33.33 at 7%, and 1 x 0.01 at 7%.
        $totals = Totals::of([
            $this->line('2', '100', '0', '19'), $this->line('3', '33.33', '0', '7'), $this->line('1', '0.01', '0', '7'),
        ], TaxTreatment::Exclusive, 'EUR');
        // BR-CO-10 and BR-CO-13: 200.00 + 99.99 + 0.01.
        $this->assertSame('300.00', $totals->net->toDecimal());
        // BR-S-08: what is taxed at a rate is the sum of its lines; BR-CO-17: 200.00 x 19%, 100.00 x 7%.
        $this->assertSame(['19%: 200.00, 38.00', '7%: 100.00, 7.00'], $this->rates($totals));
        // BR-CO-14 and BR-CO-15.
        $this->assertSame(['45.00', '345.00'], [$totals->tax->toDecimal(), $totals->gross->toDecimal()]);
    }

    public function test_the_tax_is_rounded_by_rate_and_not_by_line(): void
    {
        // Three lines of 0.10 at 5%: 0.005 each would round up to 0.03 in all; the rule says 0.30 x 5% = 0.015.
        $totals = Totals::of(array_fill(0, 3, $this->line('1', '0.10', '0', '5')), TaxTreatment::Exclusive, 'EUR');
        $this->assertSame('0.02', $totals->tax->toDecimal());
    }

    public function test_amounts_that_include_the_tax_keep_what_was_promised(): void
    {
        $totals = Totals::of([$this->line('1', '119.00', '0', '19')], TaxTreatment::Inclusive, 'EUR');
        $this->assertSame(['19%: 100.00, 19.00'], $this->rates($totals));
        $odd = Totals::of([$this->line('1', '9.99', '0', '7'), $this->line('3', '1.11', '0', '7')], TaxTreatment::Inclusive, 'EUR');
        $this->assertSame('13.32', $odd->gross->toDecimal());
        $this->assertSame(['7%: 12.45, 0.87'], $this->rates($odd));
    }

    public function test_without_tax_a_rate_says_nothing(): void
    {
        $totals = Totals::of([$this->line('1', '50', '0', '19')], TaxTreatment::None, 'USD');
        $this->assertSame(['50.00', '0.00', '50.00'], [$totals->net->toDecimal(), $totals->tax->toDecimal(), $totals->gross->toDecimal()]);
    }

    public function test_what_is_taken_back_lowers_what_is_taxed(): void
    {
        $totals = Totals::of([$this->line('5', '20', '0', '10'), $this->line('-2', '20', '0', '10')], TaxTreatment::Exclusive, 'USD');
        $this->assertSame(['10%: 60.00, 6.00'], $this->rates($totals));
    }

    public function test_a_currency_without_cents_is_rounded_to_whole_units(): void
    {
        $totals = Totals::of([$this->line('3', '33.4', '0', '10')], TaxTreatment::Exclusive, 'JPY');
        $this->assertSame(['100', '10', '110'], [$totals->net->toDecimal(), $totals->tax->toDecimal(), $totals->gross->toDecimal()]);
    }

    public function test_the_rules_hold_for_any_lines(): void
    {
        mt_srand(16931);
        for ($n = 0; $n < 500; $n++) {
            $lines = array_map(
                fn () => $this->line(
                    (string) (mt_rand(1, 4000) / 100),
                    (string) (mt_rand(1, 99999) / 1000),
                    (string) mt_rand(0, 40),
                    (string) [0, 5, 7, 19, 20][mt_rand(0, 4)],
                ),
                range(1, mt_rand(1, 12)),
            );
            $totals = Totals::of($lines, TaxTreatment::Exclusive, 'EUR');
            $this->assertSame(
                $totals->net->minor,
                array_sum(array_map(fn (Line $line) => $line->amount('EUR')->minor, $lines)),
                'BR-CO-10',
            );
            $this->assertSame(
                $totals->net->minor,
                array_sum(array_map(fn (TaxGroup $group) => $group->taxable->minor, $totals->groups)),
                'BR-CO-18',
            );
            $this->assertSame(
                $totals->tax->minor,
                array_sum(array_map(fn (TaxGroup $group) => $group->tax->minor, $totals->groups)),
                'BR-CO-14',
            );
            $this->assertSame($totals->gross->minor, $totals->net->minor + $totals->tax->minor, 'BR-CO-15');
            foreach ($totals->groups as $group) {
                $exact = BigDecimal::of($group->taxable->toDecimal())
                    ->multipliedBy($group->rate->value)
                    ->dividedBy(100, 2, RoundingMode::HALF_UP);
                $this->assertSame((string) $exact, $group->tax->toDecimal(), 'BR-CO-17');
            }
            $inclusive = Totals::of($lines, TaxTreatment::Inclusive, 'EUR');
            $this->assertSame($totals->net->minor, $inclusive->gross->minor, 'what was promised is what is asked');
        }
    }

    #[TestWith(['12,5', '12.5'])]
    #[TestWith(['1,250.00', '1250.00'])]
    #[TestWith([' -3 ', '-3'])]
    public function test_numbers_are_read_as_people_type_them(string $typed, string $read): void
    {
        $this->assertSame($read, (string) Line::readQuantity($typed));
    }

    #[TestWith(['twelve', '“twelve” is not a number. Write it like 1250.00.'])]
    #[TestWith(['0.1234567', '“0.1234567” does not fit: at most six decimals, and at most a thousand million.'])]
    #[TestWith(['99999999999', '“99999999999” does not fit: at most six decimals, and at most a thousand million.'])]
    public function test_what_is_no_number_is_told(string $typed, string $message): void
    {
        $this->expectExceptionObject(new \RuntimeException($message));
        try {
            Line::readQuantity($typed);
        } catch (BadAmount $refused) {
            throw new \RuntimeException($refused->getMessage());
        }
    }

    private function line(string $quantity, string $price, string $discount = '0', string $tax = '0'): Line
    {
        return Line::of('Work', BigDecimal::of($quantity), BigDecimal::of($price), Percent::of($discount), Percent::of($tax));
    }

    /** @return list<string> */
    private function rates(Totals $totals): array
    {
        return array_map(
            fn (TaxGroup $group) => "{$group->rate->toText()}: {$group->taxable->toDecimal()}, {$group->tax->toDecimal()}",
            $totals->groups,
        );
    }
}
