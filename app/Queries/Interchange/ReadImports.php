<?php

declare(strict_types=1);

namespace App\Queries\Interchange;

use Almanac\Interchange\CsvTable;
use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\OnExisting;
use Almanac\Interchange\PartyReader;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\RowChange;
use Almanac\Interchange\RowChanges;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Interchange\RowOfParty;
use App\Facts\Records\RecordRow;
use App\Http\Data\Interchange\ImportCandidateData;
use App\Http\Data\Interchange\ImportCellProblemData;
use App\Http\Data\Interchange\ImportChangeData;
use App\Http\Data\Interchange\ImportData;
use App\Http\Data\Interchange\ImportLineData;
use App\Http\Data\Interchange\ImportLinesData;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Reads what is being read in: how far each file is, what its lines come to, and those that are wrong. */
final readonly class ReadImports
{
    private const LATEST = 20;

    private const PAGE = 50;

    private const CHUNK = 500;

    private const NAMES = ['name', 'prefix', 'given', 'middle', 'family', 'suffix'];

    public function __construct(private OfficeReading $office, private ReadImportedDocuments $documents, private Clock $clock)
    {
    }

    /** @return list<ImportData> the newest first */
    public function latest(User $reader): array
    {
        $imports = Import::query()->with('user')->orderByDesc('id')->limit(self::LATEST)->get();
        $counts = $this->counts(array_values($imports->modelKeys()));

        return array_values($imports->map(fn (Import $one) => ImportData::of(
            $one, $counts[$one->id]['outcome'] ?? [], $counts[$one->id]['done'] ?? [], $reader,
        ))->all());
    }

    public function one(Import $import, User $reader): ImportData
    {
        $counts = $this->counts([$import->id])[$import->id] ?? [];

        return ImportData::of($import->refresh()->load('user'), $counts['outcome'] ?? [], $counts['done'] ?? [], $reader);
    }

    public function lines(Import $import, ?LineOutcome $outcome, ?LineDone $done, int $page): ImportLinesData
    {
        // Of a document, the line on which it begins stands for all of it.
        $lines = fn () => $import->importLines()->whereColumn('line', 'head')->when($outcome !== null, fn ($some) => $some->where('outcome', $outcome))
            ->when($done !== null, fn ($some) => $some->where('done', $done));
        $total = $lines()->count();
        $pages = max(1, (int) ceil($total / self::PAGE));
        $page = min($page, $pages);

        return new ImportLinesData($this->read($import, $lines()->forPage($page, self::PAGE)->get()), $total, $page, $pages);
    }

    /** The line; of documents the one that it belongs to. */
    public function line(Import $import, int $line): ImportLineData
    {
        $head = $import->importLines()->where('line', $line)->value('head');

        return $this->read($import, $import->importLines()->where('line', $head)->get())[0];
    }

    /** @return \Generator<int, string> the wrong lines as a table, with a column that says why: mended, it can be handed in again */
    public function wrong(Import $import): \Generator
    {
        $columns = $import->settings->columns;
        yield CsvTable::MARK.CsvTable::lines([[...array_column($columns, 'heading'), 'What is wrong']]);
        $lines = $import->importLines()
            ->where(fn ($some) => $some->where('outcome', LineOutcome::Wrong)->orWhere('done', LineDone::Refused));
        foreach ($lines->lazy(self::CHUNK) as $line) {
            $why = array_map(fn (array $problem) => ($columns[$problem[0]]->heading ?? '').": $problem[1]", $line->problems);
            yield CsvTable::lines([[
                ...array_pad($line->cells(), count($columns), ''),
                implode(' ', array_filter([...$why, $line->message])),
            ]]);
        }
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, array<string, array<string, int>>> by import: by outcome, and by what came of it
     */
    private function counts(array $ids): array
    {
        $counts = [];
        foreach (['outcome', 'done'] as $column) {
            $rows = DB::table('import_lines')->whereIntegerInRaw('import_id', $ids)->whereNotNull($column)->whereColumn('line', 'head')
                ->groupBy('import_id', $column)
                ->selectRaw("import_id, $column as of, count(*) as lines")->get();
            foreach ($rows as $row) {
                $counts[(int) $row->import_id][$column][(string) $row->of] = (int) $row->lines;
            }
        }

        return $counts;
    }

    /**
     * @param Collection<int, ImportLine> $lines
     *
     * @return list<ImportLineData>
     */
    private function read(Import $import, Collection $lines): array
    {
        if (! $import->isOfRecords()) {
            return $this->documents->of($import, $lines);
        }
        $reader = PartyReader::of($import->settings->read(), $this->office->of($import->settings));
        $ids = [];
        foreach ($lines as $line) {
            $ids = [...$ids, ...array_column($line->candidates, 'id'), ...$line->record_id === null ? [] : [$line->record_id]];
        }
        $parties = Party::query()->with([...RowOfParty::RELATIONS, ...RecordRow::READS])->findMany(array_unique($ids))->keyBy('id')->all();
        $terms = OfficeReading::terms();
        $own = OfficeReading::fieldNames();

        return array_values($lines->map(function (ImportLine $line) use ($import, $reader, $parties, $terms, $own): ImportLineData {
            $cells = array_pad($line->cells(), count($import->settings->columns), '');
            $row = $reader->read($cells)->row;
            $record = $parties[$line->record_id ?? 0] ?? null;
            $isOpen = $line->done === null && $row !== null;

            return new ImportLineData(
                $line->line,
                $line->outcome->value,
                $line->outcome->title(),
                $row?->name() ?? implode(' ', array_slice(array_filter($cells, fn (string $cell) => $cell !== ''), 0, 3)),
                $line->message,
                array_map(
                    fn (array $problem) => new ImportCellProblemData($line->line, $problem[0], $cells[$problem[0]] ?? '', $problem[1]),
                    $line->problems,
                ),
                match (true) {
                    $isOpen && $line->outcome === LineOutcome::Changes && $record !== null => $this->changes(
                        $row, RowOfParty::of($record, $terms), $line, $import, $terms, $own,
                    ),
                    $isOpen && in_array($line->outcome, [LineOutcome::New, LineOutcome::Doubtful], true) => $this->changes(
                        $row, new PartyRow($row->kind, []), $line, $import, $terms, $own,
                    ),
                    default => [],
                },
                $record === null ? null : ImportCandidateData::of($record, $this->clock->today(), true),
                array_values(array_filter(array_map(
                    fn (array $one) => isset($parties[$one['id']]) ? ImportCandidateData::of($parties[$one['id']], $this->clock->today(), $one['isSure']) : null,
                    $line->candidates,
                ))),
                $line->decision,
                $line->existing?->value,
                $line->done?->value,
                $line->done?->title() ?? '',
                null,
            );
        })->all());
    }

    /**
     * @param array<string, string> $terms of the office: shorthand by name
     * @param array<string, string> $own names of its own fields, by what their columns are
     *
     * @return list<ImportChangeData>
     */
    private function changes(PartyRow $row, PartyRow $kept, ImportLine $line, Import $import, array $terms, array $own): array
    {
        $isKnown = $line->outcome === LineOutcome::Changes;
        $changes = RowChanges::between(
            $kept,
            $row,
            $isKnown ? $line->existing ?? $import->settings->existing : OnExisting::TakeOver,
        )->changes ?? [];
        // Of somebody new the name stands above.
        $told = array_filter($changes, fn (RowChange $one) => $isKnown || ! in_array($one->key, self::NAMES, true));
        $words = fn (string $value) => isset($terms[$value]) && $terms[$value] !== $value ? "$value ($terms[$value])" : $value;

        return array_values(array_map(fn (RowChange $one) => new ImportChangeData(
            $own[$one->key] ?? $one->title,
            str_ends_with($one->key, '-terms') ? $words($one->from) : $one->from,
            str_ends_with($one->key, '-terms') ? $words($one->to) : $one->to,
        ), $told));
    }
}
