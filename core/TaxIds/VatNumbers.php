<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

use Almanac\TaxIds\CheckDigits as Digits;

/**
 * The VAT numbers of the European Union, the United Kingdom, Switzerland and Norway: their shapes
 * by Council Regulation (EU) 904/2010 and the countries' own rules, their check digits as the tax
 * offices publish them. The tests compare with npm stdnum.
 */
final class VatNumbers
{
    /** Shape after the country's letters, and an example of the shape. */
    private const SHAPES = [
        'AT' => ['U\d{8}', 'ATU13585627'],
        'BE' => ['[01]\d{9}', 'BE0428759497'],
        'BG' => ['\d{9,10}', 'BG175074752'],
        'CH' => ['E\d{9}(MWST|TVA|IVA|TPV)?', 'CHE-107.787.577 IVA'],
        'CY' => ['\d{8}[A-Z]', 'CY10259033P'],
        'CZ' => ['\d{8,10}', 'CZ25123891'],
        'DE' => ['\d{9}', 'DE136695976'],
        'DK' => ['\d{8}', 'DK13585628'],
        'EE' => ['\d{9}', 'EE100931558'],
        'ES' => ['[A-Z0-9]\d{7}[A-Z0-9]', 'ESB58378431'],
        'FI' => ['\d{8}', 'FI20774740'],
        'FR' => ['[0-9A-HJ-NP-Z]{2}\d{9}', 'FR40303265045'],
        'GB' => ['\d{9}', 'GB980780684'],
        'GR' => ['\d{9}', 'EL094259216'],
        'HR' => ['\d{11}', 'HR33392005961'],
        'HU' => ['\d{8}', 'HU12892312'],
        'IE' => ['\d{7}[A-W][A-I]?', 'IE6433435F'],
        'IT' => ['\d{11}', 'IT00743110157'],
        'LT' => ['\d{9}|\d{12}', 'LT119511515'],
        'LU' => ['\d{8}', 'LU15027442'],
        'LV' => ['\d{11}', 'LV40003521600'],
        'MT' => ['\d{8}', 'MT11679112'],
        'NL' => ['\d{9}B\d{2}', 'NL004495445B01'],
        'NO' => ['\d{9}(MVA)?', 'NO995525828MVA'],
        'PL' => ['\d{10}', 'PL8567346215'],
        'PT' => ['\d{9}', 'PT501964843'],
        'RO' => ['\d{2,10}', 'RO18547290'],
        'SE' => ['\d{10}01', 'SE123456789701'],
        'SI' => ['\d{8}', 'SI50223054'],
        'SK' => ['\d{10}', 'SK2022749619'],
    ];

    /** @return list<string> ISO 3166-1 codes */
    public static function countries(): array
    {
        return array_keys(self::SHAPES);
    }

    /** The number with its country's letters, without what sets it off. */
    public static function tidy(string $country, string $typed): string
    {
        $text = preg_replace('/[\s.\-\/]+/', '', mb_strtoupper($typed)) ?? '';
        $letters = self::letters($country);
        $text = str_starts_with($text, $letters) ? substr($text, strlen($letters)) : $text;
        // What says that a register knows it for VAT is no part of the number.
        $text = preg_replace($country === 'CH' ? '/(MWST|TVA|IVA|TPV)$/' : '/(?<=\d{9})MVA$/', '', $text) ?? $text;

        return $letters.($country === 'BE' && preg_match('/^\d{9}$/', $text) === 1 ? '0'.$text : $text);
    }

    /** @throws TaxIdRefused when it has another shape, or its check digits do not match */
    public static function check(string $country, string $number, string $typed): void
    {
        [$shape, $example] = self::SHAPES[$country] ?? throw TaxIdRefused::unknownCountry($country);
        $body = substr($number, strlen(self::letters($country)));
        if (preg_match("/^(?:$shape)\$/", $body) !== 1) {
            throw TaxIdRefused::shape($typed, 'VAT number', $example);
        }
        if (! self::fits($country, $body)) {
            throw TaxIdRefused::checkDigits($typed, 'VAT number');
        }
    }

    /** Greece writes EL. */
    private static function letters(string $country): string
    {
        return $country === 'GR' ? 'EL' : $country;
    }

    private static function fits(string $country, string $n): bool
    {
        return match ($country) {
            'AT' => self::austrian(substr($n, 1)),
            'BE' => 97 - (int) substr($n, 0, 8) % 97 === (int) substr($n, 8),
            'BG' => self::bulgarian($n),
            'CH' => (11 - Digits::weighted(substr($n, 1), [5, 4, 3, 2, 7, 6, 5, 4]) % 11) % 11 === (int) $n[9],
            'CY' => self::cypriot($n),
            'CZ' => self::czech($n),
            'DE' => Digits::mod11And10($n),
            'DK' => Digits::weighted($n, [2, 7, 6, 5, 4, 3, 2, 1]) % 11 === 0,
            'EE' => Digits::weighted($n, [3, 7, 1, 3, 7, 1, 3, 7, 1]) % 10 === 0,
            'ES' => SpanishNumbers::fits($n),
            'FI' => Digits::weighted($n, [7, 9, 10, 5, 8, 4, 2, 1]) % 11 === 0,
            'FR' => self::french($n),
            'GB' => in_array(
                Digits::weighted($n, [8, 7, 6, 5, 4, 3, 2, 10, 1]) % 97,
                (int) substr($n, 0, 3) < 100 ? [0] : [0, 42, 55],
                true,
            ),
            'GR' => (Digits::weighted($n, [256, 128, 64, 32, 16, 8, 4, 2]) % 11) % 10 === (int) $n[8],
            'HR' => Digits::mod11And10($n),
            'HU' => Digits::weighted($n, [9, 7, 3, 1, 9, 7, 3, 1]) % 10 === 0,
            'IE' => self::irish($n),
            'IT' => self::italian($n),
            'LT' => self::lithuanian($n),
            'LU' => (int) substr($n, 0, 6) % 89 === (int) substr($n, 6),
            'LV' => $n[0] <= '3' || Digits::weighted($n, [9, 1, 4, 8, 3, 10, 2, 5, 7, 6, 1]) % 11 === 3,
            'MT' => Digits::weighted($n, [3, 4, 6, 7, 8, 9, 10, 1]) % 37 === 0,
            'NL' => Digits::weighted($n, [9, 8, 7, 6, 5, 4, 3, 2, -1]) % 11 === 0 || Digits::mod97And10('NL'.$n),
            'NO' => (11 - Digits::weighted($n, [3, 2, 7, 6, 5, 4, 3, 2]) % 11) % 11 === (int) $n[8],
            'PL' => Digits::weighted($n, [6, 5, 7, 2, 3, 4, 5, 6, 7]) % 11 === (int) $n[9],
            'PT' => $n[0] !== '0' && (11 - Digits::weighted($n, [9, 8, 7, 6, 5, 4, 3, 2]) % 11) % 11 % 10 === (int) $n[8],
            'RO' => self::romanian($n),
            'SE' => Digits::luhn(substr($n, 0, 10)),
            'SI' => (11 - (Digits::weighted($n, [8, 7, 6, 5, 4, 3, 2]) % 11)) % 10 === (int) $n[7] &&
                Digits::weighted($n, [8, 7, 6, 5, 4, 3, 2]) % 11 !== 0,
            'SK' => in_array($n[2], ['2', '3', '4', '7', '8', '9'], true) && $n[0] !== '0' && (int) $n % 11 === 0,
            default => false,
        };
    }

    private static function austrian(string $n): bool
    {
        $sum = 4;
        foreach ([1, 2, 1, 2, 1, 2, 1] as $at => $weight) {
            $product = $weight * (int) $n[$at];
            $sum += intdiv($product, 10) + $product % 10;
        }

        return (10 - $sum % 10) % 10 === (int) $n[7];
    }

    /** Nine digits of a company; ten of a person or another body are taken by their shape. */
    private static function bulgarian(string $n): bool
    {
        if (strlen($n) === 10) {
            return true;
        }
        $check = Digits::weighted($n, range(1, 8)) % 11;
        $check = $check === 10 ? Digits::weighted($n, range(3, 10)) % 11 % 10 : $check;

        return $check === (int) $n[8];
    }

    private static function cypriot(string $n): bool
    {
        $odd = [1, 0, 5, 7, 9, 13, 15, 17, 19, 21];
        $sum = 0;
        foreach (str_split(substr($n, 0, 8)) as $at => $digit) {
            $sum += $at % 2 === 0 ? $odd[(int) $digit] : (int) $digit;
        }

        return substr($n, 0, 2) !== '12' && chr(ord('A') + $sum % 26) === $n[8];
    }

    /** Eight digits of a company; longer ones of people are taken by their shape. */
    private static function czech(string $n): bool
    {
        $check = (11 - Digits::weighted($n, [8, 7, 6, 5, 4, 3, 2]) % 11) % 11;

        return strlen($n) > 8 || ($n[0] !== '9' && ($check === 0 ? 1 : $check % 10) === (int) $n[7]);
    }

    /** The SIREN has a Luhn digit; the key before it is reckoned from it, but where it has a letter. */
    private static function french(string $n): bool
    {
        $siren = substr($n, 2);
        $key = substr($n, 0, 2);

        return Digits::luhn($siren) && (! ctype_digit($key) || (int) $key === (12 + 3 * ((int) $siren % 97)) % 97);
    }

    private static function irish(string $n): bool
    {
        $sum = Digits::weighted($n, [8, 7, 6, 5, 4, 3, 2]) + 9 * (isset($n[8]) ? ord($n[8]) - ord('A') + 1 : 0);

        return 'WABCDEFGHIJKLMNOPQRSTUV'[$sum % 23] === $n[7];
    }

    /** Its eighth to tenth digits are the province's number. */
    private static function italian(string $n): bool
    {
        $province = (int) substr($n, 7, 3);

        return substr($n, 0, 7) !== '0000000' && Digits::luhn($n)
            && (($province >= 1 && $province <= 100) || in_array($province, [120, 121, 888, 999], true));
    }

    private static function lithuanian(string $n): bool
    {
        $length = strlen($n) - 1;
        $weights = fn (int $from) => array_map(fn (int $at) => ($from + $at) % 9 + 1, range(0, $length - 1));
        $check = Digits::weighted($n, $weights(0)) % 11;
        $check = $check === 10 ? Digits::weighted($n, $weights(2)) % 11 % 10 : $check;

        return $n[$length - 1] === '1' && $check === (int) $n[$length];
    }

    private static function romanian(string $n): bool
    {
        $digits = str_pad($n, 10, '0', STR_PAD_LEFT);

        return $n[0] !== '0' && 10 * Digits::weighted($digits, [7, 5, 3, 2, 1, 7, 5, 3, 2]) % 11 % 10 === (int) $digits[9];
    }
}
