<?php

declare(strict_types=1);

namespace Almanac\Addresses;

use Almanac\Addresses\AddressPart as Part;

/**
 * The layouts of the countries that the office writes to most; any other country has a plain one.
 *
 * Source: Universal Postal Union, addressing standard S42, as published in the address data of
 * CLDR and of Google's address data service; which parts stand in capitals is from memory. The
 * tests compare with two libraries made from such data and name the differences.
 */
final class Layouts
{
    /** @var array<string, Layout> */
    private static array $layouts = [];

    public static function for(string $country): Layout
    {
        return self::$layouts[$country] ??= match ($country) {
            'US' => new Layout(
                lines: ['{street}', '{locality}, {region} {postcode}'],
                capitals: [Part::Locality, Part::Region],
                required: [Part::Lines, Part::Locality, Part::Region, Part::Postcode],
                postcodePattern: '(\d{5})(\d{4})?',
                postcodeSeparator: '-',
                postcodeExample: '05301 or 05301-1234',
                postcodeName: 'ZIP code',
                localityName: 'City',
                regionName: 'State',
                regions: Regions::US,
            ),
            'CA' => new Layout(
                lines: ['{street}', '{locality} {region} {postcode}'],
                capitals: [Part::Lines, Part::Locality, Part::Region],
                required: [Part::Lines, Part::Locality, Part::Region, Part::Postcode],
                postcodePattern: '([ABCEGHJ-NPRSTVXY]\d[ABCEGHJ-NPRSTV-Z])(\d[ABCEGHJ-NPRSTV-Z]\d)',
                postcodeExample: 'K1A 0B1',
                postcodeName: 'Postal code',
                localityName: 'City',
                regionName: 'Province',
                regions: Regions::CA,
            ),
            'GB' => new Layout(
                lines: ['{street}', '{locality}', '{postcode}'],
                capitals: [Part::Locality],
                required: [Part::Lines, Part::Locality, Part::Postcode],
                postcodePattern: '([A-PR-UWYZ](?:\d[A-HJKPSTUW\d]?|[A-HK-Y]\d[ABEHMNPRV-Y\d]?)|GIR)(\d[ABD-HJLNP-UW-Z]{2})',
                postcodeExample: 'EC1A 1BB',
                localityName: 'Post town',
            ),
            'IE' => new Layout(
                lines: ['{street}', '{locality}', '{region}', '{postcode}'],
                capitals: [],
                required: [Part::Lines, Part::Locality],
                postcodePattern: '([AC-FHKNPRTV-Y]\d[0-9W])([0-9AC-FHKNPRTV-Y]{4})',
                postcodeExample: 'D02 AF30',
                postcodeName: 'Eircode',
                regionName: 'County',
            ),
            'DE' => new Layout(
                lines: ['{street}', '{postcode} {locality}'],
                capitals: [],
                required: [Part::Lines, Part::Locality, Part::Postcode],
                postcodePattern: '(\d{5})',
                postcodeExample: '10115',
            ),
            'CH' => new Layout(
                lines: ['{street}', '{postcode} {locality}'],
                capitals: [],
                required: [Part::Lines, Part::Locality, Part::Postcode],
                postcodePattern: '(?:CH)?([1-9]\d{3})',
                postcodeExample: '8001',
                organisationFirst: true,
            ),
            'FR' => new Layout(
                lines: ['{street}', '{postcode} {locality}'],
                capitals: [Part::Locality],
                required: [Part::Lines, Part::Locality, Part::Postcode],
                postcodePattern: '(\d{5})',
                postcodeExample: '75001',
                organisationFirst: true,
            ),
            'NL' => new Layout(
                lines: ['{street}', '{postcode} {locality}'],
                capitals: [Part::Locality],
                required: [Part::Lines, Part::Locality, Part::Postcode],
                postcodePattern: '([1-9]\d{3})([A-Z]{2})',
                postcodeExample: '1012 AB',
                organisationFirst: true,
            ),
            'AU' => new Layout(
                lines: ['{street}', '{locality} {region} {postcode}'],
                capitals: [Part::Locality, Part::Region],
                required: [Part::Lines, Part::Locality, Part::Region, Part::Postcode],
                postcodePattern: '(\d{4})',
                postcodeExample: '2000',
                localityName: 'Suburb or town',
                regionName: 'State',
                regions: Regions::AU,
                organisationFirst: true,
            ),
            'NZ' => new Layout(
                lines: ['{street}', '{locality} {postcode}'],
                capitals: [],
                required: [Part::Lines, Part::Locality, Part::Postcode],
                postcodePattern: '(\d{4})',
                postcodeExample: '6011',
            ),
            default => new Layout(
                lines: ['{street}', '{postcode} {locality}', '{region}'],
                capitals: [Part::Locality],
                required: [Part::Lines, Part::Locality],
                regionName: 'Region',
            ),
        };
    }

    /**
     * Countries with a layout of their own.
     *
     * @return list<string> ISO 3166-1 alpha-2 codes
     */
    public static function countries(): array
    {
        return ['US', 'CA', 'GB', 'IE', 'DE', 'CH', 'FR', 'NL', 'AU', 'NZ'];
    }
}
