<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Money\ExchangeRates;
use App\Models\CurrencyRate;
use App\Models\Office;

/** The exchange rates that the office keeps. */
final class Rates
{
    public static function ofOffice(): ExchangeRates
    {
        return once(
            fn () => ExchangeRates::of(
                Office::current()->currency(),
                array_values(
                    CurrencyRate::query()
                        ->get()
                        ->map(fn (CurrencyRate $rate) => [$rate->currency, $rate->quoted_on, $rate->value()])
                        ->all(),
                ),
            ),
        );
    }
}
