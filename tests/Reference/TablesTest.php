<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Interchange\CsvTable;
use Almanac\Interchange\FileKind;
use Almanac\Interchange\ListFormat;
use Almanac\Interchange\TableFile;
use Almanac\Interchange\TableWriter;
use PHPUnit\Framework\TestCase;

/** Tables, RFC 4180, as the npm package csv-parse reads them; spreadsheets as LibreOffice opens them. */
final class TablesTest extends TestCase
{
    private const SIGNS = ['a', 'Ä', 'ß', '時', '"', ',', ';', "\t", "\n", ' ', '|', '=', '-', '@', "'", '1', '.', '€'];

    public function test_what_is_written_is_read_as_it_is_meant_by_us_and_by_others(): void
    {
        mt_srand(4180);
        $tables = array_map(fn () => array_map(fn () => array_map(fn () => $this->cell(), range(1, 4)), range(1, 6)), range(1, 60));
        $texts = array_map(fn (array $rows) => CsvTable::write($rows), $tables);
        $read = NodeReference::ask('csv.mjs', $texts);
        foreach ($tables as $at => $rows) {
            $meant = array_map(fn (array $row) => array_map($this->defused(...), $row), $rows);
            $this->assertSame($meant, $read[$at], "csv-parse, table $at");
            $this->assertSame($meant, array_values(iterator_to_array(CsvTable::rows($texts[$at]))), "ours, table $at");
        }
    }

    public function test_spreadsheets_are_opened_by_another_program_as_they_were_written(): void
    {
        if (! is_executable('/usr/bin/soffice')) {
            $this->markTestSkipped('LibreOffice is not installed: apt-get install libreoffice-calc, and this is checked too.');
        }
        $rows = [
            ['Name', 'Amount', 'Text'], ['Zoë "Z" Ångström, 時計店', 1250.5, "=1+1\nsecond line"],
            ['<&>', 3, '  spaced  out  '], ['05301', -7, ''],
        ];
        foreach ([ListFormat::Xlsx, ListFormat::Ods] as $format) {
            $folder = sys_get_temp_dir().'/almanac-'.bin2hex(random_bytes(4));
            mkdir($folder);
            file_put_contents("$folder/table.$format->value", implode('', iterator_to_array(TableWriter::write($format, $rows), false)));
            exec(
                "soffice --headless -env:UserInstallation=file://$folder/profile --convert-to 'csv:Text - txt - csv (StarCalc):44,34,76' --outdir $folder $folder/table.$format->value 2>&1",
                $said,
                $code,
            );
            $this->assertSame(0, $code, implode("\n", $said));
            $opened = array_values(iterator_to_array(CsvTable::rows((string) file_get_contents("$folder/table.csv"))));
            $this->assertSame(
                array_map(fn (array $row) => array_map(fn ($cell) => trim((string) $cell), $row), $rows),
                $opened,
                $format->value,
            );
            exec('rm -rf '.escapeshellarg($folder));
        }
    }

    public function test_a_file_is_told_by_how_it_begins_and_never_by_its_name(): void
    {
        $sheet = fn (ListFormat $format) => implode('', iterator_to_array(TableWriter::write($format, [['Name'], ['Zoë']]), false));
        foreach ([[$sheet(ListFormat::Xlsx), FileKind::Xlsx], [$sheet(ListFormat::Ods), FileKind::Ods]] as [$content, $kind]) {
            $path = (string) tempnam(sys_get_temp_dir(), 'told');
            file_put_contents($path, $content);
            $this->assertSame($kind, FileKind::of(substr($content, 0, 8192)));
            $this->assertSame([1 => ['Name'], 2 => ['Zoë']], iterator_to_array(TableFile::rows($kind, $path)));
            unlink($path);
        }
    }

    private function cell(): string
    {
        return trim(implode('', array_map(fn () => self::SIGNS[mt_rand(0, count(self::SIGNS) - 1)], range(0, mt_rand(0, 6)))).'x');
    }

    private function defused(string $cell): string
    {
        return in_array($cell[0], ['=', '-', '@'], true) ? "'".$cell : $cell;
    }
}
