<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Refusal;

/** Something that documents and payments cannot do. */
final class LedgerRefused extends Refusal
{
    public static function openOutOfRange(string $open, string $total): self
    {
        return new self("$open cannot be open of $total.");
    }

    public static function dueBeforeDate(string $due, string $date): self
    {
        return new self("A document dated $date cannot be due earlier, on $due.");
    }

    public static function negativeTotal(string $total): self
    {
        return new self("The document comes to $total. For money that goes back, write a credit note.");
    }

    public static function overAllocated(string $amount, string $open): self
    {
        return new self("Only $open of it is still open; $amount is more. Somebody may have settled it meanwhile.");
    }

    public static function moreThanThereIs(string $amount, string $available): self
    {
        return new self("That is $amount in all, and only $available is there to be used.");
    }

    public static function notPositive(): self
    {
        return new self('Type an amount above zero.');
    }

    public static function creditAboveInvoice(string $credit, string $open): self
    {
        return new self(
            "The credit of $credit is more than the $open still open of it. Lower the credit, or write it without the document and use it for others too.",
        );
    }

    public static function openingAfterDocuments(string $first): self
    {
        return new self("An opening balance is set before the first document; there is one of $first already.");
    }

    public static function openingBelowZero(): self
    {
        return new self('An opening balance is not below zero. Leave it empty, and record what was paid too much as a payment.');
    }

    public static function openingTwice(): self
    {
        return new self('There is an opening balance on this side already. Void it first to set another.');
    }

    public static function tooLateForDiscount(string $lastDay): self
    {
        return new self("The discount ended on $lastDay. To let it go all the same, write the rest off and say why.");
    }

    public static function noDiscount(): self
    {
        return new self('Its terms have no discount. To let something go, write it off and say why.');
    }

    public static function discountTooLarge(string $most): self
    {
        return new self("The discount is at most $most.");
    }

    public static function notNow(string $why): self
    {
        return new self($why);
    }

    public static function voidPayment(): self
    {
        return new self('The payment is void. Record another.');
    }

    public static function takenBackAlready(): self
    {
        return new self('That has been taken back already.');
    }

    public static function neededRate(string $currency): self
    {
        return new self(
            "Documents in $currency need this rate: it is the first that applies to them. Add an earlier one before removing it.",
        );
    }

    public static function numberTaken(string $what): self
    {
        return new self("There is $what already.");
    }

    public static function noLines(): self
    {
        return new self('Add at least one line.');
    }

    public static function paidAlready(): self
    {
        return new self('Money or a credit has been used on it. Take that back first, or write a credit note.');
    }
}
