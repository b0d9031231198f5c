<?php

declare(strict_types=1);

namespace Almanac\Records;

/** Words that somebody writes about a record: tidied, never empty, never endless. */
final class Wording
{
    /**
     * One line: control characters and line breaks become spaces.
     *
     * @param string $whenEmpty what to say when nothing was written
     *
     * @throws WordingRefused when it is empty, or has over that many characters
     */
    public static function line(string $typed, int $most, string $whenEmpty): string
    {
        return self::checked(preg_replace('/[\p{Cc}\s]+/u', ' ', $typed) ?? '', $most, $whenEmpty);
    }

    /**
     * Several lines; breaks are kept.
     *
     * @throws WordingRefused when it is empty, or has over that many characters
     */
    public static function paragraphs(string $typed, int $most, string $whenEmpty): string
    {
        $text = preg_replace(['/\R/u', '/[^\P{Cc}\n\t]+/u'], ["\n", ''], $typed) ?? '';

        return self::checked($text, $most, $whenEmpty);
    }

    private static function checked(string $text, int $most, string $whenEmpty): string
    {
        $text = trim($text);

        return match (true) {
            $text === '' => throw WordingRefused::empty($whenEmpty),
            mb_strlen($text) > $most => throw WordingRefused::tooLong(mb_strlen($text), $most),
            default => $text,
        };
    }
}
