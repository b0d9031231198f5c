<?php

declare(strict_types=1);

namespace Almanac\Addresses;

use Symfony\Component\Intl\Countries;

/** English names of countries. Source: CLDR, by way of symfony/intl. */
final class CountryNames
{
    private const WITH_ARTICLE = ['US', 'GB', 'NL'];

    public static function of(string $country): string
    {
        return Countries::getName($country, 'en');
    }

    /** As it stands in a sentence: the United States, Canada. */
    public static function in(string $country): string
    {
        return (in_array($country, self::WITH_ARTICLE, true) ? 'the ' : '').self::of($country);
    }
}
