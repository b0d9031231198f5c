<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

/**
 * The taxpayer numbers of the United States, of nine digits. Sources: IRS, prefixes of employer
 * identification numbers; SSA, what no social security number has; IRS, the ranges of ITIN.
 */
final class UsNumbers
{
    /** Prefixes that the IRS has assigned, from its list "How EINs are assigned". */
    private const EIN_PREFIXES = [
        ['01', '06'], ['10', '16'], ['20', '27'], ['30', '48'], ['50', '68'], ['71', '77'], ['80', '88'], ['90', '95'], ['98', '99'],
    ];

    private const ITIN_GROUPS = [['50', '65'], ['70', '88'], ['90', '92'], ['94', '99']];

    /** @return string|null what is wrong with it, or null */
    public static function ein(string $digits): ?string
    {
        return self::isWithin(substr($digits, 0, 2), self::EIN_PREFIXES)
            ? null
            : 'the IRS assigns none that begins with '.substr($digits, 0, 2).'.';
    }

    /** @return string|null what is wrong with it, or null */
    public static function ssn(string $digits): ?string
    {
        [$area, $group, $serial] = [substr($digits, 0, 3), substr($digits, 3, 2), substr($digits, 5)];

        return match (true) {
            $area[0] === '9' => 'one that begins with 9 is an ITIN or an ATIN.',
            $area === '000', $area === '666' => "none begins with $area.",
            $group === '00' => 'its fourth and fifth digits are never 00.',
            $serial === '0000' => 'its last four digits are never 0000.',
            default => null,
        };
    }

    /** @return string|null what is wrong with it, or null */
    public static function itin(string $digits): ?string
    {
        return match (true) {
            $digits[0] !== '9' => 'it begins with 9.',
            substr($digits, 3, 2) === '93' => 'with 93 in the middle it is an ATIN.',
            ! self::isWithin(substr($digits, 3, 2), self::ITIN_GROUPS) => 'its fourth and fifth digits lie in 50–65, 70–88, 90–92 or 94–99.',
            default => null,
        };
    }

    /** @return string|null what is wrong with it, or null */
    public static function atin(string $digits): ?string
    {
        return $digits[0] === '9' && substr($digits, 3, 2) === '93' ? null : 'it begins with 9 and has 93 in the middle.';
    }

    /** @param  list<array{string, string}>  $ranges */
    private static function isWithin(string $pair, array $ranges): bool
    {
        foreach ($ranges as [$from, $to]) {
            if ($pair >= $from && $pair <= $to) {
                return true;
            }
        }

        return false;
    }
}
