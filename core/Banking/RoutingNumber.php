<?php

declare(strict_types=1);

namespace Almanac\Banking;

/**
 * The routing number of a bank in the United States: nine digits, of which the first two tell the
 * district, and whose sum weighted 3, 7, 1 is a multiple of ten (ABA routing number policy).
 */
final class RoutingNumber
{
    private const WEIGHTS = [3, 7, 1];

    /** @throws BankingRefused when it has not nine digits, no district begins so, or the check digit does not fit */
    public static function read(string $typed): string
    {
        $number = preg_replace('/[\s-]+/', '', $typed) ?? '';
        if ($number === '') {
            throw BankingRefused::empty('routing number');
        }
        if (preg_match('/^\d{9}$/', $number) !== 1) {
            throw BankingRefused::shape('routing number', 'nine digits, 123456780');
        }
        $sum = 0;
        foreach (str_split($number) as $place => $digit) {
            $sum += self::WEIGHTS[$place % 3] * (int) $digit;
        }
        if (! self::isDistrict((int) substr($number, 0, 2)) || $sum % 10 !== 0) {
            throw BankingRefused::checkDigits('routing number');
        }

        return $number;
    }

    /**
     * The Federal Reserve's districts, 01 to 12; 20 more for thrifts, 60 more for electronic ones; 00 and 80 for the
     * government and cheques of travellers.
     */
    private static function isDistrict(int $first): bool
    {
        return $first <= 12 || ($first >= 21 && $first <= 32) || ($first >= 61 && $first <= 72) || $first === 80;
    }
}
