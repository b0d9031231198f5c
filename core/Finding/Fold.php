<?php

declare(strict_types=1);

namespace Almanac\Finding;

/** Letters without case, accents or width, so that Müller, MULLER and muller compare equal. */
final class Fold
{
    private static ?\Transliterator $transliterator = null;

    public static function text(string $text): string
    {
        // What the transliterator makes of plain letters, many times faster: most of a book is written in them.
        if (mb_check_encoding($text, 'ASCII')) {
            return strtolower($text);
        }
        self::$transliterator ??= \Transliterator::create('NFKD; [:Mn:] Remove; Lower; NFC')
            ?? throw new \LogicException('The intl extension lacks the transliterator it ships with.');
        $folded = self::$transliterator->transliterate($text);

        return strtr($folded === false ? mb_strtolower($text) : $folded, ['ß' => 'ss', 'ø' => 'o', 'æ' => 'ae', 'ł' => 'l', '’' => "'"]);
    }

    /**
     * The words of a text: runs of letters and digits.
     *
     * @return list<string>
     */
    public static function words(string $text): array
    {
        return preg_split('/[^\p{L}\p{N}]+/u', self::text($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    public static function digits(string $text): string
    {
        return preg_replace('/\D+/', '', $text) ?? '';
    }
}
