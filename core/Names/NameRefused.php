<?php

declare(strict_types=1);

namespace Almanac\Names;

use Almanac\Refusal;

/** A name that nobody could be filed under. */
final class NameRefused extends Refusal
{
    public static function emptyPerson(): self
    {
        return new self('Type a given name or a family name.');
    }

    public static function emptyCompany(): self
    {
        return new self('Type the company’s name.');
    }

    public static function tooLong(int $length, int $most): self
    {
        return new self(sprintf('That is %d characters long; the limit is %d. Shorten it, and keep the rest in a note.', $length, $most));
    }
}
