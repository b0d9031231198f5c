<?php

declare(strict_types=1);

namespace Almanac\Names;

/**
 * Takes a person's name apart as it was typed in one run: "Mr. Silas A. Wren III", "Wren, Silas".
 *
 * A first guess for correction, never the last word. The prefixes, suffixes and particles are
 * common practice, no published source.
 */
final class TypedPersonName
{
    private const PREFIXES = [
        'mr', 'mrs', 'ms', 'miss', 'mx', 'dr', 'prof', 'professor', 'rev', 'reverend', 'fr', 'sr', 'hon', 'sir', 'dame', 'lady', 'lord',
    ];

    private const SUFFIXES = ['jr', 'sr', 'ii', 'iii', 'iv', 'esq'];

    /** What stands after a name for a degree or an honour. */
    private const POST_NOMINALS = ['phd', 'md', 'jd', 'cpa', 'mba', 'dds', 'pe', 'obe', 'mbe', 'ret', 'rn', 'llm', 'ba', 'ma', 'msc'];

    private const PARTICLES = [
        'de',
        'da',
        'di',
        'du',
        'del',
        'della',
        'dos',
        'das',
        'la',
        'le',
        'van',
        'der',
        'den',
        'ter',
        'ten',
        'von',
        'zu',
        'zur',
        'af',
        'al',
        'bin',
        'ibn',
        'ben',
        'st',
        'st.',
        'san',
    ];

    /** @throws NameRefused when nothing is left of it, or a part has over 200 characters */
    public static function read(string $typed): TakenApart
    {
        $typed = NamePart::tidy($typed);
        $suffix = [];
        $postNominals = [];
        $commaParts = array_values(array_filter(array_map('trim', explode(',', $typed)), fn (string $part) => $part !== ''));
        while (count($commaParts) > 1) {
            if (self::isOneOf(self::POST_NOMINALS, end($commaParts))) {
                array_unshift($postNominals, array_pop($commaParts));
            } elseif (self::isOneOf(self::SUFFIXES, end($commaParts))) {
                array_unshift($suffix, array_pop($commaParts));
            } else {
                break;
            }
        }
        $isFamilyFirst = count($commaParts) === 2;
        $words = self::words($isFamilyFirst ? $commaParts[1] : implode(' ', $commaParts));

        $prefix = [];
        while (count($words) > 1 && self::isOneOf(self::PREFIXES, $words[0])) {
            $prefix[] = array_shift($words);
        }
        while (count($words) > 1 && self::isOneOf(self::SUFFIXES, $words[count($words) - 1])) {
            array_unshift($suffix, array_pop($words));
        }
        $family = $isFamilyFirst ? $commaParts[0] : self::takeFamily($words);

        $given = (string) array_shift($words);
        $middle = implode(' ', $words);

        return new TakenApart(PersonName::of(
            given: $given,
            family: $family,
            prefix: implode(' ', $prefix),
            middle: $middle,
            suffix: implode(' ', $suffix),
            postNominals: implode(', ', $postNominals),
        ), self::doubtful($given, $middle, $family, $isFamilyFirst, count($commaParts)));
    }

    /**
     * Takes the family name off the end, particles included; at least one word stays as given name.
     *
     * @param list<string> $words
     */
    private static function takeFamily(array &$words): string
    {
        if (count($words) < 2) {
            return '';
        }
        $start = count($words) - 1;
        while ($start > 1 && in_array(mb_strtolower($words[$start - 1]), self::PARTICLES, true)) {
            $start--;
        }

        return implode(' ', array_splice($words, $start));
    }

    /**
     * A full middle word may begin a family name of two (Garcia Lopez), and a single word may be
     * either name; with more commas than the order needs, all of it wants a look.
     *
     * @return list<string>
     */
    private static function doubtful(string $given, string $middle, string $family, bool $isFamilyFirst, int $commaParts): array
    {
        return match (true) {
            $commaParts > 2 => ['given', 'middle', 'family'],
            $family === '' || $given === '' => ['given', 'family'],
            ! $isFamilyFirst && preg_match('/\p{L}{2,}(?!\.)(?:\s|$)/u', $middle) === 1 => ['middle', 'family'],
            default => [],
        };
    }

    /** @param  list<string>  $list */
    private static function isOneOf(array $list, string $word): bool
    {
        return in_array(mb_strtolower(str_replace('.', '', $word)), $list, true);
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        return preg_split('/\s+/u', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }
}
