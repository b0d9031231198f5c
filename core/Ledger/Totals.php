<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Money\BadAmount;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Brick\Math\BigDecimal;

/**
 * What the lines of a document add up to.
 *
 * Source: EN 16931-1, with its rules BR-CO-10 (the sum of the lines), BR-CO-14 (the tax is the sum
 * of the taxes by rate), BR-CO-15 (with tax is without tax plus tax), BR-CO-17 (the tax of a rate
 * is what is taxed times the rate, rounded) and BR-DEC (amounts have the decimals of the currency).
 * Where amounts include the tax, the standard has no rule: the sum of a rate stays as it was
 * promised, and the tax is taken out of it (common practice, no published source).
 */
final readonly class Totals
{
    /** @param  list<TaxGroup>  $groups the highest rate first */
    private function __construct(public Money $net, public array $groups, public Money $tax, public Money $gross)
    {
    }

    /**
     * @param list<Line> $lines
     *
     * @throws BadAmount when it comes to more than somebody may enter
     */
    public static function of(array $lines, TaxTreatment $treatment, string $currency): self
    {
        $sums = $rates = [];
        foreach ($lines as $line) {
            $tax = $treatment === TaxTreatment::None ? Percent::none() : $line->tax;
            $rate = (string) $tax;
            $rates[$rate] = $tax;
            $sums[$rate] = isset($sums[$rate]) ? $sums[$rate]->plus($line->amount($currency)) : $line->amount($currency);
        }
        krsort($sums, SORT_NUMERIC);
        $groups = [];
        foreach ($sums as $rate => $sum) {
            $groups[] = self::group($rates[$rate], $sum, $treatment);
        }
        $net = Money::sum(array_map(fn (TaxGroup $group) => $group->taxable, $groups), $currency);
        $tax = Money::sum(array_map(fn (TaxGroup $group) => $group->tax, $groups), $currency);

        return new self($net, $groups, $tax, $net->plus($tax)->mustBeEnterable());
    }

    private static function group(Percent $rate, Money $sum, TaxTreatment $treatment): TaxGroup
    {
        if ($treatment === TaxTreatment::Inclusive) {
            $tax = Money::rounded(
                BigDecimal::of($sum->toDecimal())
                    ->multipliedBy($rate->value)
                    ->toBigRational()
                    ->dividedBy(BigDecimal::of(100)->plus($rate->value)),
                $sum->currency,
            );

            return new TaxGroup($rate, $sum->minus($tax), $tax);
        }

        return new TaxGroup($rate, $sum, $sum->percentage($rate));
    }
}
