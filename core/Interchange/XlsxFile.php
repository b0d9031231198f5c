<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/**
 * Reads the sheets of an XLSX file row by row, so that a long one takes no more memory than its texts.
 *
 * Source: ISO/IEC 29500-1 (SpreadsheetML), 18.3 worksheets, 18.4 shared strings, 18.8.30 number formats; from memory.
 */
final class XlsxFile
{
    private const KIND = 'a spreadsheet (XLSX)';

    /** Formats of numbers that are days, by their numbers; those of one's own are told by their letters. */
    private const DAYS = [14, 15, 16, 17, 22, 27, 28, 29, 30, 31, 34, 35, 36, 50, 51, 52, 53, 54, 55, 56, 57, 58];

    /** @var list<string> */
    private array $texts = [];

    /** @var array<int, bool> by style: whether it shows days */
    private array $styles = [];

    /** From what day they are counted: 1899-12-30, or 1904-01-01. */
    private string $origin = '1899-12-30';

    /** @var array<string, string> the file of each sheet, by its name */
    private array $sheets = [];

    private function __construct(private readonly SheetArchive $archive)
    {
    }

    /** @throws InterchangeRefused when it is none */
    public static function open(string $path): self
    {
        $file = new self(SheetArchive::open($path, self::KIND));
        $file->workbook();

        return $file;
    }

    /** @return list<string> */
    public function sheets(): array
    {
        return array_map(strval(...), array_keys($this->sheets));
    }

    /**
     * @return \Generator<int, list<string>> the cells of each row that is not empty, by its number; days as 2026-01-31
     *
     * @throws InterchangeRefused when it breaks off, or there is no such sheet
     */
    public function rows(string $sheet): \Generator
    {
        $this->texts();
        $this->styles();
        $reader = $this->archive->read($this->sheets[$sheet] ?? throw InterchangeRefused::noSuchSheet());
        $number = 0;
        $cells = [];
        while ($this->archive->next($reader)) {
            if ($reader->nodeType === \XMLReader::ELEMENT && $reader->localName === 'row') {
                $number = (int) ($reader->getAttribute('r') ?? $number + 1);
                $cells = [];
            } elseif ($reader->nodeType === \XMLReader::ELEMENT && $reader->localName === 'c') {
                $at = self::column((string) $reader->getAttribute('r')) ?? count($cells);
                if ($at >= TableFile::MOST_COLUMNS) {
                    throw InterchangeRefused::tooManyColumns(TableFile::MOST_COLUMNS);
                }
                $cells[$at] = $this->cell($reader, (string) $reader->getAttribute('t'), (int) $reader->getAttribute('s'));
            } elseif ($reader->nodeType === \XMLReader::END_ELEMENT && $reader->localName === 'row') {
                if ($cells !== [] && implode('', $cells) !== '') {
                    yield $number => array_map(fn (int $at) => $cells[$at] ?? '', range(0, max(array_keys($cells))));
                }
            }
        }
        $reader->close();
    }

    private function cell(\XMLReader $reader, string $type, int $style): string
    {
        if ($reader->isEmptyElement) {
            return '';
        }
        $depth = $reader->depth;
        $text = '';
        $isWanted = false;
        while ($this->archive->next($reader) && $reader->depth > $depth) {
            if ($reader->nodeType === \XMLReader::ELEMENT) {
                $isWanted = $reader->localName === 'v' || $reader->localName === 't';
            } elseif (
                $isWanted
                && in_array($reader->nodeType, [\XMLReader::TEXT, \XMLReader::CDATA, \XMLReader::SIGNIFICANT_WHITESPACE], true)
            ) {
                $text .= $reader->value;
            } elseif ($reader->nodeType === \XMLReader::END_ELEMENT) {
                $isWanted = false;
            }
        }

        return trim(match (true) {
            $type === 's' => $this->texts[(int) $text] ?? '',
            $type === 'b' => $text === '1' ? 'yes' : 'no',
            $type === '' || $type === 'n' => $this->number($text, $this->styles[$style] ?? false),
            default => $text,
        });
    }

    private function number(string $text, bool $isDay): string
    {
        if (! is_numeric($text)) {
            return $text;
        }
        $value = (float) $text;
        if ($isDay && $value >= 1 && $value < 2958466) {
            return (new \DateTimeImmutable($this->origin))->modify('+'.(int) $value.' days')->format('Y-m-d');
        }

        return abs($value) < 1e15 && $value === floor($value) ? sprintf('%.0f', $value) : rtrim(rtrim(sprintf('%.10F', $value), '0'), '.');
    }

    /** A, B … AA: from nought. */
    private static function column(string $reference): ?int
    {
        if (preg_match('/^[A-Z]{1,3}/', $reference, $letters) !== 1) {
            return null;
        }

        return array_reduce(str_split($letters[0]), fn (int $at, string $letter) => $at * 26 + ord($letter) - 64, 0) - 1;
    }

    private function workbook(): void
    {
        $files = [];
        $links = $this->archive->read('xl/_rels/workbook.xml.rels');
        while ($this->archive->next($links)) {
            if ($links->nodeType === \XMLReader::ELEMENT && $links->localName === 'Relationship') {
                $target = (string) $links->getAttribute('Target');
                $files[(string) $links->getAttribute('Id')] = str_starts_with($target, '/') ? ltrim($target, '/') : "xl/$target";
            }
        }
        $book = $this->archive->read('xl/workbook.xml');
        while ($this->archive->next($book)) {
            if ($book->nodeType !== \XMLReader::ELEMENT) {
                continue;
            }
            if ($book->localName === 'workbookPr' && in_array($book->getAttribute('date1904'), ['1', 'true'], true)) {
                $this->origin = '1904-01-01';
            } elseif ($book->localName === 'sheet' && $book->getAttribute('state') !== 'veryHidden') {
                $id = (string) $book->getAttributeNs('id', 'http://schemas.openxmlformats.org/officeDocument/2006/relationships');
                $this->sheets[(string) $book->getAttribute('name')] = $files[$id] ?? '';
            }
        }
        if ($this->sheets === []) {
            throw InterchangeRefused::notThatKind(self::KIND);
        }
    }

    private function texts(): void
    {
        if ($this->texts !== [] || ! $this->archive->has('xl/sharedStrings.xml')) {
            return;
        }
        $reader = $this->archive->read('xl/sharedStrings.xml');
        $text = '';
        $isWanted = $isSound = false;
        while ($this->archive->next($reader)) {
            $isEnd = $reader->nodeType === \XMLReader::END_ELEMENT;
            if ($reader->nodeType === \XMLReader::ELEMENT) {
                $isSound = $isSound || $reader->localName === 'rPh';
                $isWanted = $reader->localName === 't' && ! $isSound;
                if ($reader->localName === 'si' && $reader->isEmptyElement) {
                    $this->texts[] = '';
                }
            } elseif (
                $isWanted
                && in_array($reader->nodeType, [\XMLReader::TEXT, \XMLReader::CDATA, \XMLReader::SIGNIFICANT_WHITESPACE], true)
            ) {
                $text .= $reader->value;
            } elseif ($isEnd && $reader->localName === 'si') {
                $this->texts[] = $text;
                $text = '';
            } elseif ($isEnd) {
                $isWanted = false;
                $isSound = $isSound && $reader->localName !== 'rPh';
            }
        }
    }

    private function styles(): void
    {
        if ($this->styles !== [] || ! $this->archive->has('xl/styles.xml')) {
            return;
        }
        $reader = $this->archive->read('xl/styles.xml');
        $own = [];
        $isInCells = false;
        while ($this->archive->next($reader)) {
            if ($reader->localName === 'cellXfs') {
                $isInCells = $reader->nodeType === \XMLReader::ELEMENT;
            } elseif ($reader->nodeType === \XMLReader::ELEMENT && $reader->localName === 'numFmt') {
                // What stands in quotes or brackets is shown as it is.
                $code = preg_replace('/"[^"]*"|\[[^\]]*\]|\\\\./', '', (string) $reader->getAttribute('formatCode')) ?? '';
                $own[(int) $reader->getAttribute('numFmtId')] = preg_match('/[yd]|(?<!h)m(?!s)/i', $code) === 1
                    && preg_match('/[#0?]/', $code) === 0;
            } elseif ($isInCells && $reader->nodeType === \XMLReader::ELEMENT && $reader->localName === 'xf') {
                $format = (int) $reader->getAttribute('numFmtId');
                $this->styles[] = $own[$format] ?? in_array($format, self::DAYS, true);
            }
        }
    }
}
