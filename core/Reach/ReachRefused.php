<?php

declare(strict_types=1);

namespace Almanac\Reach;

use Almanac\Refusal;

/** A phone number, email or web address that cannot be right. */
final class ReachRefused extends Refusal
{
    public static function empty(ContactKind $kind): self
    {
        return new self(sprintf('Type the %s, or remove this line.', $kind->noun()));
    }

    public static function tooLong(ContactKind $kind, int $most): self
    {
        return new self(sprintf('That is too long for a %s: at most %d characters.', $kind->noun(), $most));
    }

    public static function notAPhone(string $typed): self
    {
        return new self(sprintf('“%s” is not a phone number. Type its digits, such as (802) 555-0142 or +44 20 7946 0123.', $typed));
    }

    public static function phoneWithoutAreaCode(string $typed): self
    {
        return new self(sprintf('“%s” lacks its area code. Type the whole number.', $typed));
    }

    public static function phoneTooShort(string $typed): self
    {
        return new self(sprintf('“%s” has too few digits for a phone number. Check it, or begin with + and the country code.', $typed));
    }

    public static function phoneTooLong(string $typed): self
    {
        return new self(sprintf('“%s” has too many digits for a phone number. Check it, or write an extension as ext. 12.', $typed));
    }

    public static function unknownCountryCode(string $typed): self
    {
        return new self(sprintf('“%s” begins with a country code that does not exist. Check the digits after the +.', $typed));
    }

    public static function emailWithoutAt(string $typed): self
    {
        return new self(sprintf('“%s” lacks the @ of an email address. Type it like name@company.example.', $typed));
    }

    public static function emailWithTwoAts(string $typed): self
    {
        return new self(sprintf('“%s” has more than one @. An email address has exactly one.', $typed));
    }

    public static function notAnEmail(string $typed): self
    {
        return new self(sprintf('“%s” is not an email address. Type it like name@company.example.', $typed));
    }

    public static function notAWebsite(string $typed): self
    {
        return new self(sprintf('“%s” is not a web address. Type it like www.company.example.', $typed));
    }

    public static function notAHandle(string $typed): self
    {
        return new self(sprintf('“%s” is not a handle: there is a space in it. Name the service in the label instead.', $typed));
    }
}
