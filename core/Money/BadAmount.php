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
        return new self(sprintf('The parts add up to %s%%, not to 100%%.', $sum));
    }

    public static function notARate(string $typed): self
    {
        return new self(sprintf('“%s” is not a rate. Write how much of our own currency one unit is worth, like 1.0842.', trim($typed)));
    }

    public static function noRate(string $currency, string $day): self
    {
        return new self(sprintf('There is no rate for %s on %s. Add one under Office, Currencies.', $currency, $day));
    }

    public static function tooLong(string $start): self
    {
        return new self(sprintf('“%s…” is too long for a number.', trim($start)));
    }

    public static function badGroups(string $typed): self
    {
        return new self(sprintf('“%s” could be read in more than one way. Write it like 1250.00 or 1,250.00.', trim($typed)));
    }

    public static function otherUnit(string $typed, string $wanted): self
    {
        return new self(sprintf('It says %s, and this is in %s. Type the number alone.', $typed, $wanted));
    }

    public static function unitBeside(string $typed): self
    {
        return new self(sprintf('Type the number alone, without %s.', $typed));
    }

    public static function tooLarge(string $currency): self
    {
        return new self(sprintf('That is more than the book can hold in %s.', $currency));
    }

    public static function beyondALine(string $typed): self
    {
        return new self(sprintf('“%s” does not fit: at most six decimals, and at most a thousand million.', trim($typed)));
    }
}
