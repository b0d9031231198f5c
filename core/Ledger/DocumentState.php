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

    /** Of a file that is being imported: nothing counts or shows it yet. */
    case Staged = 'staged';

    /** @return list<self> of what has been issued and counts */
    public static function counted(): array
    {
        return [self::Issued, self::PartPaid, self::Settled];
    }

    /** @return list<self> those that somebody can see */
    public static function listed(): array
    {
        return [self::Draft, self::Issued, self::PartPaid, self::Settled, self::Void];
    }

    /** Of one that has been issued, by what is still open of it. */
    public static function issued(Money $total, Money $open): self
    {
        return match (true) {
            $open->isZero() => self::Settled,
            $open->minor < $total->minor => self::PartPaid,
            default => self::Issued,
        };
    }

    /** What it is called of a document of that kind. */
    public function words(DocumentKind $kind): string
    {
        [$issued, $part, $settled] = match (true) {
            $kind === DocumentKind::Quote => ['issued', 'part accepted', 'accepted'],
            $kind->isPromise() => ['issued', 'part billed', 'billed'],
            $kind->isCredit() => [$kind->isTheirs() ? 'entered' : 'issued', 'part used', 'used'],
            default => [$kind->isTheirs() ? 'entered' : 'issued', 'part paid', 'settled'],
        };

        return match ($this) {
            self::Issued => $issued,
            self::PartPaid => $part,
            self::Settled => $settled,
            default => $this->value,
        };
    }

    /** Whether something can still become of it: money can come, or another document. */
    public function isOpen(): bool
    {
        return $this === self::Issued || $this === self::PartPaid;
    }
}
