<?php

declare(strict_types=1);

namespace Almanac\Names;

/** Tidies one part of a name without changing its letters: any alphabet, any sign is kept. */
final class NamePart
{
    public const MAX_LENGTH = 200;

    /** @throws NameRefused when it has over 200 characters */
    public static function tidy(string $typed): string
    {
        if (strlen($typed) <= self::MAX_LENGTH && preg_match('/^(?:[!-~]+(?: [!-~]+)*)?$/D', $typed) === 1) {
            // Plain letters and signs with single spaces: nothing of it would become another.
            return $typed;
        }
        $text = \Normalizer::normalize($typed, \Normalizer::FORM_C) ?: $typed;
        // Control characters go; joiners stay, since emoji and Persian names are written with them.
        $text = preg_replace(['/[\p{Cc}\x{FEFF}]+/u', '/\s+/u'], ' ', $text) ?? '';
        $text = trim($text);
        $length = (int) grapheme_strlen($text);

        return $length > self::MAX_LENGTH ? throw NameRefused::tooLong($length, self::MAX_LENGTH) : $text;
    }
}
