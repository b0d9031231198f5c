<?php

declare(strict_types=1);

namespace Tests\Core\Addresses;

use Almanac\Addresses\AddressPart;
use Almanac\Addresses\AddressRefused;
use Almanac\Addresses\AddressUse;
use Almanac\Addresses\DatedUse;
use Almanac\Addresses\Formatter;
use Almanac\Addresses\Layouts;
use Almanac\Addresses\PostalAddress;
use Almanac\Addresses\Recipient;
use Almanac\Calendar\Day;
use Almanac\Records\Period;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PostalAddressTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<string>}> parts, and the envelope seen from the United States */
    public static function countries(): iterable
    {
        yield 'US' => [
            ['US', "14 Meridian Lane\nSouth Dome", 'Brattleboro', 'Vermont', '053011234'],
            ['14 Meridian Lane', 'South Dome', 'BRATTLEBORO, VT 05301-1234'],
        ];
        yield 'CA' => [['CA', '480 Tannery Row', 'Ottawa', 'on', 'k1a0b1'], ['480 TANNERY ROW', 'OTTAWA ON K1A 0B1', 'CANADA']];
        yield 'GB' => [
            ['GB', "Old Bell Yard\n5 Foundry Row", 'London', '', 'e11aa'],
            ['Old Bell Yard', '5 Foundry Row', 'LONDON', 'E1 1AA', 'UNITED KINGDOM'],
        ];
        yield 'IE' => [
            ['IE', '3 Quay Street', 'Galway', 'Co. Galway', 'h91ac12'],
            ['3 Quay Street', 'Galway', 'Co. Galway', 'H91 AC12', 'IRELAND'],
        ];
        yield 'DE' => [['DE', 'Räderstraße 12', 'Berlin', '', '10115'], ['Räderstraße 12', '10115 Berlin', 'GERMANY']];
        yield 'CH' => [['CH', 'Zifferweg 3', 'Zürich', '', 'CH-8001'], ['Zifferweg 3', '8001 Zürich', 'SWITZERLAND']];
        yield 'FR' => [['FR', '4 rue du Cadran', 'Besançon', '', '25000'], ['4 rue du Cadran', '25000 BESANÇON', 'FRANCE']];
        yield 'NL' => [['NL', 'Slingerpad 9', 'Leiden', '', '2311ab'], ['Slingerpad 9', '2311 AB LEIDEN', 'NETHERLANDS']];
        yield 'AU' => [['AU', '7 Sundial Street', 'Ballarat', 'Victoria', '3350'], ['7 Sundial Street', 'BALLARAT VIC 3350', 'AUSTRALIA']];
        yield 'NZ' => [['NZ', '2 Harbour Steps', 'Wellington', '', '6011'], ['2 Harbour Steps', 'Wellington 6011', 'NEW ZEALAND']];
        yield 'elsewhere' => [['JP', '1-1 Tokei', 'Kyoto', 'Kyoto', '600-8001'], ['1-1 Tokei', '600-8001 KYOTO', 'Kyoto', 'JAPAN']];
    }

    /**
     * @param array{string, string, string, string, string} $parts
     * @param list<string> $envelope
     */
    #[DataProvider('countries')]
    public function test_layout_by_country(array $parts, array $envelope): void
    {
        $address = PostalAddress::of(...$parts);
        $this->assertSame($envelope, array_slice(Formatter::onEnvelope($address, Recipient::organisation('Org'), 'US'), 1));
        $this->assertSame([], $address->missing());
        $again = PostalAddress::of(
            $address->country,
            implode("\n", $address->lines),
            $address->locality,
            $address->region,
            $address->postcode,
        );
        $this->assertTrue($again->equals($address), 'what is kept is taken again as it is');
    }

    public function test_the_country_stands_only_abroad(): void
    {
        $address = PostalAddress::of('GB', '5 Foundry Row', 'London', '', 'E1 1AA');
        $this->assertSame(['5 Foundry Row', 'London', 'E1 1AA'], Formatter::onScreen($address, 'GB'));
        $this->assertSame(['5 Foundry Row', 'London', 'E1 1AA', 'United Kingdom'], Formatter::onScreen($address, 'US'));
    }

    public function test_who_comes_first_differs(): void
    {
        $us = PostalAddress::of('US', '1 Main St', 'Putney', 'VT', '05346');
        $ch = PostalAddress::of('CH', 'Zifferweg 3', 'Zürich', '', '8001');
        $both = Recipient::person('Regula Aebi', 'Aebi AG');
        $this->assertSame(['Regula Aebi', 'Aebi AG'], array_slice(Formatter::onEnvelope($us, $both, 'US'), 0, 2));
        $this->assertSame(['Aebi AG', 'Regula Aebi'], array_slice(Formatter::onEnvelope($ch, $both, 'US'), 0, 2));
    }

    public function test_what_is_missing_is_told_and_not_refused(): void
    {
        $address = PostalAddress::of('US', '', 'Putney', '', '');
        $this->assertSame([AddressPart::Lines, AddressPart::Region, AddressPart::Postcode], $address->missing());
        $this->assertSame(['Putney'], Formatter::onScreen($address, 'US'));
    }

    #[
        TestWith([
            'US',
            'K1A 0B1',
            '“K1A 0B1” is not a valid ZIP code for the United States, which looks like 05301 or 05301-1234. It looks like one of Canada: change the country, or the ZIP code.',
        ]),
    ]
    #[
        TestWith([
            'GB',
            '05301',
            '“05301” is not a valid postcode for the United Kingdom, which looks like EC1A 1BB. It looks like one of the United States, Germany or France: change the country, or the postcode.',
        ]),
    ]
    #[
        TestWith([
            'DE',
            'SW1A 1AA',
            '“SW1A 1AA” is not a valid postcode for Germany, which looks like 10115. It looks like one of the United Kingdom: change the country, or the postcode.',
        ]),
    ]
    #[
        TestWith([
            'IE',
            'nowhere',
            '“nowhere” is not a valid Eircode for Ireland, which looks like D02 AF30. Correct it, or leave it empty for now.',
        ]),
    ]
    public function test_a_postcode_of_another_country(string $country, string $postcode, string $message): void
    {
        try {
            PostalAddress::of($country, '1 Street', 'Town', '', $postcode);
            $this->fail('It was taken.');
        } catch (AddressRefused $refused) {
            $this->assertSame($message, $refused->getMessage());
            $this->assertSame(AddressPart::Postcode, $refused->part);
        }
    }

    /** @return iterable<string, array{array{string, string, string, string, string}, AddressPart, string}> */
    public static function refused(): iterable
    {
        yield 'nothing' => [['US', " \n ", '', 'VT', ''], AddressPart::Lines, 'Type the street and the place, or remove this address.'];
        yield 'no country' => [['', '1 Street', '', '', ''], AddressPart::Country, 'Choose the country.'];
        yield 'a country that is none' => [['XX', '1 Street', '', '', ''], AddressPart::Country, 'There is no country with the code “XX”.'];
        yield 'a state that is none' => [
            ['US', '1 Street', 'Putney', 'Vermonty', ''],
            AddressPart::Region,
            '“Vermonty” is not a state we know. Type its name or its letters, such as VT.',
        ];
        yield 'seven lines' => [
            ['US', "1\n2\n3\n4\n5\n6\n7", 'Putney', '', ''],
            AddressPart::Lines,
            'Use at most 6 lines before the city.',
        ];
        yield 'a line too long' => [
            ['US', str_repeat('x', 101), 'Putney', '', ''],
            AddressPart::Lines,
            'That is too long: at most 100 characters a line.',
        ];
    }

    /** @param  array{string, string, string, string, string}  $parts */
    #[DataProvider('refused')]
    public function test_it_says_what_is_wrong_and_where(array $parts, AddressPart $part, string $message): void
    {
        try {
            PostalAddress::of(...$parts);
            $this->fail('It was taken.');
        } catch (AddressRefused $refused) {
            $this->assertSame([$part, $message], [$refused->part, $refused->getMessage()]);
        }
    }

    public function test_every_example_postcode_has_the_shape_of_its_country(): void
    {
        foreach (Layouts::countries() as $country) {
            foreach (explode(' or ', Layouts::for($country)->postcodeExample) as $example) {
                $this->assertSame($example, Layouts::for($country)->tidyPostcode($example));
            }
        }
    }

    public function test_eight_lines_of_41_characters_print_whole(): void
    {
        $this->assertTrue(Formatter::fits(array_fill(0, 8, str_repeat('x', 41))));
        $this->assertFalse(Formatter::fits(array_fill(0, 9, 'x')));
        $this->assertFalse(Formatter::fits([str_repeat('x', 42)]));
    }

    public function test_the_address_in_force_on_a_day(): void
    {
        $old = new DatedUse(1, [AddressUse::Postal], Period::of(null, Day::fromIso('2026-04-30')), true);
        $new = new DatedUse(2, [AddressUse::Postal], Period::of(Day::fromIso('2026-05-01'), null), false);
        $billing = new DatedUse(3, [AddressUse::Billing], Period::of(null, null), false);
        $all = [$old, $new, $billing];
        $this->assertSame(1, DatedUse::inForce($all, AddressUse::Postal, Day::fromIso('2026-04-30'))?->id);
        $this->assertSame(2, DatedUse::inForce($all, AddressUse::Postal, Day::fromIso('2026-05-01'))?->id);
        $this->assertSame(3, DatedUse::inForce($all, AddressUse::Billing, Day::fromIso('2026-05-01'))?->id);
        $this->assertSame(
            2,
            DatedUse::inForce($all, AddressUse::Delivery, Day::fromIso('2026-05-01'))?->id,
            'with none set, the postal one serves',
        );
        $this->assertNull(DatedUse::inForce([$old], AddressUse::Postal, Day::fromIso('2026-05-01')));
    }
}
