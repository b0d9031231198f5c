<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Interchange\CsvTable;
use Almanac\Interchange\FileKind;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\ListFormat;
use Almanac\Interchange\TableFile;
use Almanac\Interchange\TableWriter;
use Almanac\Interchange\XlsxFile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Tables as people save them: in any encoding, with any separator, as a spreadsheet of any program; and what is none. */
final class TablesTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function encoded(): iterable
    {
        $text = "Name;Ort\n\"Zoë; die \"\"Große\"\"\";Köln\n\n\"zwei\nZeilen\";Ulm";
        yield 'UTF-8' => [$text];
        yield 'with a mark' => ["\xEF\xBB\xBF".$text];
        yield 'Windows-1252' => [mb_convert_encoding($text, 'Windows-1252', 'UTF-8')];
        yield 'UTF-16, little end first' => ["\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8')];
        yield 'UTF-16, big end first' => ["\xFE\xFF".mb_convert_encoding($text, 'UTF-16BE', 'UTF-8')];
        yield 'carriage returns' => [str_replace("\n", "\r", $text)];
        yield 'both' => [str_replace("\n", "\r\n", $text)];
    }

    #[DataProvider('encoded')]
    public function test_every_encoding_and_line_end_reads_the_same(string $content): void
    {
        $this->assertSame(
            [1 => ['Name', 'Ort'], 2 => ['Zoë; die "Große"', 'Köln'], 4 => ["zwei\nZeilen", 'Ulm']],
            iterator_to_array(CsvTable::rows($content)),
        );
    }

    public function test_the_separator_is_whichever_fits_every_line(): void
    {
        foreach ([',' => 'a;b', ';' => 'a,b', "\t" => 'a,b', '|' => 'a,b'] as $separator => $cell) {
            $this->assertSame(
                [1 => ['x', 'y'], 2 => [$cell, 'z']],
                iterator_to_array(CsvTable::rows("x{$separator}y\n$cell{$separator}z\n")),
            );
        }
    }

    public function test_spreadsheets_come_back_as_they_were_written_and_are_read_a_row_at_a_time(): void
    {
        $rows = [
            ['Name', 'Amount', 'Postcode', 'Text'],
            ['Zoë & Söhne <GmbH>', 1250.25, '05301', "=HYPERLINK(1)\nline two"],
            ['時計店', 3, '', '  two  spaces '],
        ];
        foreach ([ListFormat::Xlsx, ListFormat::Ods] as $format) {
            $path = $this->kept(implode('', iterator_to_array(TableWriter::write($format, $rows), false)));
            $kind = FileKind::from($format->value);
            $this->assertSame(['Records'], TableFile::sheets($kind, $path));
            $this->assertSame(
                [
                    1 => $rows[0],
                    2 => ['Zoë & Söhne <GmbH>', '1250.25', '05301', "=HYPERLINK(1)\nline two"],
                    3 => ['時計店', '3', '', 'two  spaces'],
                ],
                iterator_to_array(TableFile::rows($kind, $path)),
                $format->value,
            );
        }
    }

    public function test_a_workbook_of_another_program_is_read_with_its_days_shared_texts_and_gaps(): void
    {
        $path = $this->zipped([
            'xl/workbook.xml' => '<workbook xmlns="m" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="Old" sheetId="1" r:id="a"/><sheet name="People" sheetId="2" r:id="b"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => '<Relationships><Relationship Id="a" Target="worksheets/sheet1.xml"/><Relationship Id="b" Target="/xl/worksheets/sheet2.xml"/></Relationships>',
            'xl/styles.xml' => '<styleSheet><numFmts><numFmt numFmtId="165" formatCode="[$-409]d\-mmm\-yy;@"/><numFmt numFmtId="166" formatCode="#,##0.00"/></numFmts><cellStyleXfs><xf numFmtId="14"/></cellStyleXfs><cellXfs><xf numFmtId="0"/><xf numFmtId="14"/><xf numFmtId="165"/><xf numFmtId="166"/></cellXfs></styleSheet>',
            'xl/sharedStrings.xml' => '<sst><si><t>Name</t></si><si><r><t>Zo</t></r><r><t>ë</t></r><rPh sb="0" eb="1"><t>ゾ</t></rPh></si><si/></sst>',
            'xl/worksheets/sheet1.xml' => '<worksheet><sheetData/></worksheet>',
            'xl/worksheets/sheet2.xml' => '<worksheet><sheetData><row r="1"><c r="A1" t="s"><v>0</v></c><c r="C1" t="inlineStr"><is><t>Born</t></is></c></row>'
                .'<row r="3"><c r="A3" t="s"><v>1</v></c><c r="B3" t="s"><v>2</v></c><c r="C3" s="1"><v>25934</v></c><c r="D3" s="2"><v>45000.75</v></c><c r="E3" s="3"><v>1234.5</v></c><c r="F3" t="b"><v>1</v></c><c r="AA3" t="str"><f>1+1</f><v>2</v></c></row></sheetData></worksheet>',
        ]);
        $this->assertSame(['Old', 'People'], XlsxFile::open($path)->sheets());
        $rows = iterator_to_array(XlsxFile::open($path)->rows('People'));
        $this->assertSame(['Name', '', 'Born'], $rows[1]);
        // Counted from 1899-12-30 (ISO/IEC 29500-1, 18.17.4.1).
        $this->assertSame(['Zoë', '', '1971-01-01', '2023-03-15', '1234.5', 'yes'], array_slice($rows[3], 0, 6));
        $this->assertSame('2', $rows[3][26]);
        $this->assertSame([], iterator_to_array(XlsxFile::open($path)->rows('Old')));
    }

    /** @return iterable<string, array{\Closure(self): string, string}> */
    public static function unreadable(): iterable
    {
        yield 'a picture' => [fn () => "\x89PNG\r\n\x1A\n", 'This is not a text table.'];
        yield 'NUL in the middle' => [fn () => "Name\nZo\0e", 'This is not a text table.'];
        yield 'an archive of something else' => [
            fn (self $test) => (string) file_get_contents($test->zipped(['a.txt' => 'x'])),
            'This file cannot be read as a spreadsheet (XLSX).',
        ];
        yield 'half an archive' => [
            fn (self $test) => substr((string) file_get_contents($test->zipped(['xl/workbook.xml' => '<a/>'])), 0, 60),
            'This file cannot be read as a spreadsheet (XLSX).',
        ];
        yield 'far too much, packed small' => [
            fn (self $test) => (string) file_get_contents($test->zipped(['xl/worksheets/sheet1.xml' => str_repeat('<row/>', 2_000_000)])),
            'Unpacked, this file is far larger',
        ];
        yield 'entities of its own' => [
            fn (self $test) => (string) file_get_contents($test->zipped(self::book(
                '<!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/passwd">]><worksheet><sheetData><row><c t="str"><v>&a;</v></c></row></sheetData></worksheet>',
            ))),
            'This file cannot be read as a spreadsheet (XLSX).',
        ];
        yield 'an end in the middle' => [
            fn (self $test) => (string) file_get_contents($test->zipped(self::book(
                '<worksheet><sheetData><row><c t="str"><v>x</v></c></row><row>',
            ))),
            'This file cannot be read as a spreadsheet (XLSX).',
        ];
        yield 'ten thousand columns' => [fn () => implode(',', array_fill(0, 10_000, 'x'))."\n", 'A table has at most 300 columns here.'];
        yield 'a hundred and one thousand lines' => [fn () => "Name\n".str_repeat("x\n", 101_000), 'At most 100,000 lines at once.'];
    }

    /** @param  \Closure(self): string  $content */
    #[DataProvider('unreadable')]
    public function test_what_is_no_table_says_so(\Closure $content, string $message): void
    {
        $this->expectException(InterchangeRefused::class);
        $this->expectExceptionMessage($message);
        $path = $this->kept($text = $content($this));
        iterator_count(TableFile::rows(FileKind::of(substr($text, 0, 8192)), $path));
    }

    public function test_a_cell_without_an_end_keeps_one_letter_more_than_is_allowed(): void
    {
        $rows = iterator_to_array(TableFile::rows(FileKind::Csv, $this->kept("Name\n".str_repeat('ä', 40_000)."\n")));
        $this->assertSame(TableFile::LONGEST_CELL + 1, mb_strlen($rows[2][0]));
    }

    /** @return array<string, string> */
    private static function book(string $sheet): array
    {
        return [
            'xl/workbook.xml' => '<workbook xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="A" r:id="a"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => '<Relationships><Relationship Id="a" Target="worksheets/sheet1.xml"/></Relationships>',
            'xl/worksheets/sheet1.xml' => $sheet,
        ];
    }

    /** @param  array<string, string>  $files */
    private function zipped(array $files): string
    {
        $path = $this->kept('');
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $zip->addFromString($name, $content);
        }
        $zip->close();

        return $path;
    }

    private function kept(string $content): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'table');
        file_put_contents($path, $content);
        register_shutdown_function(fn () => @unlink($path));

        return $path;
    }
}
