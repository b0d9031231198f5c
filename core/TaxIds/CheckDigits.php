<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

/** The arithmetic of check digits. Texts hold digits only, but where letters are named. */
final class CheckDigits
{
    /**
     * The sum of the digits, each times its weight.
     *
     * @param list<int> $weights as many as are summed
     */
    public static function weighted(string $digits, array $weights): int
    {
        $sum = 0;
        foreach ($weights as $at => $weight) {
            $sum += $weight * (int) $digits[$at];
        }

        return $sum;
    }

    /** Luhn, ISO/IEC 7812-1, annex B. */
    public static function luhn(string $digits): bool
    {
        $sum = 0;
        foreach (array_reverse(str_split($digits)) as $at => $digit) {
            $double = (int) $digit * ($at % 2 === 1 ? 2 : 1);
            $sum += $double > 9 ? $double - 9 : $double;
        }

        return $sum % 10 === 0;
    }

    /** ISO 7064, MOD 11,10. */
    public static function mod11And10(string $digits): bool
    {
        $product = 10;
        foreach (str_split(substr($digits, 0, -1)) as $digit) {
            $sum = ((int) $digit + $product) % 10;
            $product = ($sum === 0 ? 10 : $sum) * 2 % 11;
        }

        return (11 - $product) % 10 === (int) substr($digits, -1);
    }

    /** ISO 7064, MOD 97-10, as in ISO 17442; letters count from A = 10. */
    public static function mod97And10(string $text): bool
    {
        return self::mod97($text) === 1;
    }

    /** The remainder by 97 of a number of any length; letters count from A = 10. */
    public static function mod97(string $text): int
    {
        $remainder = 0;
        foreach (str_split($text) as $sign) {
            $value = ctype_digit($sign) ? (int) $sign : ord($sign) - ord('A') + 10;
            $remainder = ($remainder * ($value > 9 ? 100 : 10) + $value) % 97;
        }

        return $remainder;
    }

    /** GS1 General Specifications, section 7.9: weights 3 and 1 from the right. */
    public static function gs1(string $digits): bool
    {
        $sum = 0;
        foreach (array_reverse(str_split($digits)) as $at => $digit) {
            $sum += (int) $digit * ($at % 2 === 1 ? 3 : 1);
        }

        return $sum % 10 === 0;
    }
}
