<?php

declare(strict_types=1);

namespace Almanac\Banking;

/** The ways in which a bank account is written. */
enum AccountKind: string
{
    case Iban = 'IBAN';
    case UsAccount = 'US account';
    case UkAccount = 'UK account';

    /**
     * The one that a currency is usually sent to (common practice, no published source).
     *
     * @param string $currency ISO 4217
     */
    public static function usualFor(string $currency): self
    {
        return match ($currency) {
            'USD' => self::UsAccount,
            'GBP' => self::UkAccount,
            default => self::Iban,
        };
    }
}
