<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/**
 * Reads and writes tables as comma-separated values (RFC 4180), as spreadsheets save them: with a
 * byte order mark or in Windows-1252, with commas, semicolons or tabs, with line breaks in quotes.
 */
final class CsvTable
{
    /** Before everything else, so that a spreadsheet takes it for UTF-8. */
    public const MARK = "\xEF\xBB\xBF";

    /** What a spreadsheet would take for the beginning of a formula. */
    private const FORMULA = ['=', '+', '-', '@', "\t", "\r"];

    private const SEPARATORS = [',', ';', "\t", '|'];

    /** Of so many lines, whichever separator gives them the same number of cells is the one. */
    private const SAMPLE = 20;

    /**
     * @return \Generator<int, list<string>> the cells of each row that is not empty, by the line it begins on
     *
     * @throws InterchangeRefused when it is no text
     */
    public static function rows(string $content): \Generator
    {
        $content = self::text($content);
        $separator = self::separator($content);
        $stream = fopen('php://temp', 'r+') ?: throw new \RuntimeException('There is no room for a file in passing.');
        fwrite($stream, $content);
        rewind($stream);
        $line = 1;
        $at = 0;
        while (($cells = fgetcsv($stream, null, $separator, '"', '')) !== false) {
            $next = (int) ftell($stream);
            if ($cells !== [null]) {
                yield $line => array_map(fn (?string $cell) => trim((string) $cell), $cells);
            }
            $line += substr_count($content, "\n", $at, min($next, strlen($content)) - $at);
            $at = min($next, strlen($content));
        }
        fclose($stream);
    }

    /** @param  iterable<list<string|int>>  $rows */
    public static function write(iterable $rows): string
    {
        return self::MARK.self::lines($rows);
    }

    /** @param  iterable<list<string|int>>  $rows  some of a table that is written piece by piece */
    public static function lines(iterable $rows): string
    {
        $stream = fopen('php://temp', 'r+') ?: throw new \RuntimeException('There is no room for a file in passing.');
        foreach ($rows as $row) {
            fputcsv($stream, array_map(fn (string|int $cell) => self::defused((string) $cell), $row), ',', '"', '', "\r\n");
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /** A cell that a spreadsheet would run gets an apostrophe before it; a number stays a number. */
    private static function defused(string $cell): string
    {
        return $cell !== '' && in_array($cell[0], self::FORMULA, true) && preg_match('/^-\d+(\.\d+)?$/', $cell) !== 1
            ? "'".$cell
            : $cell;
    }

    /**
     * As UTF-8, with plain line ends.
     *
     * @throws InterchangeRefused when it is no text
     */
    public static function text(string $content): string
    {
        $content = match (true) {
            str_starts_with($content, self::MARK) => substr($content, strlen(self::MARK)),
            str_starts_with($content, "\xFF\xFE") => mb_convert_encoding(substr($content, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($content, "\xFE\xFF") => mb_convert_encoding(substr($content, 2), 'UTF-8', 'UTF-16BE'),
            default => $content,
        };
        if (str_contains($content, "\0")) {
            throw InterchangeRefused::noText();
        }
        if (! mb_check_encoding($content, 'UTF-8')) {
            $content = mb_convert_encoding($content, 'UTF-8', 'Windows-1252');
        }

        return str_contains($content, "\r") ? preg_replace('/\r\n?/', "\n", $content) ?? '' : $content;
    }

    /** Whichever stands equally often in the first lines, outside quotes; where several do, the one that stands most often. */
    private static function separator(string $content): string
    {
        $sample = preg_replace('/"[^"]*"/', '', substr(ltrim($content, "\n"), 0, 65536)) ?? '';
        $lines = array_slice(array_values(array_filter(explode("\n", $sample), fn (string $line) => trim($line) !== '')), 0, self::SAMPLE);
        $best = [0, 0];
        $separator = ',';
        foreach (self::SEPARATORS as $one) {
            $counts = array_map(fn (string $line) => substr_count($line, $one), $lines);
            $first = $counts[0] ?? 0;
            $fit = $first === 0 ? [0, 0] : [count(array_keys($counts, $first, true)), $first];
            if ($fit > $best) {
                [$best, $separator] = [$fit, $one];
            }
        }

        return $separator;
    }
}
