<?php

declare(strict_types=1);

namespace Almanac\Banking;

use Almanac\Titled;

/** How money passes. */
enum PayBy: string implements Titled
{
    case Transfer = 'transfer';
    case Cheque = 'cheque';
    case Card = 'card';
    case Cash = 'cash';
    case DirectDebit = 'direct-debit';

    public function title(): string
    {
        return strtr($this->value, '-', ' ');
    }

    /** What an office of that country calls it. */
    public function titleIn(string $country): string
    {
        return $this === self::Cheque && $country === 'US' ? 'check' : $this->title();
    }

    /** Payments by card are reported by whoever settles cards, and not by the office (IRS, instructions for form 1099-NEC; from memory). */
    public function countsForTaxReport(): bool
    {
        return $this !== self::Card;
    }

    /** @return list<self> that count for the tax report */
    public static function reported(): array
    {
        return array_values(array_filter(self::cases(), fn (self $way) => $way->countsForTaxReport()));
    }
}
