<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Calendar\Day;
use Almanac\Interchange\FileKind;
use Almanac\Interchange\HolidayCalendar;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\ListFormat;
use Almanac\Interchange\TableFile;
use Almanac\Interchange\TableWriter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Files that were damaged in every way: they are read, or refused in words, and are never a fault of the program. */
final class DamagedFilesTest extends TestCase
{
    private const EACH = 250;

    private const TABLE = [['Name', 'Amount', 'Since', 'Text'], ['Zoë & Söhne <GmbH>', 1250.25, '2026-01-31', "=1\nline two"], ['時計店', 3, '', 'x']];

    /** Of an unfinished word, a text in the other direction, a number that is none, another kind of file. */
    private const PIECES = [
        "\0", '"', "\r", '<', '&', ';', ':', "\u{202E}", '9999999999999', '-1', "\n\n", '{', ']', 'BEGIN:VCARD', 'END:VCARD', '&lol;', "\xFF\xFE",
        '<!DOCTYPE x [<!ENTITY a "b">]>', ';VALUE=x', "PK\x03\x04",
    ];

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach ([ListFormat::Csv, ListFormat::Xlsx, ListFormat::Ods] as $format) {
            yield $format->value => [implode('', iterator_to_array(TableWriter::write($format, self::TABLE), false))];
        }
        yield 'vCard' => ["BEGIN:VCARD\r\nVERSION:4.0\r\nKIND:individual\r\nN:Tolliver;Ada;;;\r\nFN:Ada Tolliver\r\nBDAY:19530203\r\nORG:Larch;Yard\r\n"
            ."TEL;VALUE=uri;TYPE=\"work,voice\":tel:+1-802-555-0143\r\nEMAIL;PREF=1:ada@larch.example\r\nADR;TYPE=home:;;4 Lane;Putney;VT;05346;US\r\n"
            ."NOTE:Rings\\nbefore\r\n  noon\r\nCATEGORIES:a,b\r\nEND:VCARD\r\n"];
        yield 'vCard 2.1' => ["BEGIN:VCARD\nVERSION:2.1\nN;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:S=C3=B6hne;Zo=C3=AB;;;\nTEL;CELL;PREF:+49 30 901820\n"
            ."item1.URL:http://larch.example\nitem1.X-ABLabel:_\$!<HomePage>!\$_\nEND:VCARD\n"];
        yield 'jCard' => ['[["vcard",[["version",{},"text","4.0"],["fn",{},"text","Ada"],["n",{},"text",["Tolliver","Ada","","",""]],'
            .'["tel",{"type":["work","voice"]},"uri","tel:+1-802-555-0143"],["bday",{},"date-and-or-time","1953-02-03"],["adr",{},"text",["","",["4 Lane","b"],"Putney","VT","05346","US"]]]]]'];
        yield 'LDIF' => ["version: 1\ndn: cn=Ada,dc=x\ncn: Ada Tolliver\nsn: Tolliver\nmail: ada@larch.example\njpegPhoto:: ".base64_encode('xx')
            ."\ndescription: a\n b\n\ndn:: ".base64_encode('cn=Zoë')."\ncn:: ".base64_encode('Zoë')."\n"];
        yield 'UBL' => ['<?xml version="1.0"?><Invoice xmlns="urn:oasis:names:specification:ubl:schema:xsd:Invoice-2" xmlns:c="urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2"'
            .' xmlns:a="urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2"><c:ID>7</c:ID><c:IssueDate>2026-11-13</c:IssueDate><c:InvoiceTypeCode>380</c:InvoiceTypeCode>'
            .'<c:DocumentCurrencyCode>EUR</c:DocumentCurrencyCode><a:AccountingSupplierParty><a:Party><a:PartyName><c:Name>Zahnrad</c:Name></a:PartyName></a:Party></a:AccountingSupplierParty>'
            .'<a:LegalMonetaryTotal><c:LineExtensionAmount currencyID="EUR">10</c:LineExtensionAmount><c:TaxExclusiveAmount currencyID="EUR">10</c:TaxExclusiveAmount>'
            .'<c:TaxInclusiveAmount currencyID="EUR">10</c:TaxInclusiveAmount><c:PayableAmount currencyID="EUR">10</c:PayableAmount></a:LegalMonetaryTotal>'
            .'<a:InvoiceLine><c:ID>1</c:ID><c:InvoicedQuantity>2</c:InvoicedQuantity><c:LineExtensionAmount currencyID="EUR">10</c:LineExtensionAmount>'
            .'<a:Item><c:Name>Wheels</c:Name></a:Item><a:Price><c:PriceAmount currencyID="EUR">5</c:PriceAmount></a:Price></a:InvoiceLine></Invoice>'];
    }

    #[DataProvider('files')]
    public function test_it_is_read_or_refused_in_words(string $file): void
    {
        $this->assertGreaterThan(0, $this->rows($file));
        mt_srand(crc32($file[0]));
        $read = $refused = 0;
        for ($round = 0; $round < self::EACH; $round++) {
            $damaged = str_starts_with($file, 'PK') && $round % 4 > 0 ? $this->damagedInside($file) : self::damaged($file);
            try {
                $this->rows($damaged);
                $read++;
            } catch (InterchangeRefused $why) {
                $this->assertStringEndsWith('.', $why->getMessage());
                $refused++;
            }
        }
        $this->assertSame(self::EACH, $read + $refused);
    }

    public function test_so_is_a_calendar(): void
    {
        $calendar = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20261225\r\nDTEND;VALUE=DATE:20261226\r\n"
            ."RRULE:FREQ=YEARLY;BYMONTH=12\r\nEXDATE;VALUE=DATE:20271225\r\nSUMMARY:Christmas\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        $today = Day::of(2026, 11, 24);
        $this->assertSame('2026-12-25', HolidayCalendar::read($calendar, $today)[0][0]->toIso());
        mt_srand(7);
        for ($round = 0; $round < 4 * self::EACH; $round++) {
            try {
                $this->assertNotSame([], HolidayCalendar::read(self::damaged($calendar), $today));
            } catch (InterchangeRefused $why) {
                $this->assertStringEndsWith('.', $why->getMessage());
            }
        }
    }

    private function rows(string $file): int
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'damaged');
        try {
            file_put_contents($path, $file);
            $kind = FileKind::of(substr($file, 0, 8192));
            TableFile::sheets($kind, $path);

            return iterator_count(TableFile::rows($kind, $path));
        } finally {
            unlink($path);
        }
    }

    /** One of the files in it; the archive is whole. */
    private function damagedInside(string $archive): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'damaged');
        file_put_contents($path, $archive);
        $zip = new \ZipArchive;
        $zip->open($path);
        $name = (string) $zip->getNameIndex(mt_rand(0, $zip->numFiles - 1));
        $zip->addFromString($name, self::damaged((string) $zip->getFromName($name)));
        $zip->close();
        $damaged = (string) file_get_contents($path);
        unlink($path);

        return $damaged;
    }

    private static function damaged(string $text): string
    {
        for ($times = mt_rand(1, 3); $times > 0; $times--) {
            $length = max(1, strlen($text));
            [$at, $many] = [mt_rand(0, $length - 1), mt_rand(1, 30)];
            $text = match (mt_rand(0, 7)) {
                0 => substr($text, 0, $at),
                1 => substr($text, $at),
                2 => substr_replace($text, substr($text, mt_rand(0, $length - 1), $many), $at, 0),
                3 => substr_replace($text, '', $at, $many),
                4 => substr_replace($text, chr(mt_rand(0, 255)).chr(mt_rand(0, 255)), $at, 2),
                5 => str_replace("\n", ["\r", "\n\n", '', "\r\n"][mt_rand(0, 3)], $text),
                6 => $text.$text,
                default => substr_replace($text, self::PIECES[mt_rand(0, count(self::PIECES) - 1)], $at, mt_rand(0, 3)),
            };
        }

        return $text;
    }
}
