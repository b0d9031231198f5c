<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Finding\Fold;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\LedgerRefused;
use Almanac\Ledger\Line;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\DecimalSign;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Refusal;
use Almanac\Terms\Shorthand;
use Brick\Math\BigDecimal;

/**
 * Reads documents from a table whose first line names the columns. Rows that follow each other with
 * the same kind, number and party are the lines of one document.
 */
final class DocumentTable
{
    private const MUST_HAVE = ['kind', 'number', 'party', 'date', 'amount'];

    private const MAY_HAVE = ['due', 'currency', 'tax', 'text', 'quantity', 'reference', 'terms'];

    /** What else the columns are called; common practice, no published source. */
    private const ALSO = [
        'kind' => ['type', 'document type', 'document kind', 'transaction type'],
        'number' => ['document number', 'invoice number', 'bill number', 'invoice no', 'no', 'document no'],
        'party' => ['client', 'customer', 'vendor', 'supplier', 'client name', 'customer name', 'vendor name', 'name'],
        'date' => ['document date', 'invoice date', 'bill date', 'dated'],
        'amount' => ['price', 'net', 'net amount', 'unit price', 'rate'],
        'due' => ['due date', 'due on'],
        'currency' => ['currency code'],
        'tax' => ['tax rate', 'tax percent', 'vat rate', 'tax %'],
        'text' => ['description', 'line', 'item', 'memo'],
        'quantity' => ['qty'],
        'reference' => ['po number', 'their reference', 'ref', 'purchase order'],
        'terms' => ['payment terms'],
    ];

    /** What somebody can say that a column is. */
    private const TITLES = [
        'kind' => 'Kind of document', 'number' => 'Number', 'party' => 'Client or vendor', 'date' => 'Date', 'amount' => 'Amount', 'due' => 'Due',
        'currency' => 'Currency', 'tax' => 'Tax, per cent', 'text' => 'What for', 'quantity' => 'Quantity', 'reference' => 'Their reference', 'terms' => 'Payment terms',
    ];

    /** @var array<int, list<array{string, string}>> by line: column and what is wrong */
    private array $problems = [];

    private function __construct(private readonly TypedDay $days, private readonly string $currency, private readonly DecimalSign $sign)
    {
    }

    /**
     * @param iterable<int, list<string>> $rows by line; the first names the columns
     * @param string $currency of rows that name none
     * @param list<string>|null $targets what each column is; null where the first line tells
     * @param bool $hasHeadings whether the first line names the columns, where that is said besides
     *
     * @return array{
     *     array<int, ReadDocument>, array<int, list<array{string, string}>>,
     * } documents by the line they begin on; problems by line: column and message
     *
     * @throws InterchangeRefused when it is no table, or lacks a column
     */
    public static function read(
        iterable $rows,
        TypedDay $days,
        string $currency,
        DecimalSign $sign = DecimalSign::Point,
        ?array $targets = null,
        bool $hasHeadings = true,
    ): array {
        $reader = new self($days, $currency, $sign);

        return [$reader->documents($rows, $targets, $hasHeadings), $reader->problems];
    }

    /**
     * Whether a first line names the columns of documents rather than those of people and companies.
     *
     * @param list<string> $cells
     */
    public static function isNamedBy(array $cells): bool
    {
        $columns = self::places($cells);

        return isset($columns['kind'], $columns['number'], $columns['date'], $columns['amount']);
    }

    /** @return array<string, string> what a column can be, with its title */
    public static function targets(): array
    {
        return self::TITLES;
    }

    /**
     * @param list<string> $headings
     *
     * @return list<string> what each column is; empty where the heading does not tell
     */
    public static function guess(array $headings): array
    {
        $named = array_flip(self::places($headings));

        return array_map(fn (int $at) => $named[$at] ?? '', array_keys($headings));
    }

    /**
     * What is in the way of reading a file so; empty where nothing is.
     *
     * @param list<string> $targets
     */
    public static function problem(array $targets): string
    {
        $said = array_filter($targets, fn (string $one) => $one !== '');
        $twice = array_keys(array_filter(array_count_values($said), fn (int $times) => $times > 1));
        $missing = array_diff(self::MUST_HAVE, $said);

        return match (true) {
            array_diff($said, array_keys(self::TITLES)) !== [] => 'One of the columns is said to be something that is no longer there. Choose again.',
            $twice !== [] => 'Two columns are said to be “'.self::TITLES[$twice[0]].'”. Leave one of them out.',
            $missing !== [] => 'Say which column is: '.implode(', ', array_map(fn (string $one) => mb_strtolower(self::TITLES[$one]), $missing)).'.',
            default => '',
        };
    }

    /**
     * @param iterable<int, list<string>> $table
     * @param list<string>|null $targets
     *
     * @return array<int, ReadDocument>
     */
    private function documents(iterable $table, ?array $targets, bool $hasHeadings): array
    {
        $columns = $targets === null ? null : array_flip(array_filter($targets, fn (string $one) => $one !== ''));
        $isFirst = $hasHeadings;
        $groups = [];
        $open = null;
        foreach ($table as $line => $cells) {
            if ($columns === null || $isFirst) {
                $columns ??= self::columns($cells);
                $isFirst = false;

                continue;
            }
            $row = [];
            foreach ($columns as $name => $place) {
                $row[$name] = $cells[$place] ?? '';
            }
            $key = Fold::text($row['kind'].'|'.$row['number'].'|'.$row['party']);
            if ($open === null || $key !== $groups[$open]['key']) {
                $open = $line;
                $groups[$open] = ['key' => $key, 'rows' => []];
            }
            $groups[$open]['rows'][$line] = $row;
        }
        if ($groups === []) {
            throw InterchangeRefused::empty();
        }
        $documents = [];
        foreach ($groups as $line => $group) {
            $document = $this->document($group['rows']);
            if ($document !== null) {
                $documents[$line] = $document;
            }
        }

        return $documents;
    }

    /** @param  array<int, array<string, string>>  $rows */
    private function document(array $rows): ?ReadDocument
    {
        $first = array_key_first($rows) ?? 0;
        $head = $rows[$first];
        $kind = $this->at($first, 'kind', fn () => self::kind($head['kind']));
        $number = $this->at($first, 'number', fn () => Line::readText($head['number']));
        $party = $this->at($first, 'party', fn () => Line::readText($head['party']));
        $date = $this->at($first, 'date', fn () => $this->days->read($head['date']));
        $due = ($head['due'] ?? '') === '' ? null : $this->at($first, 'due', fn () => $this->days->read($head['due']));
        $terms =
            trim($head['terms'] ?? '') === '' ? '' : $this->at($first, 'terms', fn () => Shorthand::read($head['terms'])->toShorthand());
        $currency = $this->at(
            $first,
            'currency',
            fn () => Money::zero(mb_strtoupper(($head['currency'] ?? '') === '' ? $this->currency : $head['currency']))->currency,
        );
        if ($date instanceof Day && $due instanceof Day && $due->isBefore($date)) {
            $this->note($first, 'due', LedgerRefused::dueBeforeDate($due->toText(), $date->toText()));
        }
        $lines = [];
        foreach ($rows as $line => $row) {
            foreach (['date', 'due', 'currency', 'terms'] as $same) {
                if (($row[$same] ?? '') !== ($head[$same] ?? '')) {
                    $this->note($line, $same, InterchangeRefused::differsWithin($same));
                }
            }
            $price = $this->at($line, 'amount', fn () => Line::readPrice($row['amount'], $currency ?? $this->currency, $this->sign));
            $quantity =
                ($row['quantity'] ?? '') === ''
                    ? BigDecimal::one()
                    : $this->at($line, 'quantity', fn () => Line::readQuantity($row['quantity'], $this->sign));
            $tax = $this->at($line, 'tax', fn () => Percent::of(($row['tax'] ?? '') === '' ? '0' : $row['tax']));
            $text = ($row['text'] ?? '') === '' ? $head['number'] : $this->at($line, 'text', fn () => Line::readText($row['text'])) ?? '';
            if ($price !== null && $quantity !== null && $tax !== null) {
                $lines[] = Line::of($text, $quantity, $price, Percent::of(0), $tax);
            }
        }
        if (
            $lines === [] ||
            array_intersect_key($this->problems, $rows) !== [] ||
            $kind === null ||
            $date === null ||
            $number === null ||
            $party === null ||
            $currency === null
        ) {
            return null;
        }
        $document = new ReadDocument(
            $kind,
            $number,
            $date,
            $due,
            $currency,
            $party,
            [$party],
            $head['reference'] ?? '',
            TaxTreatment::Exclusive,
            $lines,
            (string) $terms,
        );
        $totals = $this->at($first, 'amount', fn () => $document->totals());
        if ($totals?->gross->isNegative() === true) {
            $this->note($first, 'amount', LedgerRefused::negativeTotal($totals->gross->toText()));
        }
        if ($totals === null || $totals->gross->isNegative()) {
            return null;
        }

        return $document;
    }

    /**
     * @param list<string> $cells
     *
     * @return array<string, int>
     */
    private static function columns(array $cells): array
    {
        $columns = self::places($cells);
        $missing = array_values(array_diff(self::MUST_HAVE, array_keys($columns)));
        if ($missing !== []) {
            throw InterchangeRefused::columnsMissing($missing);
        }

        return $columns;
    }

    /**
     * @param list<string> $cells
     *
     * @return array<string, int>
     */
    private static function places(array $cells): array
    {
        $named = array_map(TargetColumn::plain(...), $cells);
        $places = [];
        foreach ([...self::MUST_HAVE, ...self::MAY_HAVE] as $name) {
            foreach ([$name, ...self::ALSO[$name]] as $heading) {
                $place = array_search($heading, $named, true);
                if ($place !== false && ! in_array($place, $places, true)) {
                    $places[$name] = $place;
                    break;
                }
            }
        }

        return $places;
    }

    private static function kind(string $typed): DocumentKind
    {
        foreach (DocumentKind::cases() as $kind) {
            if (! $kind->isOpening() && in_array(Fold::text($typed), [Fold::text($kind->title()), Fold::text($kind->value)], true)) {
                return $kind;
            }
        }
        throw InterchangeRefused::unknownKind($typed);
    }

    /**
     * @template T
     *
     * @param \Closure(): T $read
     *
     * @return T|null
     */
    private function at(int $line, string $column, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (Refusal $refusal) {
            $this->note($line, $column, $refusal);

            return null;
        }
    }

    private function note(int $line, string $column, Refusal $refusal): void
    {
        $this->problems[$line][] = [$column, $refusal->getMessage()];
    }
}
