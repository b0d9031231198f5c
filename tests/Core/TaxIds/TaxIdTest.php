<?php

declare(strict_types=1);

namespace Tests\Core\TaxIds;

use Almanac\TaxIds\TaxId;
use Almanac\TaxIds\TaxIdKind;
use Almanac\TaxIds\TaxIdRefused;
use Almanac\TaxIds\VatNumbers;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Numbers are those that the tax offices and standards print as examples, or made up to fit. */
final class TaxIdTest extends TestCase
{
    /** @return iterable<string, array{TaxIdKind, string, string, string, string}> kind, country, typed, kept, shown */
    public static function good(): iterable
    {
        yield 'EIN' => [TaxIdKind::Ein, '', '91-1144442', '911144442', '91-1144442'];
        yield 'SSN' => [TaxIdKind::Ssn, '', '536 90 4399', '536904399', '536-90-4399'];
        yield 'ITIN' => [TaxIdKind::Itin, '', '912-90-3456', '912903456', '912-90-3456'];
        yield 'ITIN of the older practice' => [TaxIdKind::Itin, '', '900700000', '900700000', '900-70-0000'];
        yield 'ATIN' => [TaxIdKind::Atin, '', '912-93-1234', '912931234', '912-93-1234'];
        yield 'Germany' => [TaxIdKind::Vat, 'DE', 'de 136.695.976', 'DE136695976', 'DE136695976'];
        yield 'Austria' => [TaxIdKind::Vat, 'AT', 'ATU13585627', 'ATU13585627', 'ATU13585627'];
        yield 'Belgium, the older nine' => [TaxIdKind::Vat, 'BE', '428.759.497', 'BE0428759497', 'BE0428759497'];
        yield 'Bulgaria' => [TaxIdKind::Vat, 'BG', 'BG 175 074 752', 'BG175074752', 'BG175074752'];
        yield 'Switzerland' => [TaxIdKind::Vat, 'CH', 'CHE-107.787.577 MWST', 'CHE107787577', 'CHE107787577'];
        yield 'Greece writes EL' => [TaxIdKind::Vat, 'GR', 'EL 094259216', 'EL094259216', 'EL094259216'];
        yield 'Spain, a company' => [TaxIdKind::Vat, 'ES', 'ESB-58378431', 'ESB58378431', 'ESB58378431'];
        yield 'France' => [TaxIdKind::Vat, 'FR', 'Fr 40 303 265 045', 'FR40303265045', 'FR40303265045'];
        yield 'United Kingdom' => [TaxIdKind::Vat, 'GB', 'GB 980 7806 84', 'GB980780684', 'GB980780684'];
        yield 'Ireland' => [TaxIdKind::Vat, 'IE', 'IE 6433435F', 'IE6433435F', 'IE6433435F'];
        yield 'Ireland since 2013' => [TaxIdKind::Vat, 'IE', 'IE 6433435OA', 'IE6433435OA', 'IE6433435OA'];
        yield 'Italy' => [TaxIdKind::Vat, 'IT', '00743110157', 'IT00743110157', 'IT00743110157'];
        yield 'the Netherlands' => [TaxIdKind::Vat, 'NL', '004495445B01', 'NL004495445B01', 'NL004495445B01'];
        yield 'Norway' => [TaxIdKind::Vat, 'NO', 'NO 995 525 828 MVA', 'NO995525828', 'NO995525828'];
        yield 'Sweden' => [TaxIdKind::Vat, 'SE', 'SE 123456789701', 'SE123456789701', 'SE123456789701'];
        yield 'Canada' => [TaxIdKind::CaBusinessNumber, '', '12302 6635 RC 0001', '123026635RC0001', '123026635 RC0001'];
        yield 'Australia' => [TaxIdKind::AuBusinessNumber, '', '83914571673', '83914571673', '83 914 571 673'];
        yield 'New Zealand, of the tax office' => [TaxIdKind::NzInlandRevenue, '', '49-091-850', '49091850', '49091850'];
        yield 'New Zealand, the second weights' => [TaxIdKind::NzInlandRevenue, '', '136410132', '136410132', '136410132'];
        yield 'LEI' => [TaxIdKind::Lei, '', '213800KUD8LAJWSQ9D15', '213800KUD8LAJWSQ9D15', '213800KUD8LAJWSQ9D15'];
        yield 'GLN' => [TaxIdKind::Gln, '', '4012345000009', '4012345000009', '4012345000009'];
        yield 'DUNS' => [TaxIdKind::Duns, '', '15-048-3782', '150483782', '150483782'];
        yield 'Peppol' => [TaxIdKind::Peppol, '', '0088:4012345000009', '0088:4012345000009', '0088:4012345000009'];
    }

    #[DataProvider('good')]
    public function test_it_is_kept_plain_and_shown_as_on_paper(
        TaxIdKind $kind,
        string $country,
        string $typed,
        string $kept,
        string $shown,
    ): void {
        $id = TaxId::of($kind, $country, $typed);
        $this->assertSame([$kept, $shown], [$id->value, $id->display()]);
        $this->assertEquals($id, TaxId::of($kind, $country, $id->display()), 'what is shown reads as the same');
        $this->assertSame('•••• '.substr($kept, -4), $id->masked());
        $this->assertStringNotContainsString(substr($kept, 0, -4), $id->masked());
    }

    /** @return iterable<string, array{TaxIdKind, string, string, string}> kind, country, typed, what is said */
    public static function wrong(): iterable
    {
        yield 'nothing' => [TaxIdKind::Ein, '', ' ', 'Type the EIN, or remove this line.'];
        yield 'letters' => [TaxIdKind::Ein, '', '12-34567AB', '“12-34567AB” is not a valid EIN, which looks like 12-3456789.'];
        yield 'a prefix of nobody' => [
            TaxIdKind::Ein,
            '',
            '07-1234567',
            '“07-1234567” is not a valid EIN: the IRS assigns none that begins with 07.',
        ];
        yield 'an ITIN as SSN' => [
            TaxIdKind::Ssn,
            '',
            '912-70-1234',
            '“912-70-1234” is not a valid SSN: one that begins with 9 is an ITIN or an ATIN.',
        ];
        yield 'area 666' => [TaxIdKind::Ssn, '', '666-12-3456', '“666-12-3456” is not a valid SSN: none begins with 666.'];
        yield 'group 00' => [
            TaxIdKind::Ssn,
            '',
            '536-00-4399',
            '“536-00-4399” is not a valid SSN: its fourth and fifth digits are never 00.',
        ];
        yield 'serial 0000' => [
            TaxIdKind::Ssn,
            '',
            '536-90-0000',
            '“536-90-0000” is not a valid SSN: its last four digits are never 0000.',
        ];
        yield 'an ATIN as ITIN' => [
            TaxIdKind::Itin,
            '',
            '912-93-1234',
            '“912-93-1234” is not a valid ITIN: with 93 in the middle it is an ATIN.',
        ];
        yield 'another ITIN' => [
            TaxIdKind::Itin,
            '',
            '912-40-1234',
            '“912-40-1234” is not a valid ITIN: its fourth and fifth digits lie in 50–65, 70–88, 90–92 or 94–99.',
        ];
        yield 'an ITIN as ATIN' => [
            TaxIdKind::Atin,
            '',
            '912-70-1234',
            '“912-70-1234” is not a valid ATIN: it begins with 9 and has 93 in the middle.',
        ];
        yield 'a slip' => [
            TaxIdKind::Vat,
            'DE',
            'DE136695978',
            '“DE136695978” cannot be right: its check digits do not match. Compare it with the paper.',
        ];
        yield 'too short' => [
            TaxIdKind::Vat,
            'FR',
            'FR4030326504',
            '“FR4030326504” is not a valid VAT number, which looks like FR40303265045.',
        ];
        yield 'of another country' => [
            TaxIdKind::Vat,
            'DE',
            'ATU13585627',
            '“ATU13585627” is not a valid VAT number, which looks like DE136695976.',
        ];
        yield 'of nowhere' => [
            TaxIdKind::Vat,
            'US',
            '123456789',
            'VAT numbers of “US” are not known here. Choose the country, or another kind of number.',
        ];
        yield 'a slip of the ABN' => [
            TaxIdKind::AuBusinessNumber,
            '',
            '83914571674',
            '“83914571674” cannot be right: its check digits do not match. Compare it with the paper.',
        ];
        yield 'in other digits' => [
            TaxIdKind::Duns,
            '',
            '١٢٣٤٥٦٧٨٩',
            '“١٢٣٤٥٦٧٨٩” is not a valid DUNS number, which looks like 15-048-3782.',
        ];
    }

    #[DataProvider('wrong')]
    public function test_it_says_why_it_cannot_be(TaxIdKind $kind, string $country, string $typed, string $said): void
    {
        $this->expectException(TaxIdRefused::class);
        $this->expectExceptionMessage($said);
        TaxId::of($kind, $country, $typed);
    }

    public function test_every_example_of_the_shapes_is_good_itself(): void
    {
        foreach (VatNumbers::countries() as $country) {
            try {
                TaxId::of(TaxIdKind::Vat, $country, $country);
                $this->fail("$country alone was taken");
            } catch (TaxIdRefused $refusal) {
                preg_match('/looks like (.+)\.$/', $refusal->getMessage(), $example);
                $this->assertNotSame('', TaxId::of(TaxIdKind::Vat, $country, $example[1] ?? '')->value, $country);
            }
        }
        $this->assertCount(30, VatNumbers::countries());
    }

    /** One wrong digit is always found where the check digits are made for it. */
    public function test_one_wrong_digit_is_found(): void
    {
        foreach (
            [
                [TaxIdKind::Vat, 'DE', 'DE136695976'],
                [TaxIdKind::Vat, 'IT', 'IT00743110157'],
                [TaxIdKind::Lei, '', '213800KUD8LAJWSQ9D15'],
                [TaxIdKind::CaBusinessNumber, '', '123026635'],
                [TaxIdKind::Gln, '', '4012345000009'],
            ] as [$kind, $country, $number]
        ) {
            foreach (str_split($number) as $at => $sign) {
                if (! ctype_digit($sign)) {
                    continue;
                }
                foreach (range(0, 9) as $digit) {
                    if ((string) $digit !== $sign) {
                        try {
                            TaxId::of($kind, $country, substr_replace($number, (string) $digit, $at, 1));
                            $this->fail("$number with $digit at $at was taken");
                        } catch (TaxIdRefused $refusal) {
                            $this->assertNotSame('', $refusal->getMessage());
                        }
                    }
                }
            }
        }
    }
}
