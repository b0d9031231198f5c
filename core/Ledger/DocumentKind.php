<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Terms\Side;
use Almanac\Titled;

/** The documents that pass between the office and those it deals with. */
enum DocumentKind: string implements Titled
{
    case Quote = 'quote';
    case Order = 'order';
    case Invoice = 'invoice';
    case CreditNote = 'credit-note';
    case PurchaseOrder = 'purchase-order';
    case Bill = 'bill';
    case CreditReceived = 'credit-received';
    case OpeningReceivable = 'opening-receivable';
    case OpeningPayable = 'opening-payable';

    public function title(): string
    {
        return match ($this) {
            self::CreditNote => 'Credit note',
            self::PurchaseOrder => 'Purchase order',
            self::CreditReceived => 'Credit note received',
            self::OpeningReceivable, self::OpeningPayable => 'Opening balance',
            default => ucfirst($this->value),
        };
    }

    /** Told apart from every other. */
    public function titleInList(): string
    {
        return $this->title().($this->isOpening() ? ", {$this->side()->balance()}" : '');
    }

    /** "an invoice", for sentences. */
    public function withArticle(): string
    {
        $name = mb_strtolower($this->title());

        return (preg_match('/^[aeiou]/', $name) === 1 ? 'an ' : 'a ').$name;
    }

    public function side(): Side
    {
        return match ($this) {
            self::PurchaseOrder, self::Bill, self::CreditReceived, self::OpeningPayable => Side::Vendor,
            default => Side::Client,
        };
    }

    /** Whether money is owed on it, so that it is aged and paid. */
    public function isOwed(): bool
    {
        return match ($this) {
            self::Invoice, self::Bill, self::OpeningReceivable, self::OpeningPayable => true,
            default => false,
        };
    }

    /** Whether it lowers what is owed. */
    public function isCredit(): bool
    {
        return $this === self::CreditNote || $this === self::CreditReceived;
    }

    public function isOpening(): bool
    {
        return $this === self::OpeningReceivable || $this === self::OpeningPayable;
    }

    /** Whether it promises, and has to become another document before anything is owed. */
    public function isPromise(): bool
    {
        return $this->next() !== null;
    }

    /** What it is turned into, without typing it again. */
    public function next(): ?self
    {
        return match ($this) {
            self::Quote => self::Order,
            self::Order => self::Invoice,
            self::PurchaseOrder => self::Bill,
            default => null,
        };
    }

    /** Whether it comes from them, under a number of theirs. */
    public function isTheirs(): bool
    {
        return $this === self::Bill || $this === self::CreditReceived;
    }

    /** The credit that answers it. */
    public function credit(): ?self
    {
        return match ($this) {
            self::Invoice => self::CreditNote,
            self::Bill => self::CreditReceived,
            default => null,
        };
    }

    /** The number it gets when it is issued: a letter of its kind, the year, and its place in that year. */
    public function numbered(int $year, int $place): string
    {
        $letters = match ($this) {
            self::Quote => 'Q',
            self::Order => 'O',
            self::Invoice => 'I',
            self::CreditNote => 'C',
            self::PurchaseOrder => 'P',
            self::Bill => 'B',
            self::CreditReceived => 'D',
            self::OpeningReceivable, self::OpeningPayable => 'OB',
        };

        return sprintf('%s%d-%04d', $letters, $year, $place);
    }

    /**
     * The place that a number of ours has in its series.
     *
     * @return array{int, int}|null year and place; null for a number of another shape
     */
    public function placeOf(string $number): ?array
    {
        return preg_match('/^[A-Z]{1,2}(\d{4})-(\d{4,9})$/D', $number, $part) === 1 &&
            $number === $this->numbered((int) $part[1], (int) $part[2])
            ? [(int) $part[1], (int) $part[2]]
            : null;
    }

    /** @return list<self> of one side */
    public static function ofSide(Side $side): array
    {
        return array_values(array_filter(self::cases(), fn (self $kind) => $kind->side() === $side));
    }

    /** @return list<self> that money is owed on; of one side, or of both */
    public static function owed(?Side $side = null): array
    {
        return array_values(array_filter(self::cases(), fn (self $kind) => $kind->isOwed() && ($side === null || $kind->side() === $side)));
    }

    /** @return list<self> that make up what is owed: what raises it, and the credits that lower it */
    public static function counted(?Side $side = null): array
    {
        return array_values(
            array_filter(
                self::cases(),
                fn (self $kind) => ($kind->isOwed() || $kind->isCredit()) && ($side === null || $kind->side() === $side),
            ),
        );
    }

    /** @return list<self> that somebody writes; opening balances are set once and apart */
    public static function written(Side $side): array
    {
        return array_values(array_filter(self::ofSide($side), fn (self $kind) => ! $kind->isOpening()));
    }
}
