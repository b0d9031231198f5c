<?php

declare(strict_types=1);

namespace Almanac\Merging;

use Almanac\Records\SectionName;

/** The lines of a section of several records, one under another, each double beneath the line that it repeats. */
final class Lines
{
    /**
     * @param array<int, array<string, array<string, mixed>>> $ofEach by record, the one that stays first; then by key
     *
     * @return list<Line>
     */
    public static function of(SectionName $section, array $ofEach): array
    {
        $lines = [];
        foreach ($ofEach as $partyId => $rows) {
            foreach ($rows as $key => $row) {
                $first = self::first($section, $lines, $row, $partyId);
                $lines[] = new Line($key, $partyId, $row, $first?->key);
            }
        }

        return $lines;
    }

    /**
     * The lines that are kept, with what their doubles say besides.
     *
     * @param list<Line> $lines
     * @param array<string, bool> $isKept what somebody has ticked or struck, by key; of the rest doubles go
     *
     * @return array<string, array<string, mixed>> by key
     */
    public static function kept(array $lines, array $isKept): array
    {
        $kept = [];
        foreach ($lines as $line) {
            if ($isKept[$line->key] ?? $line->doubleOf === null) {
                $kept[$line->key] = $line->row;
            }
        }
        foreach ($lines as $line) {
            if ($line->doubleOf !== null && ! isset($kept[$line->key]) && isset($kept[$line->doubleOf])) {
                $kept[$line->doubleOf] = Sameness::joined($kept[$line->doubleOf], $line->row);
            }
        }

        return $kept;
    }

    /**
     * The line of another record that says the same; that of one record is said as often as it says it.
     *
     * @param list<Line> $lines
     * @param array<string, mixed> $row
     */
    private static function first(SectionName $section, array $lines, array $row, int $partyId): ?Line
    {
        foreach ($lines as $line) {
            if ($line->doubleOf === null && $line->partyId !== $partyId && Sameness::of($section, $line->row, $row)) {
                return $line;
            }
        }

        return null;
    }
}
