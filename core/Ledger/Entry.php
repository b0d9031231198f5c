<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Calendar\Day;
use Almanac\Money\Money;

/** A document as the ledger sees it: when it was written, when it is due, and what is open of it. */
final readonly class Entry
{
    private function __construct(
        public int $id,
        public DocumentKind $kind,
        public Day $date,
        public Day $due,
        public Money $total,
        public Money $open,
        public ?Day $settledOn,
    ) {
    }

    /**
     * @param Day|null $due null for what is due at once
     *
     * @throws LedgerRefused when more is open than it comes to, or less than nothing
     */
    public static function of(int $id, DocumentKind $kind, Day $date, ?Day $due, Money $total, Money $open, ?Day $settledOn = null): self
    {
        if ($open->isNegative() || $open->minus($total)->minor > 0) {
            throw LedgerRefused::openOutOfRange($open->toText(), $total->toText());
        }

        return new self($id, $kind, $date, $due ?? $date, $total, $open, $settledOn);
    }

    /**
     * What is due on different days as an entry each.
     *
     * @param list<array{Day, Money, Money}> $parts when each is due, what it comes to and what is open of it
     *
     * @return list<self>
     */
    public function inParts(array $parts): array
    {
        return count($parts) < 2
            ? [$this]
            : array_map(
                fn (array $part) => self::of($this->id, $this->kind, $this->date, $part[0], $part[1], $part[2], $this->settledOn),
                $parts,
            );
    }

    public function isOpen(): bool
    {
        return ! $this->open->isZero();
    }

    /** Whether money is owed on it that should have come by the day before. */
    public function isOverdue(Day $today): bool
    {
        return $this->kind->isOwed() && $this->isOpen() && $this->due->isBefore($today);
    }
}
