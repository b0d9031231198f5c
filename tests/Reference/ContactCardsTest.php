<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Interchange\ContactCard;
use Almanac\Names\PersonName;
use Almanac\Reach\ContactKind;
use PHPUnit\Framework\TestCase;

/** Contact cards, RFC 6350, as the npm package vcard4 reads them. */
final class ContactCardsTest extends TestCase
{
    public function test_a_card_with_all_that_has_to_be_written_with_care_is_read_as_it_was_meant(): void
    {
        $card = new ContactCard(
            'urn:uuid:0190f2f4-7b1a-8c3e-9d2f-1a2b3c4d5e6f',
            PersonName::of('Zoë', 'Škvorecká; von', 'Dr.', 'A.', 'Jr.', 'Zo'),
            'Dr. Zoë A. Škvorecká; von, Jr.',
            ['Brass, Lantern; Foundry', 'Castings'],
            "Director\nof bells",
            [
                [ContactKind::Phone, '+18025550142 x7', 'mobile', true], [ContactKind::Phone, '+442079460018', 'fax', false],
                [ContactKind::Email, 'zoe@b.example', 'office', true], [ContactKind::Website, 'https://b.example/?a=1,2;3', '', false],
            ],
            [[['14 Meridian Lane', 'Apt 2; rear'], 'Brattleboro', 'VT', '05301', 'United States', 'home', true]],
            ['museum', 'bells, large'],
            'de',
            new \DateTimeImmutable('2026-11-24T10:00:00-05:00'),
        );
        $company = new ContactCard('urn:uuid:2', null, '時計店 株式会社', ['時計店 株式会社'], '', [], [], [], '', new \DateTimeImmutable('2026-11-24'));
        /** @var list<array<string, list<array{parameters: array<string, string>, value: mixed}>>> $read */
        $read = NodeReference::ask('vcards.mjs', [$card->toVCard4(), $company->toVCard4()]);
        $of = fn (string $name): array => array_column($read[0][$name], 'value');
        $this->assertSame(['Dr. Zoë A. Škvorecká; von, Jr.'], $of('FN'));
        $this->assertSame([[
            'familyNames' => 'Škvorecká; von', 'givenNames' => 'Zoë', 'additionalNames' => 'A.',
            'honorificPrefixes' => 'Dr.', 'honorificSuffixes' => 'Jr.',
        ]], $of('N'));
        $this->assertSame(["Director\nof bells"], $of('TITLE'));
        $this->assertSame(['tel:+18025550142;ext=7', 'tel:+442079460018'], $of('TEL'));
        $this->assertSame(['VALUE' => 'uri', 'TYPE' => 'cell', 'PREF' => '1'], $read[0]['TEL'][0]['parameters']);
        $this->assertSame(['zoe@b.example'], $of('EMAIL'));
        $this->assertSame([[
            'postOfficeBox' => '', 'extendedAddress' => '', 'streetAddress' => "14 Meridian Lane\nApt 2; rear", 'locality' => 'Brattleboro',
            'region' => 'VT', 'postalCode' => '05301', 'countryName' => 'United States',
        ]], $of('ADR'));
        $this->assertSame([['org'], ['時計店 株式会社']], [array_column($read[1]['KIND'], 'value'), array_column($read[1]['FN'], 'value')]);
    }
}
