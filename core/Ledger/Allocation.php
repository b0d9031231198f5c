<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Money\BadAmount;
use Almanac\Money\Money;

/** So much money, used on one document. */
final readonly class Allocation
{
    private function __construct(public int $documentId, public Money $amount)
    {
    }

    /**
     * The oldest first: by due date, then by date, until the money or the documents run out.
     *
     * @param list<Entry> $open
     *
     * @return list<self>
     */
    public static function oldestFirst(Money $money, array $open): array
    {
        $open = array_values(array_filter($open, fn (Entry $entry) => $entry->isOpen() && $entry->open->currency === $money->currency));
        usort(
            $open,
            fn (Entry $one, Entry $other) => [$one->due->number, $one->date->number, $one->id] <=> [
                $other->due->number,
                $other->date->number,
                $other->id,
            ],
        );
        $allocations = [];
        foreach ($open as $entry) {
            $part = $money->atMost($entry->open);
            if (! $part->isZero() && ! $part->isNegative()) {
                $allocations[] = new self($entry->id, $part);
                $money = $money->minus($part);
            }
        }

        return $allocations;
    }

    /**
     * What is proposed: the document that the money came for, then the oldest first.
     *
     * @param Money|null $money null while no amount is known: then all of what it came for
     * @param list<Entry> $open
     *
     * @return list<self>
     */
    public static function proposed(?Money $money, array $open, ?int $firstId): array
    {
        $first = array_values(array_filter($open, fn (Entry $entry) => $entry->id === $firstId && $entry->isOpen()));
        if ($money === null) {
            return array_map(fn (Entry $entry) => new self($entry->id, $entry->open), $first);
        }
        $begun = self::oldestFirst($money, $first);

        return [
            ...$begun,
            ...self::oldestFirst(
                self::remainder($money, $begun),
                array_values(array_filter($open, fn (Entry $entry) => $entry->id !== $firstId)),
            ),
        ];
    }

    /**
     * @throws LedgerRefused when it is not above zero, or more than is open of the document
     * @throws BadAmount when it is in another currency
     */
    public static function to(Entry $entry, Money $amount): self
    {
        if ($amount->minor <= 0) {
            throw LedgerRefused::notPositive();
        }
        if ($amount->minus($entry->open)->minor > 0) {
            throw LedgerRefused::overAllocated($amount->toText(), $entry->open->toText());
        }

        return new self($entry->id, $amount);
    }

    /**
     * What of the money stays unallocated.
     *
     * @param list<self> $allocations
     *
     * @throws LedgerRefused when more is used than there is
     */
    public static function remainder(Money $money, array $allocations): Money
    {
        $used = Money::sum(array_map(fn (self $one) => $one->amount, $allocations), $money->currency);
        $left = $money->minus($used);
        if ($left->isNegative()) {
            throw LedgerRefused::moreThanThereIs($used->toText(), $money->toText());
        }

        return $left;
    }
}
