<?php

declare(strict_types=1);

namespace Bench;

/**
 * Names as a real book has them: few are common, most are rare (Zipf's law, by which the word of rank r comes 1/r
 * times as often as the first). Made of syllables, so that there are thousands of each.
 */
final class Names
{
    private const ONSETS = [
        'B',
        'Br',
        'C',
        'Cr',
        'D',
        'Dr',
        'F',
        'G',
        'Gr',
        'H',
        'J',
        'K',
        'L',
        'M',
        'N',
        'P',
        'Pr',
        'R',
        'S',
        'St',
        'T',
        'Tr',
        'V',
        'W',
    ];

    private const MIDDLES = ['a', 'e', 'i', 'o', 'u', 'ai', 'ea', 'oa'];

    private const ENDS = ['ll', 'n', 'r', 'rd', 'rn', 's', 'ck', 'm', 'nd', 'st', 'x', 'th'];

    private const TAILS = [
        '',
        'a',
        'by',
        'er',
        'ey',
        'field',
        'ford',
        'ham',
        'ing',
        'land',
        'ley',
        'low',
        'man',
        'mer',
        'ner',
        'son',
        'ton',
        'well',
        'wick',
        'worth',
    ];

    private const FAMILIES = 12_000;

    private const GIVENS = 800;

    private const WORDS = 3_000;

    private const TOWNS = 1_500;

    public static function family(): string
    {
        return self::word(self::zipf(self::FAMILIES) * 7);
    }

    public static function given(): string
    {
        return self::word(self::zipf(self::GIVENS) * 31 + 11);
    }

    public static function companyWord(): string
    {
        return self::word(self::zipf(self::WORDS) * 13 + 5);
    }

    /** @return array{string, string, string} a town, its state and its ZIP code */
    public static function town(): array
    {
        $rank = self::zipf(self::TOWNS);

        return [self::word($rank * 17 + 3), ['VT', 'NH', 'MA', 'NY', 'ME'][$rank % 5], sprintf('0%04d', 1000 + $rank * 5 % 8999)];
    }

    private static function zipf(int $most): int
    {
        return (int) floor(exp(mt_rand() / mt_getrandmax() * log($most)));
    }

    private static function word(int $n): string
    {
        $syllable = self::ONSETS[$n % 24].self::MIDDLES[intdiv($n, 24) % 8].self::ENDS[intdiv($n, 192) % 12];

        return $syllable.self::TAILS[($n + intdiv($n, 2304)) % 20];
    }
}
