<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Interchange\FileKind;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\ListFormat;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\RowWriter;
use Almanac\Interchange\TableWriter;
use Almanac\Interchange\Target;
use Almanac\Names\CompanySign;
use Almanac\Records\PartyKind;
use PHPUnit\Framework\TestCase;

/** Records as rows of a table: what is private, what there are several of; and what a file is told by. */
final class RowWriterTest extends TestCase
{
    public function test_a_record_has_each_thing_under_its_heading_and_what_is_private_only_for_who_may_see_it(): void
    {
        $row = new PartyRow(
            PartyKind::Person,
            [
                'given' => 'Zoë', 'family' => 'Bell', 'number' => '1007', 'birth-date' => '1971-03-04', 'grade' => '4',
                'client' => 'yes', 'vendor' => 'no', 'client-limit' => '1250.50', 'detail:7' => "chess\ngo",
                'detail:8' => 'door code',
            ],
            [
                ['kind' => 'phone', 'value' => '+18025550143', 'typed' => '802-555-0143', 'label' => 'mobile'],
                ['kind' => 'phone', 'value' => '+18025550144 x2', 'typed' => 'x', 'label' => ''],
                ['kind' => 'email', 'value' => 'z@bell.example', 'typed' => 'z@bell.example', 'label' => ''],
            ],
            [[
                'country' => 'US', 'lines' => "1 Lane\nRear", 'locality' => 'Putney', 'region' => 'VT',
                'postcode' => '05346', 'attention' => '', 'careOf' => '', 'uses' => ['home', 'postal'],
            ]],
            [['company' => 'Bell Works', 'title' => 'Owner', 'department' => '']],
            ['Museum'], ['a', 'b'], [['system' => 'Guild', 'value' => 'G7']],
            [['kind' => 'SSN', 'country' => '', 'value' => '123456789'], ['kind' => 'VAT', 'country' => 'DE', 'value' => 'DE136695976']],
            [[
                'kind' => 'iban', 'iban' => 'DE89370400440532013000', 'bic' => '', 'routing' => '', 'sortCode' => '',
                'account' => '', 'use' => '', 'holder' => 'Zoë', 'bankName' => '',
            ]],
        );
        $of = fn (bool $withPrivate): RowWriter => new RowWriter(
            ['phone' => 3, 'email' => 1, 'address' => 2, 'position' => 1, 'account' => 1], ['Guild', 'Other'],
            ['detail:7' => 'Hobby', 'detail:8' => 'Door'], ['detail:8'], $withPrivate,
        );
        $masked = array_combine($of(false)->headings(), $of(false)->row($row));
        $whole = array_combine($of(true)->headings(), $of(true)->row($row));
        $wanted = [
            'Kind' => 'person', 'Given name' => 'Zoë', 'Number' => 1007, 'Grade' => 4, 'Client' => 'yes',
            'Phone' => '+18025550143', 'Phone label' => 'mobile', 'Phone, 2' => '+18025550144 x2',
            'Phone, 3' => '', 'Email' => 'z@bell.example', 'Street' => "1 Lane\nRear", 'City' => 'Putney', 'Street, 2' => '',
            'Address uses' => 'home; postal', 'Company' => 'Bell Works', 'Position' => 'Owner',
            'Types' => 'Museum', 'Tags' => 'a; b', 'Number elsewhere, Guild' => 'G7', 'Number elsewhere, Other' => '',
            'Credit limit when we bill them' => 1250.5, 'Hobby' => "chess\ngo",
        ];
        foreach ($wanted as $heading => $cell) {
            $this->assertSame([$cell, $cell], [$masked[$heading], $whole[$heading]], $heading);
        }
        $private = [
            'Birth date' => ['••••', '1971-03-04'],
            'IBAN' => ['•••• 3000', 'DE89370400440532013000'],
            'Door' => ['••••', 'door code'],
        ];
        foreach ($private as $heading => $cells) {
            $this->assertSame($cells, [$masked[$heading], $whole[$heading]], $heading);
        }
        $json = json_encode($of(false)->whole($row), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        foreach (['123456789', 'DE89370400440532013000', '1971-03-04', 'door code'] as $secret) {
            $this->assertStringNotContainsString($secret, $json);
        }
        $this->assertSame(
            [['field' => 'Hobby', 'value' => "chess\ngo"], ['field' => 'Door', 'value' => 'door code']],
            $of(true)->whole($row)['details'],
        );
    }

    public function test_what_is_private_is_told_by_no_more_than_its_end(): void
    {
        $writer = new RowWriter([], [], ['detail:8' => 'Door'], ['detail:8'], false);
        $cell = fn (string $heading, PartyRow $row): mixed => array_combine($writer->headings(), $writer->row($row))[$heading];
        $door = fn (string $kept): mixed => $cell('Door', new PartyRow(PartyKind::Person, ['given' => 'A', 'detail:8' => $kept]));
        $this->assertSame(['', '••••'], [$door(''), $door('1234')]);
        $number = fn (string $kept): mixed => $cell(
            'DUNS number',
            new PartyRow(PartyKind::Company, ['name' => 'A'], taxNumbers: [['kind' => 'DUNS', 'country' => '', 'value' => $kept]]),
        );
        $this->assertSame(['•••• ', '•••• 3782'], [$number('1234'), $number('150483782')], 'a short one would be told by its end');
    }

    public function test_a_table_without_rows_and_odd_numbers_are_written_in_every_form(): void
    {
        foreach ([ListFormat::Csv, ListFormat::Xlsx, ListFormat::Ods] as $format) {
            $file = implode('', iterator_to_array(TableWriter::write($format, []), false));
            $this->assertNotSame('', $file);
            $this->assertTrue($format->isTable());
        }
        $this->assertFalse(ListFormat::Json->isTable());
        $this->assertSame(['1250.5', '-0.07', '3', '0.0000000001'], array_map(TableWriter::number(...), [1250.5, -0.07, 3.0, 1e-10]));
        $this->assertSame("a\u{FFFD}b", TableWriter::text("a\x01\u{FFFD}b\u{FFFE}"));
    }

    public function test_a_file_is_told_by_how_it_begins(): void
    {
        foreach ([
            "Name,Email\n" => FileKind::Csv, "\xEF\xBB\xBFBEGIN:VCARD\r\nVERSION:4.0" => FileKind::VCard,
            "\n begin:vcard\n" => FileKind::VCard, '["vcard",[]]' => FileKind::JCard, ' [ ["vcard",[]]]' => FileKind::JCard,
            "# exported\nversion: 1\n\ndn: cn=A\n" => FileKind::Ldif, "dn:: Y249QQ==\n" => FileKind::Ldif,
            '<?xml version="1.0"?><Invoice/>' => FileKind::Ubl, 'dn is a word' => FileKind::Csv, '' => FileKind::Csv,
        ] as $head => $kind) {
            $this->assertSame($kind, FileKind::of((string) $head), json_encode($head, JSON_INVALID_UTF8_SUBSTITUTE) ?: '');
        }
        foreach (["\x89PNG\r\n", '%PDF-1.7', "\xFF\xD8\xFF\xE0", 'GIF89a', "\x1F\x8B\x08", "\xD0\xCF\x11\xE0", "a\0b"] as $other) {
            try {
                FileKind::of($other);
                $this->fail('It is no table.');
            } catch (InterchangeRefused $refused) {
                $this->assertSame('This is not a text table. Save it as CSV first.', $refused->getMessage());
            }
        }
        // Half a letter at the end of what was looked at is no reason to take all of it for something else.
        $this->assertSame(FileKind::VCard, FileKind::of(substr("BEGIN:VCARD\nFN:Zoë", 0, -1)));
        $titles = array_map(fn (FileKind $one) => $one->title(), FileKind::cases());
        $this->assertCount(count($titles), array_unique($titles));
        $this->assertSame(
            [FileKind::Csv, FileKind::Xlsx, FileKind::Ods],
            array_values(array_filter(FileKind::cases(), fn (FileKind $one) => $one->isTable())),
        );
    }

    public function test_what_a_column_is_is_kept_as_a_word(): void
    {
        $this->assertNull(Target::of(''));
        foreach (['phone', 'phone:mobile', 'code:Old: program'] as $text) {
            $this->assertSame($text, Target::of($text)?->text());
        }
        $this->assertSame(['code', 'Old: program'], [Target::of('code:Old: program')?->key, Target::of('code:Old: program')?->label]);
    }

    /** From memory, common practice. */
    public function test_a_name_by_itself_is_a_companys_or_a_persons(): void
    {
        foreach (['Brass Lantern Foundry', 'Town of Saltmarsh', 'Larch & Tolliver', 'Zahnrad GmbH', '4 Corners Cafe', 'Parish of St. Osyth', 'Penhallow', 'Wren Sons Inc.'] as $company) {
            $this->assertTrue(CompanySign::isOn($company), $company);
        }
        foreach (['Silas Wren', 'Wren, Silas A.', 'Dr. Augusta Penhallow', 'Regula Aebi-Müller', 'Imani Castellanos Ortega', 'Mr. Banks'] as $person) {
            $this->assertFalse(CompanySign::isOn($person), $person);
        }
    }
}
