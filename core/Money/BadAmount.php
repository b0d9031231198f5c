<?php

declare(strict_types=1);

namespace Almanac\Money;

use Almanac\Refusal;

/** An amount, a currency or a percentage that cannot be taken. */
final class BadAmount extends Refusal
{
    public static function notANumber(string $typed): self
    {
        return new self(sprintf('“%s” is not a number. Write it like 1250.00.', trim($typed)));
    }

    public static function notAPercentage(string $typed): self
    {
        return new self(sprintf('“%s” is not a percentage. Write a number from 0 to 100, like 2 or 2.5.', trim($typed)));
    }

    public static function tooFine(string $typed, string $currency, int $digits): self
    {
        return new self(sprintf('“%s” has more decimals than %s has: at most %d.', trim($typed), $currency, $digits));
    }

    public static function unknownCurrency(string $code): self
    {
        return new self(sprintf('“%s” is not a currency code. Use three letters such as USD or EUR.', $code));
    }

    public static function mixedCurrencies(string $one, string $other): self
    {
        return new self(sprintf('Amounts in %s and %s cannot be added up.', $one, $other));
    }

    public static function sharesDoNotAddUp(string $sum): self
    {
        return new self(sprintf('The parts add up to %s %%, not to 100 %%.', $sum));
    }

    public static function notARate(string $typed): self
    {
        return new self(sprintf('“%s” is not a rate. Write how much of our own currency one unit is worth, like 1.0842.', trim($typed)));
    }

    public static function noRate(string $currency, string $day): self
    {
        return new self(sprintf('There is no rate for %s on %s. Add one under Office, Currencies.', $currency, $day));
    }

    public static function beyondALine(string $typed): self
    {
        return new self(sprintf('“%s” does not fit: at most six decimals, and at most a thousand million.', trim($typed)));
    }
}
