<?php

declare(strict_types=1);

namespace Almanac\Lists;

/**
 * The order of names as dictionaries have it: letters before case and accents, figures by what they count. Source: CLDR
 * root collation, by way of ICU.
 */
final class Collation
{
    private static ?\Collator $collator = null;

    /** A key that sorts, byte by byte, as the name does among names. */
    public static function key(string $name): string
    {
        // It ends with a byte of nothing, which says nothing.
        return rtrim((string) self::collator()->getSortKey($name), "\0");
    }

    /** Under which letter of the index it stands: its first one, without case and accents; # for what begins with none. */
    public static function letter(string $name): string
    {
        $first = preg_match('/^[^\p{L}\p{N}]*(\p{L})/u', \Normalizer::normalize($name, \Normalizer::FORM_KD) ?: $name, $part) === 1
            ? $part[1]
            : '';

        return $first === ''
            ? '#'
            : mb_strtoupper(strtr($first, ['ß' => 'S', 'ø' => 'O', 'Ø' => 'O', 'æ' => 'A', 'Æ' => 'A', 'ł' => 'L', 'Ł' => 'L']));
    }

    private static function collator(): \Collator
    {
        if (self::$collator === null) {
            self::$collator = new \Collator('en');
            self::$collator->setAttribute(\Collator::NUMERIC_COLLATION, \Collator::ON);
        }

        return self::$collator;
    }
}
