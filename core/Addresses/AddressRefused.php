<?php

declare(strict_types=1);

namespace Almanac\Addresses;

use Almanac\Refusal;

/** An address that cannot be taken, with the part of it that is at fault. */
final class AddressRefused extends Refusal
{
    private function __construct(public readonly AddressPart $part, string $message)
    {
        parent::__construct($message);
    }

    public static function unknownCountry(string $code): self
    {
        return new self(
            AddressPart::Country,
            $code === '' ? 'Choose the country.' : sprintf('There is no country with the code “%s”.', $code),
        );
    }

    public static function empty(): self
    {
        return new self(AddressPart::Lines, 'Type the street and the place, or remove this address.');
    }

    public static function tooManyLines(int $most): self
    {
        return new self(AddressPart::Lines, sprintf('Use at most %d lines before the city.', $most));
    }

    public static function tooLong(AddressPart $part, int $most): self
    {
        return new self($part, sprintf('That is too long: at most %d characters a line.', $most));
    }

    /** @param  list<string>  $fitting names of the countries that have such postcodes */
    public static function postcode(string $typed, Layout $layout, string $country, array $fitting): self
    {
        $hint = match (count($fitting)) {
            0 => 'Correct it, or leave it empty for now.',
            default => sprintf(
                'It looks like one of %s: change the country, or the %s.',
                count($fitting) === 1 ? $fitting[0] : implode(', ', array_slice($fitting, 0, -1)).' or '.end($fitting),
                $layout->postcodeNoun(),
            ),
        };

        return new self(AddressPart::Postcode, sprintf(
            '“%s” is not a valid %s for %s, which looks like %s. %s',
            $typed,
            $layout->postcodeNoun(),
            $country,
            $layout->postcodeExample,
            $hint,
        ));
    }

    public static function region(string $typed, Layout $layout): self
    {
        return new self(AddressPart::Region, sprintf(
            '“%s” is not a %s we know. Type its name or its letters, such as %s.',
            $typed,
            lcfirst($layout->regionName),
            (string) array_key_first($layout->regions),
        ));
    }
}
