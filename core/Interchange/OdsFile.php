<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/**
 * Reads the sheets of an ODS file row by row.
 *
 * Source: OASIS OpenDocument 1.2, part 1, 9.1 tables, 19.385 office:value-type; from memory.
 */
final class OdsFile
{
    private const KIND = 'a spreadsheet (ODS)';

    private function __construct(private readonly SheetArchive $archive)
    {
    }

    /** @throws InterchangeRefused when it is none */
    public static function open(string $path): self
    {
        return new self(SheetArchive::open($path, self::KIND));
    }

    /** @return list<string> */
    public function sheets(): array
    {
        $reader = $this->archive->read('content.xml');
        $sheets = [];
        $more = $this->archive->next($reader);
        while ($more) {
            if ($reader->nodeType === \XMLReader::ELEMENT && $reader->name === 'table:table') {
                $sheets[] = (string) $reader->getAttribute('table:name');
                $more = $this->archive->over($reader);
            } else {
                $more = $this->archive->next($reader);
            }
        }

        return $sheets === [] ? throw InterchangeRefused::notThatKind(self::KIND) : $sheets;
    }

    /**
     * @return \Generator<int, list<string>> the cells of each row that is not empty, by its number; days as 2026-01-31
     *
     * @throws InterchangeRefused when it breaks off, or there is no such sheet
     */
    public function rows(string $sheet): \Generator
    {
        $reader = $this->archive->read('content.xml');
        $number = 0;
        $isInside = $wasThere = false;
        $repeat = 1;
        $cells = [];
        while ($this->archive->next($reader)) {
            $isStart = $reader->nodeType === \XMLReader::ELEMENT;
            $isEnd = $reader->nodeType === \XMLReader::END_ELEMENT || ($isStart && $reader->isEmptyElement);
            if ($reader->name === 'table:table') {
                $isInside = $isStart && $reader->getAttribute('table:name') === $sheet;
                $wasThere = $wasThere || $isInside;
            } elseif (! $isInside) {
                continue;
            } elseif ($reader->name === 'table:table-row') {
                if ($isStart) {
                    $cells = [];
                    $repeat = max(1, (int) $reader->getAttribute('table:number-rows-repeated'));
                }
                if ($isEnd) {
                    while ($cells !== [] && end($cells) === '') {
                        array_pop($cells);
                    }
                    // Rows that are repeated to the end of the sheet are empty.
                    for ($copy = 1; $cells !== [] && $copy <= min($repeat, TableFile::MOST_ROWS + 2); $copy++) {
                        yield $number + $copy => $cells;
                    }
                    $number += $repeat;
                }
            } elseif ($isStart && in_array($reader->name, ['table:table-cell', 'table:covered-table-cell'], true)) {
                $times = max(1, (int) $reader->getAttribute('table:number-columns-repeated'));
                $cell = $this->cell($reader);
                if ($cell !== '' && count($cells) + $times > TableFile::MOST_COLUMNS) {
                    throw InterchangeRefused::tooManyColumns(TableFile::MOST_COLUMNS);
                }
                array_push($cells, ...array_fill(0, min($times, max(0, TableFile::MOST_COLUMNS - count($cells))), $cell));
            }
        }
        if (! $wasThere) {
            throw InterchangeRefused::noSuchSheet();
        }
    }

    private function cell(\XMLReader $reader): string
    {
        $type = $reader->getAttribute('office:value-type');
        $value = match ($type) {
            'date' => substr((string) $reader->getAttribute('office:date-value'), 0, 10),
            'float', 'percentage', 'currency' => (string) $reader->getAttribute('office:value'),
            'boolean' => $reader->getAttribute('office:boolean-value') === 'true' ? 'yes' : 'no',
            default => null,
        };
        $depth = $reader->depth;
        $paragraphs = [];
        $isWanted = true;
        $isEmpty = $reader->isEmptyElement;
        while (! $isEmpty && $this->archive->next($reader) && $reader->depth > $depth) {
            if ($reader->nodeType === \XMLReader::ELEMENT && $reader->name === 'office:annotation') {
                $isWanted = false;
            } elseif ($reader->nodeType === \XMLReader::END_ELEMENT && $reader->name === 'office:annotation') {
                $isWanted = true;
            } elseif ($isWanted && $reader->nodeType === \XMLReader::ELEMENT && $reader->name === 'text:p') {
                $paragraphs[] = '';
            } elseif ($isWanted && $paragraphs !== [] && $reader->nodeType === \XMLReader::ELEMENT) {
                $paragraphs[count($paragraphs) - 1] .= match ($reader->name) {
                    'text:s' => str_repeat(' ', min(100, max(1, (int) $reader->getAttribute('text:c')))),
                    'text:line-break' => "\n",
                    'text:tab' => "\t",
                    default => '',
                };
            } elseif (
                $isWanted
                && $paragraphs !== []
                && in_array($reader->nodeType, [\XMLReader::TEXT, \XMLReader::CDATA, \XMLReader::SIGNIFICANT_WHITESPACE], true)
            ) {
                $paragraphs[count($paragraphs) - 1] .= $reader->value;
            }
        }

        return trim($value ?? implode("\n", $paragraphs));
    }
}
