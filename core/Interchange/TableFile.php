<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** A table that comes in, whatever it was saved as: rows of text. */
final class TableFile
{
    public const MOST_COLUMNS = 300;

    public const MOST_ROWS = 100_000;

    /** What is longer is told to be too long where it is read. */
    public const LONGEST_CELL = 10_000;

    /**
     * @return list<string> none of what has no sheets
     *
     * @throws InterchangeRefused when it cannot be read
     */
    public static function sheets(FileKind $kind, string $path): array
    {
        return match ($kind) {
            FileKind::Xlsx => XlsxFile::open($path)->sheets(),
            FileKind::Ods => OdsFile::open($path)->sheets(),
            default => [],
        };
    }

    /**
     * @param string $sheet the first where it is empty
     *
     * @return \Generator<int, list<string>> the cells of each row that is not empty, by its line; the first is the headings
     *
     * @throws InterchangeRefused when it cannot be read, or is far too large
     */
    public static function rows(FileKind $kind, string $path, string $sheet = ''): \Generator
    {
        $rows = match ($kind) {
            FileKind::Xlsx, FileKind::Ods => self::ofSheet($kind === FileKind::Xlsx ? XlsxFile::open($path) : OdsFile::open($path), $sheet),
            FileKind::Csv => CsvTable::rows((string) file_get_contents($path)),
            FileKind::Ubl => UblTable::rows((string) file_get_contents($path)),
            default => AddressBook::rows($kind, (string) file_get_contents($path)),
        };
        $count = 0;
        foreach ($rows as $line => $cells) {
            if (count($cells) > self::MOST_COLUMNS) {
                throw InterchangeRefused::tooManyColumns(self::MOST_COLUMNS);
            }
            if (implode('', $cells) === '') {
                continue;
            }
            if (++$count > self::MOST_ROWS + 1) {
                throw InterchangeRefused::tooManyRows(self::MOST_ROWS);
            }
            yield $line => array_map(self::cell(...), $cells);
        }
    }

    /** @return \Generator<int, list<string>> */
    private static function ofSheet(XlsxFile|OdsFile $file, string $sheet): \Generator
    {
        return $file->rows($sheet === '' ? $file->sheets()[0] : $sheet);
    }

    /** Without what no text has, and one letter more than is allowed where it is too long. */
    private static function cell(string $cell): string
    {
        $cell = mb_scrub($cell);
        if (preg_match('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', $cell) === 1) {
            $cell = preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', '', $cell) ?? '';
        }

        return strlen($cell) > self::LONGEST_CELL ? mb_substr($cell, 0, self::LONGEST_CELL + 1) : $cell;
    }
}
