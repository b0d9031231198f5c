<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\DocumentColumns;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\OnExisting;
use Almanac\Interchange\TableFile;
use App\Background\ReadImport;
use App\Facts\Interchange\Targets;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\ImportSettings;
use App\Models\Party;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** What somebody says of a file before it is taken: of its columns, of one line, of all lines alike. */
final readonly class DecideImport
{
    public function __construct(private CheckLines $check, private DecideDocuments $documents, private Clock $clock)
    {
    }

    /**
     * What its columns are, and how it is read; it is checked again with that.
     *
     * @throws InterchangeRefused when it is being taken by now
     * @throws ValidationException when a column is nothing that there is, or no column tells a name
     */
    public function columns(Import $import, ImportSettings $wanted, string $of): void
    {
        DB::transaction(function () use ($import, $wanted, $of): void {
            if (! $import->refresh()->isOpen()) {
                throw InterchangeRefused::notNow($import->state->title());
            }
            if ($of !== $import->of && $import->settings->format->isTable()) {
                $this->turn($import, $of);

                return;
            }
            $kept = $import->settings;
            if ($wanted->sheet !== $kept->sheet && ! in_array($wanted->sheet, $kept->sheets, true)) {
                throw ValidationException::withMessages(['sheet' => InterchangeRefused::noSuchSheet()->getMessage()]);
            }
            if ($wanted->sheet !== $kept->sheet || $wanted->hasHeadings !== $kept->hasHeadings) {
                // What its columns are is read anew.
                $import->update(['settings' => $wanted, 'state' => ImportState::Reading, 'taken' => 0]);
            } else {
                $problem = $import->isOfRecords() ? Targets::problem($wanted->targets) : DocumentColumns::problem($wanted->targets);
                if ($problem !== '' || count($wanted->targets) !== count($import->settings->columns)) {
                    throw ValidationException::withMessages(['targets' => $problem === '' ? 'Say of every column what it is.' : $problem]);
                }
                DB::table('import_matchings')->upsert(
                    [[
                        'headings' => $import->settings->headings($import->of),
                        'targets' => json_encode($wanted->targets),
                        'used_at' => $this->clock->now(),
                    ]],
                    ['headings'],
                );
                $import->update(['settings' => $wanted, 'state' => ImportState::Checking, 'taken' => 0]);
            }
            ReadImport::dispatch($import->id);
        });
    }

    /** It is of something else than it was taken for: it is read from the beginning. */
    private function turn(Import $import, string $of): void
    {
        $import->importLines()->delete();
        $import->update([
            'of' => $of, 'settings' => $import->settings->with(['columns' => [], 'targets' => []]), 'lines' => 0,
            'taken' => 0, 'state' => ImportState::Reading,
        ]);
        ReadImport::dispatch($import->id);
    }

    /**
     * What one line is: mended cells, whom it is about, or that it is left out.
     *
     * @param array<int, array<int, string>> $cells the mended ones by line and column: a document has several lines
     *
     * @throws InterchangeRefused when the file is being taken by now, or there is no such record
     */
    public function line(Import $import, int $number, array $cells, ?string $decision, ?int $recordId, ?OnExisting $existing): void
    {
        DB::transaction(function () use ($import, $number, $cells, $decision, $recordId, $existing): void {
            $this->mustBeOpen($import);
            $line = $this->lineOf($import, $number);
            if ($decision === ImportLine::RECORD && ! Party::query()->whereKey($recordId)->exists()) {
                throw InterchangeRefused::noSuchRecord();
            }
            foreach ($cells as $at => $texts) {
                $this->mend($import, $this->lineOf($import, $at), $line, $texts);
            }
            if (! $import->isOfRecords()) {
                $this->documents->handle($import, $this->lineOf($import, $number), $decision, $recordId);

                return;
            }
            $this->change($import, $number, [
                'decision' => $decision, 'existing' => $existing,
                'record_id' => $decision === ImportLine::RECORD ? $recordId : null,
            ]);
            $this->check->again($import, $import->importLines()->where('line', $number)->get());
        });
    }

    private function lineOf(Import $import, int $number): ImportLine
    {
        return $import->importLines()->where('line', $number)->first() ?? throw InterchangeRefused::noSuchLine();
    }

    /** @param  array<int, string>  $texts  by column */
    private function mend(Import $import, ImportLine $line, ImportLine $of, array $texts): void
    {
        if ($line->head !== $of->head) {
            throw InterchangeRefused::noSuchLine();
        }
        $kept = array_pad($line->cells(), count($import->settings->columns), '');
        foreach (array_intersect_key($texts, $kept) as $column => $text) {
            $kept[$column] = mb_substr($text, 0, TableFile::LONGEST_CELL);
        }
        $this->change($import, $line->line, ['cells' => ImportLine::kept(array_values($kept))]);
    }

    /**
     * The same of all lines that come to the same.
     *
     * @throws InterchangeRefused when the file is being taken by now
     */
    public function all(Import $import, LineOutcome $outcome, ?string $decision): void
    {
        DB::transaction(function () use ($import, $outcome, $decision): void {
            $this->mustBeOpen($import);
            if ($decision === ImportLine::NEW && ! $import->isOfRecords()) {
                throw InterchangeRefused::noNewOfDocuments();
            }
            $lines = fn () => DB::table('import_lines')->where('import_id', $import->id)->where('outcome', $outcome->value);
            if ($decision === ImportLine::OUT) {
                $lines()->update(['decision' => $decision, 'outcome' => LineOutcome::LeftOut->value]);
            } elseif ($decision === ImportLine::NEW && $outcome === LineOutcome::Doubtful) {
                $lines()->update(['decision' => $decision, 'outcome' => LineOutcome::New->value, 'record_id' => null, 'message' => '']);
            } else {
                // As the program thinks: for each the likeliest, or what it was before somebody said otherwise.
                $isDoubtful = $outcome === LineOutcome::Doubtful;
                $changed = $isDoubtful
                    ? $lines()->whereRaw('json_array_length(candidates) > 0')->update([
                        'decision' => ImportLine::RECORD, 'record_id' => DB::raw("json_extract(candidates, '$[0].id')"),
                    ])
                    : $lines()->update(['decision' => null, 'record_id' => null]);
                if ($changed === 0) {
                    throw InterchangeRefused::nobodyLikely();
                }
                $import->update(['state' => ImportState::Checking, 'taken' => 0]);
                ReadImport::dispatch($import->id);
            }
        });
    }

    /** @param  array<string, mixed>  $values */
    private function change(Import $import, int $line, array $values): void
    {
        $kept = (new ImportLine)->forceFill($values)->getAttributes();
        DB::table('import_lines')->where('import_id', $import->id)->where('line', $line)->update(array_intersect_key($kept, $values));
    }

    private function mustBeOpen(Import $import): void
    {
        if (! $import->refresh()->state->isOpen()) {
            throw InterchangeRefused::notNow($import->state->title());
        }
    }
}
