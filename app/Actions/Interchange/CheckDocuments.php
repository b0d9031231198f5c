<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\DocumentReader;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\ReadDocument;
use Almanac\Interchange\ReadDocumentLines;
use Almanac\Money\ExchangeRates;
use App\Actions\Ledger\StageDocuments;
use App\Database\Ids;
use App\Database\LongWork;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Ledger\MatchParties;
use App\Facts\Ledger\PartyMatch;
use App\Facts\Ledger\Rates;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\Office;
use App\Models\Party;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Checks the lines of a file of documents: which belong together, whether each can be read, whose it is, whether the book has it. */
final readonly class CheckDocuments
{
    /** Lines that are read at once. */
    private const CHUNK = 500;

    /** Documents that are looked up at once. */
    private const FEW = 200;

    private const KEPT = ['head', 'mark', 'outcome', 'record_id', 'candidates', 'problems', 'message'];

    public function __construct(private StageDocuments $stage, private OfficeReading $office)
    {
    }

    public function handle(Import $import): void
    {
        $reader = $this->office->documents($import->settings);
        $match = MatchParties::ofBook($import->settings->meant);
        $rates = Rates::ofOffice();
        $done = 0;
        $seen = [];
        foreach ($this->batches($import, $reader) as $documents) {
            $rows = $this->checked($documents, $reader, $match, $rates, $seen);
            foreach (array_chunk($rows, self::CHUNK) as $some) {
                $done += count($some);
                LongWork::step(function () use ($import, $some, $done): void {
                    if ($import->refresh()->state !== ImportState::Checking) {
                        throw InterchangeRefused::forgotten();
                    }
                    $this->keep($some);
                    $import->update(['taken' => $done]);
                });
            }
        }
        LongWork::step(fn () => $import->refresh()->state === ImportState::Checking
            ? $import->update(['state' => ImportState::Checked, 'taken' => 0, 'failure' => ''])
            : null);
    }

    /**
     * These documents once more, after something was said of them. Runs inside a transaction.
     *
     * @param list<int> $beside the lines on which they began that stand beside each other: they may belong together by now
     * @param list<int> $others the lines on which others begin
     */
    public function again(Import $import, array $beside, array $others): void
    {
        $reader = $this->office->documents($import->settings);
        $heads = [...$beside, ...$others];
        $documents = $this->linesOf($import, $others)->groupBy('head', true)->all();
        $near = $this->linesOf($import, $beside);
        foreach ($reader->documents($near->map(fn (ImportLine $line) => $line->cells())->all()) as $head => $cells) {
            $documents[$head] = $near->only(array_keys($cells));
        }
        ksort($documents);
        $read = array_filter(array_map(fn (Collection $one) => self::read($reader, $one)->document, $documents));
        $match = MatchParties::ofFew(array_values($read), $import->settings->meant);
        $inUse = $this->inUse($documents);
        $marks = [];
        foreach ($read as $head => $document) {
            $marks[] = StageDocuments::key($document, (int) self::whose($documents[$head], $document, $match, $inUse)->partyId);
        }
        // What else of the file would be taken.
        $seen = $import->importLines()->whereNotIn('head', $heads)->where('outcome', LineOutcome::New)->whereIn('mark', $marks)
            ->pluck('head', 'mark')->map(fn (mixed $head) => (int) $head)->all();
        $this->keep($this->checked($documents, $reader, $match, Rates::ofOffice(), $seen));
    }

    /**
     * @param list<int> $heads
     *
     * @return Collection<int, ImportLine> by their numbers
     */
    private function linesOf(Import $import, array $heads): Collection
    {
        return $import->importLines()->whereIntegerInRaw('head', $heads)->get()->toBase()->keyBy('line');
    }

    /**
     * @return \Generator<array<int, Collection<int, ImportLine>>> some documents at a time: the lines of each, by the one on which it begins
     */
    private function batches(Import $import, DocumentReader $reader): \Generator
    {
        $read = [];
        $rows = function () use ($import, &$read): \Generator {
            $after = -1;
            do {
                $lines = $import->importLines()->where('line', '>', $after)->limit(self::CHUNK)->get();
                foreach ($lines as $line) {
                    $read[$after = $line->line] = $line;
                    yield $line->line => $line->cells();
                }
            } while ($lines->count() === self::CHUNK);
        };
        $batch = [];
        foreach ($reader->documents($rows()) as $head => $cells) {
            $batch[$head] = new Collection(array_intersect_key($read, $cells));
            $read = array_diff_key($read, $cells);
            if (count($batch) === self::FEW) {
                yield $batch;
                $batch = [];
            }
        }
        if ($batch !== []) {
            yield $batch;
        }
    }

    /** @param  Collection<int, ImportLine>  $lines  of one document, by their numbers */
    private static function read(DocumentReader $reader, Collection $lines): ReadDocumentLines
    {
        $cells = $lines->map(fn (ImportLine $line) => $line->cells())->all();

        return $cells === [] ? new ReadDocumentLines(null, []) : $reader->read($cells);
    }

    /**
     * @param array<int, Collection<int, ImportLine>> $documents
     * @param array<string, int> $seen the lines on which earlier ones of the file begin, by what makes two the same
     *
     * @return list<array<string, mixed>> the lines as they are kept
     */
    private function checked(array $documents, DocumentReader $reader, MatchParties $match, ExchangeRates $rates, array &$seen): array
    {
        $read = array_map(fn (Collection $lines) => self::read($reader, $lines), $documents);
        $kept = $this->stage->kept(array_filter(array_map(fn (ReadDocumentLines $one) => $one->document, $read)));
        $inUse = $this->inUse($documents);
        $rows = [];
        foreach ($documents as $head => $lines) {
            $checked = $this->one($lines, $read[$head], $match, $inUse, $kept, $seen, $reader, $rates);
            if ($checked->outcome === LineOutcome::New && $checked->mark !== null) {
                $seen[$checked->mark] = $head;
            }
            $rows = [...$rows, ...$checked->rows()];
        }

        return $rows;
    }

    /**
     * @param Collection<int, ImportLine> $lines
     * @param array<int, true> $inUse
     * @param array<string, string> $kept
     * @param array<string, int> $seen
     */
    private function one(
        Collection $lines,
        ReadDocumentLines $read,
        MatchParties $match,
        array $inUse,
        array $kept,
        array $seen,
        DocumentReader $reader,
        ExchangeRates $rates,
    ): CheckedDocument {
        $said = $lines->firstOrFail();
        $document = $read->document;
        if ($said->decision === ImportLine::OUT) {
            return new CheckedDocument($lines, LineOutcome::LeftOut, null, $read->problems);
        }
        if ($document === null) {
            return new CheckedDocument($lines, LineOutcome::Wrong, null, $read->problems);
        }
        $whose = self::whose($lines, $document, $match, $inUse);
        if ($whose->partyId === null) {
            return new CheckedDocument($lines, LineOutcome::Doubtful, $whose, []);
        }
        $mark = StageDocuments::key($document, $whose->partyId);
        if (($kept[$mark] ?? '') === StageDocuments::sign($document, $whose->partyId)) {
            return new CheckedDocument($lines, LineOutcome::Same, $whose, []);
        }
        $title = "{$document->kind->title()} {$document->number}";
        [$column, $problem] = match (true) {
            isset($kept[$mark]) => ['number', InterchangeRefused::inTheBook($title)->getMessage()],
            isset($seen[$mark]) => ['number', InterchangeRefused::twiceInTheFile($title, $seen[$mark])->getMessage()],
            ! $this->hasRate($document, $rates) => [
                'currency', "There is no rate for {$document->currency} on {$document->date->toText()}. Add one under Office, Currencies.",
            ],
            default => [null, ''],
        };

        return $column === null
            ? new CheckedDocument($lines, LineOutcome::New, $whose, [], $mark)
            : new CheckedDocument($lines, LineOutcome::Wrong, $whose, [
                $said->line => [[$reader->column($column) ?? (int) $reader->column('number'), $problem]],
            ]);
    }

    /**
     * @param Collection<int, ImportLine> $lines of the document
     * @param array<int, true> $inUse
     */
    private static function whose(Collection $lines, ReadDocument $document, MatchParties $match, array $inUse): PartyMatch
    {
        $said = $lines->firstOrFail();

        return match (true) {
            $said->decision !== ImportLine::RECORD => $match->find($document),
            isset($inUse[$said->record_id]) => PartyMatch::is((int) $said->record_id),
            default => PartyMatch::doubtful('The record is no longer there, or is archived.', []),
        };
    }

    private function hasRate(ReadDocument $document, ExchangeRates $rates): bool
    {
        return $document->currency === Office::current()->currency()
            || $rates->orNull($document->totals()->gross, $document->date) !== null;
    }

    /**
     * @param array<int, Collection<int, ImportLine>> $documents
     *
     * @return array<int, true> of the records that somebody said they are of, those in use
     */
    private function inUse(array $documents): array
    {
        $said = [];
        foreach ($documents as $lines) {
            $line = $lines->first();
            if ($line?->decision === ImportLine::RECORD && $line->record_id !== null) {
                $said[] = $line->record_id;
            }
        }

        return $said === [] ? [] : array_fill_keys(
            Ids::of(Party::query()->whereIntegerInRaw('id', array_unique($said))->whereNull('archived_on')->pluck('id')), true,
        );
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function keep(array $rows): void
    {
        foreach (array_chunk($rows, self::CHUNK) as $some) {
            DB::table('import_lines')->upsert($some, ['import_id', 'line'], self::KEPT);
        }
    }
}
