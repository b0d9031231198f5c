<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

/** The Spanish tax numbers: of citizens (DNI), of foreigners (NIE) and of companies (CIF). */
final class SpanishNumbers
{
    private const LETTERS = 'TRWAGMYFPDXBNJZSQVHLCKE';

    private const COMPANIES = 'JABCDEFGHI';

    public static function fits(string $n): bool
    {
        return match (true) {
            ctype_digit(substr($n, 0, 8)) => self::letter(substr($n, 0, 8)) === $n[8],
            in_array($n[0], ['X', 'Y', 'Z'], true) => self::letter(strpos('XYZ', $n[0]).substr($n, 1, 7)) === $n[8],
            in_array($n[0], ['K', 'L', 'M'], true) => self::letter(substr($n, 1, 7)) === $n[8],
            str_contains('ABCDEFGHJNPQRSUVW', $n[0]) => self::company($n),
            default => false,
        };
    }

    private static function letter(string $digits): string
    {
        return self::LETTERS[(int) $digits % 23];
    }

    /** Some kinds of company have a digit at the end, some a letter, some either. */
    private static function company(string $n): bool
    {
        $sum = 0;
        foreach (str_split(substr($n, 1, 7)) as $at => $digit) {
            $product = (int) $digit * ($at % 2 === 0 ? 2 : 1);
            $sum += intdiv($product, 10) + $product % 10;
        }
        $check = (10 - $sum % 10) % 10;

        return match (true) {
            str_contains('ABEH', $n[0]) => $n[8] === (string) $check,
            str_contains('NPQRSW', $n[0]) => $n[8] === self::COMPANIES[$check],
            default => $n[8] === (string) $check || $n[8] === self::COMPANIES[$check],
        };
    }
}
