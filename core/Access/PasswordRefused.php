<?php

declare(strict_types=1);

namespace Almanac\Access;

use Almanac\Refusal;

/** A password that would be guessed too soon, or cannot be kept whole. */
final class PasswordRefused extends Refusal
{
    public static function tooShort(int $least): self
    {
        return new self("Choose a password of at least $least characters. Several words are easy to remember.");
    }

    public static function tooLong(int $most): self
    {
        return new self("Choose a password of at most $most bytes; letters with accents count twice.");
    }

    public static function yours(): self
    {
        return new self('Your name or email is the first thing somebody would try. Choose another password.');
    }

    public static function common(): self
    {
        return new self('That is one of the passwords that are tried first. Choose another, such as several words.');
    }
}
