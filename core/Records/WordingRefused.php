<?php

declare(strict_types=1);

namespace Almanac\Records;

use Almanac\Refusal;

/** Words that are missing, or too many. */
final class WordingRefused extends Refusal
{
    public static function empty(string $message): self
    {
        return new self($message);
    }

    public static function tooLong(int $length, int $most): self
    {
        return new self(sprintf('That is %s characters long; the limit is %s.', number_format($length), number_format($most)));
    }

    public static function notAGrade(int $typed, int $least, int $most): self
    {
        return new self("Choose a grade from $least to $most.");
    }

    public static function taken(string $name): self
    {
        return new self("“{$name}” is in the list already.");
    }

    public static function notListed(string $name): self
    {
        return new self("“{$name}” is no longer in the list. Choose another.");
    }

    public static function tooMany(int $most): self
    {
        return new self("Choose at most $most.");
    }

    public static function oneAGroup(): self
    {
        return new self('Choose at most one of each group.');
    }
}
