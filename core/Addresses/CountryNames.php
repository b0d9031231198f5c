<?php

declare(strict_types=1);

namespace Almanac\Addresses;

use Symfony\Component\Intl\Countries;

/** English names of countries. Source: CLDR, by way of symfony/intl. */
final class CountryNames
{
    private const WITH_ARTICLE = ['US', 'GB', 'NL'];

    /** Names that countries go by on letters and in tables, besides their English ones. */
    private const ALSO = [
        'usa' => 'US',
        'u.s.a.' => 'US',
        'u.s.' => 'US',
        'united states of america' => 'US',
        'uk' => 'GB',
        'great britain' => 'GB',
        'england' => 'GB',
        'scotland' => 'GB',
        'wales' => 'GB',
        'deutschland' => 'DE',
        'schweiz' => 'CH',
        'suisse' => 'CH',
        'svizzera' => 'CH',
        'nederland' => 'NL',
        'the netherlands' => 'NL',
        'éire' => 'IE',
    ];

    public static function of(string $country): string
    {
        return Countries::getName($country, 'en');
    }

    /** As it stands in a sentence: the United States, Canada. */
    public static function in(string $country): string
    {
        return (in_array($country, self::WITH_ARTICLE, true) ? 'the ' : '').self::of($country);
    }

    /** ISO 3166-1 alpha-2, of a name as it stands at the end of an address; null where it is none. */
    public static function named(string $text): ?string
    {
        $name = mb_strtolower(trim($text));
        $named = array_search($name, array_map(mb_strtolower(...), Countries::getNames('en')), true);

        return self::ALSO[$name] ?? (is_string($named) ? $named : null);
    }

    /** The same of a cell of a table, where a code of two or three letters is meant as one. */
    public static function code(string $text): ?string
    {
        $code = mb_strtoupper(trim($text));

        return match (true) {
            Countries::exists($code) => $code,
            Countries::alpha3CodeExists($code) => Countries::getAlpha2Code($code),
            default => self::named($text),
        };
    }
}
