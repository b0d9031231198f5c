<?php

declare(strict_types=1);

namespace Almanac\Money;

/** What sets off the decimals of a number as it is typed; the other sign sets off thousands. */
enum DecimalSign: string
{
    case Point = '.';
    case Comma = ',';

    /**
     * As the first language of a country writes it.
     *
     * Source: Unicode CLDR, by way of ICU (likely subtags, and the number symbols of that language).
     *
     * @param string $country ISO 3166-1 alpha-2
     */
    public static function ofCountry(string $country): self
    {
        $likely = \ResourceBundle::create('likelySubtags', 'ICUDATA', false)?->get("und_$country");
        $numbers = new \NumberFormatter(is_string($likely) ? $likely : "en_$country", \NumberFormatter::DECIMAL);

        return self::tryFrom((string) $numbers->getSymbol(\NumberFormatter::DECIMAL_SEPARATOR_SYMBOL)) ?? self::Point;
    }

    public function other(): self
    {
        return $this === self::Point ? self::Comma : self::Point;
    }

    /** A plain decimal such as 2.125 as TypedNumber reads it back with this sign: 2,125. */
    public function write(string $plain): string
    {
        return str_replace('.', $this->value, $plain);
    }
}
