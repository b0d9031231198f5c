<?php

declare(strict_types=1);

namespace Almanac\Banking;

/**
 * The number of a payment card: 12 to 19 digits, the last by the Luhn formula, the first of them
 * telling who issued it (ISO/IEC 7812; the ranges of the brands from memory). It is checked, handed
 * to the vault, and never kept.
 */
final readonly class CardNumber
{
    private function __construct(#[\SensitiveParameter] public string $digits, public string $brand)
    {
    }

    /** @throws BankingRefused when it has another shape, or its last digit does not fit */
    public static function read(#[\SensitiveParameter] string $typed): self
    {
        $digits = preg_replace('/[\s-]+/', '', $typed) ?? '';
        if ($digits === '') {
            throw BankingRefused::empty('card number');
        }
        if (preg_match('/^\d{12,19}$/', $digits) !== 1) {
            throw BankingRefused::shape('card number', '12 to 19 digits');
        }
        if (! self::luhn($digits)) {
            throw BankingRefused::checkDigits('card number');
        }

        return new self($digits, self::brandOf($digits));
    }

    public function lastFour(): string
    {
        return substr($this->digits, -4);
    }

    private static function luhn(string $digits): bool
    {
        $sum = 0;
        foreach (array_reverse(str_split($digits)) as $place => $digit) {
            $value = (int) $digit * ($place % 2 === 1 ? 2 : 1);
            $sum += $value > 9 ? $value - 9 : $value;
        }

        return $sum % 10 === 0;
    }

    private static function brandOf(string $digits): string
    {
        return match (1) {
            preg_match('/^4/', $digits) => 'Visa',
            preg_match('/^(5[1-5]|2(22[1-9]|2[3-9]|[3-6]|7[01]|720))/', $digits) => 'Mastercard',
            preg_match('/^3[47]/', $digits) => 'American Express',
            preg_match('/^(6011|65|64[4-9])/', $digits) => 'Discover',
            preg_match('/^3(0[0-5]|[689])/', $digits) => 'Diners Club',
            preg_match('/^35(2[89]|[3-8])/', $digits) => 'JCB',
            default => 'card',
        };
    }
}
