<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Refusal;

/** A file that cannot be read, or a part of it. */
final class InterchangeRefused extends Refusal
{
    public static function noText(): self
    {
        return new self('This is not a text table. Save it as CSV first.');
    }

    /** @param  list<string>  $names */
    public static function columnsMissing(array $names): self
    {
        return new self('The first line must name the columns. Missing: '.implode(', ', $names).'.');
    }

    public static function empty(): self
    {
        return new self('There is nothing in the file.');
    }

    public static function notXml(): self
    {
        return new self('This invoice cannot be read: it is not well-formed XML.');
    }

    public static function notAnInvoice(string $root): self
    {
        return new self("This is not a UBL invoice or credit note: its root element is “{$root}”.");
    }

    public static function lacks(string $what): self
    {
        return new self("The invoice has no $what.");
    }

    public static function doesNotAddUp(string $said, string $found): self
    {
        return new self("The invoice says $said, and its lines come to $found. Ask whoever sent it.");
    }

    public static function unknownKind(string $typed): self
    {
        return new self("“{$typed}” is not a kind of document. Write invoice, credit note, bill, quote, order or purchase order.");
    }

    public static function forgotten(): self
    {
        return new self('Somebody has stopped it meanwhile.');
    }

    public static function otherThanChecked(): self
    {
        return new self('The book has changed since the file was checked: look at what can be imported now, and say so again.');
    }

    public static function changedMeanwhile(string $document): self
    {
        return new self("$document has been entered meanwhile, or its record is no longer in use.");
    }

    public static function baseQuantity(string $typed): self
    {
        return new self("The invoice has a price for “{$typed}” pieces, which no price can be for. Ask whoever sent it.");
    }

    /** @param  string  $what  "another due date" */
    public static function differsWithin(string $what): self
    {
        return new self("The first line of this document has $what.");
    }

    public static function notACalendar(): self
    {
        return new self('This is not an iCalendar file. Such files end in .ics.');
    }

    public static function noWholeDays(): self
    {
        return new self('It has no all-day events from today on.');
    }

    public static function notThatKind(string $kind): self
    {
        return new self("This file cannot be read as $kind. Open it where it comes from, and save it again.");
    }

    public static function tooMuch(): self
    {
        return new self('Unpacked, this file is far larger than it should be. Save the sheet as CSV, and hand that in.');
    }

    public static function tooManyColumns(int $most): self
    {
        return new self("A table has at most $most columns here. Take out those that are not needed.");
    }

    public static function tooManyRows(int $most): self
    {
        return new self('At most '.number_format($most).' lines at once. Split the file.');
    }

    public static function noSuchSheet(): self
    {
        return new self('That sheet is not in the file.');
    }

    public static function endsInTheMiddle(): self
    {
        return new self('The file ends in the middle of a contact. Export it again.');
    }

    public static function unknownWord(string $typed, string $wanted): self
    {
        return new self('“'.mb_strimwidth($typed, 0, 40, '…')."” is not understood here. Write $wanted.");
    }

    public static function newWord(string $typed): self
    {
        return new self('“'.mb_strimwidth($typed, 0, 40, '…').'” is not in the office’s list. Choose another, or let new words be added.');
    }

    public static function nameless(): self
    {
        return new self('Type the name of a person or a company.');
    }

    public static function stillToCome(): self
    {
        return new self('That day is still to come. Check the year.');
    }

    public static function noSuchLine(): self
    {
        return new self('That line is not in the file.');
    }

    public static function noSuchRecord(): self
    {
        return new self('That record is no longer there. Choose another.');
    }

    public static function notNow(string $state): self
    {
        return new self("That can’t be done now: the file is $state.");
    }

    public static function nothingToTake(): self
    {
        return new self('Nothing in the file would be added or changed.');
    }

    public static function enteredMeanwhile(string $name): self
    {
        return new self("$name has come into the book meanwhile. Look at the line again.");
    }

    public static function inTheBook(string $document): self
    {
        return new self("$document is in the book already, for somebody else, on another day or with another amount.");
    }

    public static function twiceInTheFile(string $document, int $line): self
    {
        return new self("$document stands on line $line, too. Mend the number, or leave one of them out.");
    }

    public static function noNewOfDocuments(): self
    {
        return new self('Add the record first, and choose it here.');
    }

    /** @param  int  $line  of the same document, which is wrong */
    public static function belongsTo(int $line): self
    {
        return new self("It is of the same document as line $line.");
    }

    /** @param  string  $what  "IBAN" */
    public static function oneOnly(string $what): self
    {
        return new self("Another $what stands on this line, and a record has one. Clear the one that is not in use.");
    }

    public static function nobodyLikely(): self
    {
        return new self('There is nobody to take for any of them. Say of each what it is.');
    }
}
