<?php

declare(strict_types=1);

namespace Almanac\CardDav;

use Almanac\Refusal;

/** A request of a phone or a mail program that cannot be read. */
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
}
