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
use Almanac\Records\Wording;
use Almanac\Refusal;
use Almanac\Terms\Shorthand;
use Brick\Math\BigDecimal;

/**
 * Reads lines of a table of documents by what its columns were said to be. Lines that follow each other with the same kind,
 * number and party are one document; what holds for all of it may stand on the first alone. What is wrong is told by line and
 * column, and nothing of such a document is taken.
 */
final class DocumentReader
{
    /** As of an invoice in UBL: several numbers of one party stand in one cell. */
    private const SEVERAL = '/[;\n]/';

    /** What holds for the whole document, as it is called where a line says otherwise than its first. */
    private const OF_ALL = ['date' => 'another date', 'due' => 'another due date', 'currency' => 'another currency', 'terms' => 'other payment terms'];

    private const MOST_LINES = 1000;

    private const LONGEST_NUMBER = 100;

    private const LONGEST_NAME = 300;

    /** @var array<int, list<array{int, string}>> by line, of the document at hand */
    private array $problems = [];

    /** @var array<string, Percent> by what was typed: most lines of a file have the same few */
    private array $percents = [];

    /** @var array<string, Day> by what was typed */
    private array $typedDays = [];

    private readonly Percent $none;

    /** @param  array<string, int>  $columns  where each is */
    private function __construct(
        private readonly array $columns,
        private readonly TypedDay $days,
        private readonly string $currency,
        private readonly DecimalSign $sign,
    ) {
        $this->none = Percent::none();
    }

    /**
     * @param list<string> $targets what each column is; empty where it is left out
     * @param string $currency of lines that name none
     */
    public static function of(array $targets, TypedDay $days, string $currency, DecimalSign $sign = DecimalSign::Point): self
    {
        return new self(array_flip(array_filter($targets, fn (string $one) => $one !== '')), $days, $currency, $sign);
    }

    /**
     * @param iterable<int, list<string>> $rows the cells of each line
     *
     * @return \Generator<int, non-empty-array<int, list<string>>> the lines of each document, by the one on which it begins
     */
    public function documents(iterable $rows): \Generator
    {
        $open = null;
        $lines = [];
        foreach ($rows as $line => $cells) {
            $key = Fold::text(implode('|', [
                $this->cell($cells, 'kind'), $this->cell($cells, 'number'), $this->cell($cells, 'party'),
            ]));
            // What has more lines than any document is told to be there twice.
            if ($lines !== [] && ($key !== $open || count($lines) === self::MOST_LINES)) {
                yield array_key_first($lines) => $lines;
                $lines = [];
            }
            $open = $key;
            $lines[$line] = $cells;
        }
        if ($lines !== []) {
            yield array_key_first($lines) => $lines;
        }
    }

    /** @param  non-empty-array<int, list<string>>  $lines  the cells of each line of one document */
    public function read(array $lines): ReadDocumentLines
    {
        $document = $this->document($lines);

        return new ReadDocumentLines($this->problems === [] ? $document : null, $this->problems);
    }

    /** @param  list<string>  $cells */
    public function party(array $cells): string
    {
        return $this->cell($cells, 'party');
    }

    /** Where a column is, from nought; null where the file has none. */
    public function column(string $name): ?int
    {
        return $this->columns[$name] ?? null;
    }

    /** @param  non-empty-array<int, list<string>>  $lines */
    private function document(array $lines): ?ReadDocument
    {
        $this->problems = [];
        $first = array_key_first($lines);
        $head = $lines[$first];
        $kind = $this->at($first, 'kind', fn () => self::kind($this->cell($head, 'kind')));
        $number = $this->at($first, 'number', fn () => Wording::line(
            $this->cell($head, 'number'), self::LONGEST_NUMBER, 'Type the number of the document.',
        ));
        $party = $this->at($first, 'party', fn () => Wording::line(
            $this->cell($head, 'party'), self::LONGEST_NAME, 'Type whose it is: a name, or their number.',
        ));
        $date = $this->at($first, 'date', fn () => $this->day($this->cell($head, 'date')));
        $due = $this->cell($head, 'due') === '' ? null : $this->at($first, 'due', fn () => $this->day($this->cell($head, 'due')));
        $terms = $this->cell($head, 'terms') === ''
            ? ''
            : $this->at($first, 'terms', fn () => Shorthand::read($this->cell($head, 'terms'))->toShorthand());
        $currency = $this->at($first, 'currency', fn () => Money::zero(
            mb_strtoupper($this->orElse($this->cell($head, 'currency'), $this->currency)),
        )->currency);
        if ($date instanceof Day && $due instanceof Day && $due->isBefore($date)) {
            $this->note($first, 'due', LedgerRefused::dueBeforeDate($due->toText(), $date->toText()));
        }
        $read = [];
        foreach ($lines as $line => $cells) {
            $one = $this->line($line, $cells, $head, $currency ?? $this->currency);
            if ($one !== null) {
                $read[] = $one;
            }
        }
        if ($read === [] || count($read) < count($lines) || $kind === null || $date === null || $number === null || $party === null || $currency === null) {
            return null;
        }
        $document = new ReadDocument(
            $kind,
            $number,
            $date,
            $due,
            $currency,
            $party,
            [...$this->numbers($head), $party],
            mb_substr($this->cell($head, 'reference'), 0, 255),
            TaxTreatment::Exclusive,
            $read,
            (string) $terms,
        );
        $totals = $this->at($first, 'amount', fn () => $document->totals());
        if ($totals?->gross->isNegative() === true) {
            $this->note($first, 'amount', LedgerRefused::negativeTotal($totals->gross->toText()));
        }

        return $document;
    }

    /**
     * @param list<string> $cells
     * @param list<string> $head the cells of the document's first line
     */
    private function line(int $line, array $cells, array $head, string $currency): ?Line
    {
        foreach (self::OF_ALL as $same => $title) {
            if (! in_array($this->cell($cells, $same), ['', $this->cell($head, $same)], true)) {
                $this->note($line, $same, InterchangeRefused::differsWithin($title));
            }
        }
        $typed = $this->cell($cells, 'quantity');
        $price = $this->at($line, 'amount', fn () => Line::readPrice($this->cell($cells, 'amount'), $currency, $this->sign));
        $quantity = $typed === '' ? BigDecimal::one() : $this->at($line, 'quantity', fn () => Line::readQuantity($typed, $this->sign));
        $tax = $this->at($line, 'tax', fn () => $this->percent($this->orElse($this->cell($cells, 'tax'), '0')));
        $says = $this->cell($cells, 'text');
        $text = $says === '' ? $this->cell($head, 'number') : $this->at($line, 'text', fn () => Line::readText($says));

        return $price === null || $quantity === null || $tax === null || $text === null
            ? null
            : Line::of($text, $quantity, $price, $this->none, $tax);
    }

    /**
     * @param list<string> $cells
     *
     * @return list<string>
     */
    private function numbers(array $cells): array
    {
        $numbers = preg_split(self::SEVERAL, $this->cell($cells, 'party-number')) ?: [];

        return array_values(array_filter(array_map(trim(...), $numbers), fn (string $one) => $one !== ''));
    }

    /** @param  list<string>  $cells */
    private function cell(array $cells, string $name): string
    {
        $at = $this->columns[$name] ?? null;

        return $at === null ? '' : trim($cells[$at] ?? '');
    }

    private function orElse(string $typed, string $else): string
    {
        return $typed === '' ? $else : $typed;
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

    /** What is wrong with what the file has no column for is told where its amount is. */
    private function note(int $line, string $column, Refusal $refusal): void
    {
        $this->problems[$line][] = [$this->columns[$column] ?? $this->columns['amount'] ?? 0, $refusal->getMessage()];
    }
}
