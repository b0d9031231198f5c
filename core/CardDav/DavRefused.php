<?php

declare(strict_types=1);

namespace Almanac\CardDav;

use Almanac\Refusal;

/** A request of a phone or a mail program, or an address book elsewhere, that cannot be read. */
final class DavRefused extends Refusal
{
    public static function notXml(): self
    {
        return new self('The request is not well-formed XML.');
    }

    public static function unknownReport(string $name): self
    {
        return new self("There is no report {$name} here.");
    }

    public static function notAnAddress(): self
    {
        return new self('Type an address such as https://contacts.example.com.');
    }

    public static function hasPassword(): self
    {
        return new self('Type the name and the password in their own fields, not into the address.');
    }

    /** @param  list<string>  $allowed */
    public static function notAllowed(string $place, array $allowed): self
    {
        return new self("The office does not allow $place. ".($allowed === []
            ? 'An administrator allows addresses under Office.'
            : 'Allowed: '.implode(', ', $allowed).'.'));
    }

    public static function notABook(): self
    {
        return new self('There is no address book (CardDAV) at that address. Ask whoever runs it for the address that phones use.');
    }

    public static function isSilent(): self
    {
        return new self('It does not answer. Check the address, or try again later.');
    }

    public static function wrongPassword(): self
    {
        return new self('It does not take that name and password.');
    }

    public static function said(int $status): self
    {
        return new self("It refuses to give its contacts (answer $status).");
    }

    public static function goesInCircles(): self
    {
        return new self('It sends from one address to the next without end.');
    }

    public static function tooLarge(int $megabytes): self
    {
        return new self("The address book has more than $megabytes MB. Save it as a file there, in parts, and import those.");
    }

    public static function isEmpty(): self
    {
        return new self('The address book has no contacts.');
    }
}
