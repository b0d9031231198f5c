<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** Writes a table in any of its forms, piece by piece: a long one takes no more memory than a short one. */
final class TableWriter
{
    private const PIECE = 65536;

    /** Rows of comma-separated values that go out together. */
    private const ROWS = 200;

    /**
     * @param iterable<list<string|int|float>> $rows numbers are numbers in a spreadsheet, everything else is text
     *
     * @return \Generator<int, string> the file, piece by piece
     */
    public static function write(ListFormat $format, iterable $rows): \Generator
    {
        if ($format === ListFormat::Csv) {
            yield CsvTable::MARK;
            $some = [];
            foreach ($rows as $row) {
                $some[] = array_map(fn (string|int|float $cell) => is_float($cell) ? self::number($cell) : $cell, $row);
                if (count($some) === self::ROWS) {
                    yield CsvTable::lines($some);
                    $some = [];
                }
            }
            yield CsvTable::lines($some);

            return;
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'table');
        try {
            match ($format) {
                ListFormat::Xlsx => XlsxWriter::write($path, $rows),
                ListFormat::Ods => OdsWriter::write($path, $rows),
                default => throw new \LogicException('That is no table.'),
            };
            $file = fopen($path, 'rb') ?: throw new \RuntimeException('What was written is gone.');
            while (! feof($file)) {
                yield (string) fread($file, self::PIECE);
            }
            fclose($file);
        } finally {
            @unlink($path);
        }
    }

    public static function number(float $number): string
    {
        return rtrim(rtrim(sprintf('%.10F', $number), '0'), '.');
    }

    /** Without what no XML may have (XML 1.0, 2.2). */
    public static function text(string $cell): string
    {
        return preg_replace('/[^\x09\x0A\x0D\x20-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', '', mb_scrub($cell)) ?? '';
    }
}
