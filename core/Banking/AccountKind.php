<?php

declare(strict_types=1);

namespace Almanac\Banking;

use Almanac\Titled;

/** The ways in which a bank account is written. */
enum AccountKind: string implements Titled
{
    case Iban = 'iban';
    case UsAccount = 'us';
    case UkAccount = 'uk';

    public function title(): string
    {
        return match ($this) {
            self::Iban => 'IBAN',
            self::UsAccount => 'US account',
            self::UkAccount => 'UK account',
        };
    }

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
