<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Money\Money;

/** How far a document has come. */
enum DocumentState: string
{
    case Draft = 'draft';
    case Issued = 'issued';
    case PartPaid = 'part-paid';
    case Settled = 'settled';
    case Void = 'void';

    /** Of one that has been issued, by what is still open of it. */
    public static function issued(Money $total, Money $open): self
    {
        return match (true) {
            $open->isZero() => self::Settled,
            $open->minor < $total->minor => self::PartPaid,
            default => self::Issued,
        };
    }

    public function words(): string
    {
        return $this === self::PartPaid ? 'part paid' : $this->value;
    }

    /** Whether something can still become of it: money can come, or another document. */
    public function isOpen(): bool
    {
        return $this === self::Issued || $this === self::PartPaid;
    }
}
