<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

use Almanac\Refusal;

/** A tax number or another number of registers that cannot be right. */
final class TaxIdRefused extends Refusal
{
    public static function empty(TaxIdKind $kind): self
    {
        return new self("Type the {$kind->title()}, or remove this line.");
    }

    public static function shape(string $typed, string $what, string $example): self
    {
        return new self("“{$typed}” is not a valid $what, which looks like $example.");
    }

    public static function checkDigits(string $typed, string $what): self
    {
        return new self("“{$typed}” cannot be right: its check digits do not match. Compare it with the paper.");
    }

    public static function because(string $typed, string $what, string $reason): self
    {
        return new self("“{$typed}” is not a valid $what: $reason");
    }

    public static function unknownCountry(string $country): self
    {
        return new self("VAT numbers of “{$country}” are not known here. Choose the country, or another kind of number.");
    }
}
