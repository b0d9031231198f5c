<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Calendar\TypedDay;
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
use App\Facts\Ledger\MatchParties;
use App\Facts\Ledger\PartyMatch;
use App\Facts\Ledger\Rates;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\Office;
use App\Models\Party;
use App\Time\Clock;
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

    public function __construct(private StageDocuments $stage, private Clock $clock)
    {
    }

    public function reader(Import $import): DocumentReader
    {
        $settings = $import->settings;

        return DocumentReader::of(
            $settings->targets, TypedDay::reader($this->clock->today(), $settings->isMonthFirst), Office::current()->currency(), $settings->sign,
        );
    }

    public function handle(Import $import): void
    {
        $reader = $this->reader($import);
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
     * @param list<int> $heads the lines on which they began
     */
    public function again(Import $import, array $heads): void
    {
        $reader = $this->reader($import);
        $lines = $import->importLines()->whereIntegerInRaw('head', $heads)->get()->toBase()->keyBy('line');
        $documents = [];
        foreach ($reader->documents($lines->map(fn (ImportLine $line) => $line->cells())->all()) as $head => $cells) {
            $documents[$head] = $lines->only(array_keys($cells));
        }
        $read = array_filter(array_map(fn (Collection $one) => self::read($reader, $one)->document, $documents));
        $match = MatchParties::ofFew(array_values($read), $import->settings->meant);
        // What else of the file would be taken under the same number.
        $seen = $import->importLines()->whereNotIn('head', $heads)->where('outcome', LineOutcome::New)
            ->whereIn('mark', array_map(fn (ReadDocument $one) => StageDocuments::key($one, (int) $match->find($one)->partyId), array_values($read)))
            ->pluck('head', 'mark')->map(fn (mixed $head) => (int) $head)->all();
        $this->keep($this->checked($documents, $reader, $match, Rates::ofOffice(), $seen));
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
    public static function read(DocumentReader $reader, Collection $lines): ReadDocumentLines
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
            $said = $lines->first();
            $document = $read[$head]->document;
            $whose = match (true) {
                $document === null || $said === null => null,
                $said->decision !== ImportLine::RECORD => $match->find($document),
                isset($inUse[$said->record_id]) => PartyMatch::is((int) $said->record_id),
                default => PartyMatch::doubtful('The record is no longer there, or is archived.', []),
            };
            $mark = $document === null || $whose?->partyId === null ? null : StageDocuments::key($document, $whose->partyId);
            [$outcome, $column, $message] = match (true) {
                $said?->decision === ImportLine::OUT => [LineOutcome::LeftOut, null, ''],
                $document === null || $whose === null => [LineOutcome::Wrong, null, ''],
                $whose->partyId === null => [LineOutcome::Doubtful, null, $whose->problem],
                isset($kept[$mark]) => $kept[$mark] === StageDocuments::sign($document, $whose->partyId)
                    ? [LineOutcome::Same, null, '']
                    : [LineOutcome::Wrong, 'number', InterchangeRefused::inTheBook(self::title($document))->getMessage()],
                isset($seen[$mark]) => [
                    LineOutcome::Wrong, 'number', InterchangeRefused::twiceInTheFile(self::title($document), $seen[$mark])->getMessage(),
                ],
                ! $this->hasRate($document, $rates) => [
                    LineOutcome::Wrong, 'currency',
                    "There is no rate for {$document->currency} on {$document->date->toText()}. Add one under Office, Currencies.",
                ],
                default => [LineOutcome::New, null, ''],
            };
            if ($outcome === LineOutcome::New && $mark !== null) {
                $seen[$mark] = $head;
            }
            $problems = $read[$head]->problems;
            if ($column !== null) {
                $problems[$head][] = [$reader->column($column) ?? (int) $reader->column('number'), $message];
            }
            foreach ($lines as $line) {
                $own = $problems[$line->line] ?? [];
                $rows[] = [
                    'head' => $head,
                    'mark' => $outcome === LineOutcome::New ? $mark : null,
                    'outcome' => $outcome->value,
                    'record_id' => match (true) {
                        $said?->decision === ImportLine::RECORD => $said->record_id,
                        default => in_array($outcome, [LineOutcome::New, LineOutcome::Same], true) ? $whose?->partyId : null,
                    },
                    'candidates' => json_encode(array_map(fn (int $id) => ['id' => $id, 'isSure' => false], $whose->candidates ?? [])),
                    'problems' => json_encode($own, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                    'message' => match (true) {
                        $outcome === LineOutcome::Wrong && $own === [] && $problems !== [] => InterchangeRefused::belongsTo(array_key_first($problems))
                            ->getMessage(),
                        $column === null => $message,
                        default => '',
                    },
                ] + $line->getAttributes();
            }
        }

        return $rows;
    }

    private function hasRate(ReadDocument $document, ExchangeRates $rates): bool
    {
        return $document->currency === Office::current()->currency()
            || $rates->orNull($document->totals()->gross, $document->date) !== null;
    }

    private static function title(ReadDocument $document): string
    {
        return "{$document->kind->title()} {$document->number}";
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
