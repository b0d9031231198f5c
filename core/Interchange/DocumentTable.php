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
    /** @var array<int, list<array{string, string}>> by line: column and what is wrong */
    private array $problems = [];

    /** @var array<string, Percent> by what was typed: most lines of a file have the same few */
    private array $percents = [];

    /** @var array<string, Day> by what was typed */
    private array $typedDays = [];

    private readonly Percent $none;

    private function __construct(private readonly TypedDay $days, private readonly string $currency, private readonly DecimalSign $sign)
    {
        $this->none = Percent::none();
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
                $columns ??= DocumentColumns::named($cells);
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
        $date = $this->at($first, 'date', fn () => $this->day($head['date']));
        $due = ($head['due'] ?? '') === '' ? null : $this->at($first, 'due', fn () => $this->day($head['due']));
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
            $tax = $this->at($line, 'tax', fn () => $this->percent(($row['tax'] ?? '') === '' ? '0' : $row['tax']));
            $text = ($row['text'] ?? '') === '' ? $head['number'] : $this->at($line, 'text', fn () => Line::readText($row['text'])) ?? '';
            if ($price !== null && $quantity !== null && $tax !== null) {
                $lines[] = Line::of($text, $quantity, $price, $this->none, $tax);
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

    private function day(string $typed): Day
    {
        return $this->typedDays[$typed] ??= $this->days->read($typed);
    }

    private function percent(string $typed): Percent
    {
        return $this->percents[$typed] ??= Percent::of($typed);
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
