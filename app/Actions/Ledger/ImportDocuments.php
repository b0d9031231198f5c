<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\TypedDay;
use Almanac\Interchange\ColumnFacts;
use Almanac\Interchange\DocumentColumns;
use Almanac\Interchange\DocumentTable;
use Almanac\Interchange\FileKind;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\ReadDocument;
use Almanac\Interchange\TableFile;
use Almanac\Interchange\UblInvoice;
use Almanac\Ledger\DocumentState;
use Almanac\Refusal;
use App\Database\LongWork;
use App\Facts\Interchange\RememberedColumns;
use App\Facts\Ledger\MatchParties;
use App\Facts\Ledger\Rates;
use App\Models\Document;
use App\Models\Import;
use App\Models\ImportSettings;
use App\Models\Office;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Imports documents from a file: CSV, or a UBL invoice. First everything is checked and every bad line
 * reported; nothing is taken before somebody says so, and then all of it or nothing: the documents are
 * staged a few at a time, so that nobody has to wait for long, and begin to count together at the end.
 * The work is done apart from the request, so that whoever started it can leave.
 */
final readonly class ImportDocuments
{
    /** Problems that are kept and shown; the rest are counted. */
    private const MOST_PROBLEMS = 200;

    private const CHUNK = 100;

    private const PARTIES = 50;

    public function __construct(private Clock $clock, private StageDocuments $stage, private KeepStandings $standings)
    {
    }

    /** Reads the file and says what is wrong with it. */
    public function check(Import $import): void
    {
        try {
            if ($import->settings->format->isTable() && ! $this->knowsColumns($import)) {
                return;
            }
            [$found, $problems] = $this->read($import);
            $import->update([
                'state' => ImportState::Checked,
                'found' => count($found),
                'problems' => array_slice($problems, 0, self::MOST_PROBLEMS),
                'problem_count' => count($problems),
                'failure' => '',
            ]);
        } catch (\Throwable $error) {
            $import->update(['state' => ImportState::Failed, 'failure' => $this->reason($error)]);
        }
    }

    /** Whether it is known what its columns are; else somebody is asked, and what they may be is told. */
    private function knowsColumns(Import $import): bool
    {
        if ($import->settings->columns === []) {
            $import->update(['settings' => $this->guessed($import)]);
        }
        $isKnown = DocumentColumns::problem($import->settings->targets) === '';
        if (! $isKnown) {
            $import->update(['state' => ImportState::Columns]);
        }

        return $isKnown;
    }

    private function guessed(Import $import): ImportSettings
    {
        $settings = $import->settings;
        $path = Storage::path($import->path);
        $sheets = TableFile::sheets($settings->format, $path);
        $headings = $columns = [];
        $lines = 0;
        foreach (TableFile::rows($settings->format, $path, $settings->sheet) as $cells) {
            if ($columns === []) {
                $columns = ColumnFacts::named($cells, $settings->hasHeadings);
                if ($settings->hasHeadings) {
                    $headings = $cells;

                    continue;
                }
            }
            foreach ($columns as $at => $column) {
                $column->add($cells[$at] ?? '');
            }
            $lines++;
        }
        $import->update(['lines' => $lines]);
        $settings = $settings->with([
            'columns' => $columns,
            'sheets' => $sheets,
            'sheet' => $settings->sheet === '' ? $sheets[0] ?? '' : $settings->sheet,
        ]);
        $targets = RememberedColumns::of($settings, $import->of) ?? DocumentColumns::guess(
            $headings === [] ? array_fill(0, count($columns), '') : $headings,
        );

        return $settings->with(['targets' => $targets])->asTold();
    }

    /** Whether somebody may have it taken; from then on it is being taken. */
    public function begin(Import $import): bool
    {
        return Import::query()
            ->whereKey($import->id)
            ->where('state', ImportState::Checked)
            ->where('found', '>', 0)
            ->update(['state' => ImportState::Taking, 'taken' => 0, 'failure' => '']) === 1;
    }

    /** Takes every document that can be taken: all of them, or none. One that was interrupted goes on where it can. */
    public function take(Import $import): void
    {
        if ($import->state === ImportState::Counting) {
            $this->count($import);

            return;
        }
        try {
            $this->clear($import);
            [$found, $problems] = $this->read($import);
            if (count($found) !== $import->found) {
                $import->update([
                    'found' => count($found),
                    'problems' => array_slice($problems, 0, self::MOST_PROBLEMS),
                    'problem_count' => count($problems),
                ]);
                throw InterchangeRefused::otherThanChecked();
            }
            $done = 0;
            foreach (array_chunk($found, self::CHUNK) as $chunk) {
                $done += count($chunk);
                LongWork::step(function () use ($chunk, $import, $done): void {
                    $this->stage->handle($chunk, $import);
                    $import->update(['taken' => $done]);
                });
            }
            LongWork::step(fn () => $this->switchOver($import));
        } catch (\Throwable $error) {
            $this->clear($import);
            $import->update(['state' => ImportState::Checked, 'taken' => 0, 'failure' => 'Nothing was imported. '.$this->reason($error)]);

            return;
        }
        $this->count($import);
    }

    /** Forgets the file; of one whose taking did not end, what was staged goes too. */
    public function forget(Import $import): void
    {
        Storage::delete($import->path);
        $this->clear($import);
        $import->delete();
    }

    /** From one moment to the next all of it counts. */
    private function switchOver(Import $import): void
    {
        if ($import->refresh()->state !== ImportState::Taking) {
            throw InterchangeRefused::forgotten();
        }
        Document::staged($import->id)->update([
            'state' => DB::raw("iif(total_minor = 0, '".DocumentState::Settled->value."', '".DocumentState::Issued->value."')"),
            'settled_on' => DB::raw('iif(total_minor = 0, dated_on, null)'),
            'next_due_on' => DB::raw('iif(total_minor = 0, null, next_due_on)'),
        ]);
        $import->update(['state' => ImportState::Counting]);
    }

    /** Works out anew how those stand whom it concerns. */
    private function count(Import $import): void
    {
        $ids = Document::query()->where('import_id', $import->id)->distinct()->orderBy('party_id')->pluck('party_id')->all();
        foreach (array_chunk($ids, self::PARTIES) as $some) {
            LongWork::step(function () use ($some, $import): void {
                $this->standings->refresh(...$some);
                $import->touch();
            });
        }
        $import->update(['state' => ImportState::Taken, 'taken' => $import->found]);
    }

    private function clear(Import $import): void
    {
        do {
            $ids = Document::staged($import->id)->limit(self::CHUNK)->pluck('id')->all();
            LongWork::step(function () use ($ids): void {
                foreach (['document_lines', 'document_dues', 'document_events'] as $table) {
                    DB::table($table)->whereIn('document_id', $ids)->delete();
                }
                DB::table('documents')->whereIn('id', $ids)->delete();
            });
        } while ($ids !== []);
    }

    private function reason(\Throwable $error): string
    {
        if ($error instanceof Refusal) {
            return $error->getMessage();
        }
        report($error);

        return 'Something went wrong while reading it. Try again; if it happens again, tell your administrator.';
    }

    /**
     * @return array{list<array{ReadDocument, int}>, list<array{line: int, field: string, message: string}>}
     *
     * @throws Refusal when it cannot be read at all
     */
    private function read(Import $import): array
    {
        $kind = $import->settings->format;
        $office = Office::current();
        if ($kind === FileKind::Ubl) {
            [$documents, $wrong] = [[1 => UblInvoice::read((string) Storage::get($import->path))], []];
        } else {
            [$documents, $wrong] = DocumentTable::read(
                TableFile::rows($kind, Storage::path($import->path), $import->settings->sheet),
                TypedDay::reader($this->clock->today(), $import->settings->isMonthFirst),
                $office->currency(),
                $import->settings->sign,
                $import->settings->targets === [] ? null : $import->settings->targets,
                $import->settings->hasHeadings,
            );
        }
        $problems = [];
        foreach ($wrong as $line => $messages) {
            foreach ($messages as [$field, $message]) {
                $problems[] = ['line' => $line, 'field' => $field, 'message' => $message];
            }
        }
        $match = MatchParties::ofBook();
        $rates = Rates::ofOffice();
        $kept = $this->stage->kept(array_values($documents));
        $found = [];
        foreach ($documents as $line => $document) {
            [$partyId, $problem] = $match->find($document);
            $key = StageDocuments::key($document, (int) $partyId);
            $reason = match (true) {
                $partyId === null => ['party', $problem],
                isset($kept[$key]) => [
                    'number',
                    "{$document->kind->title()} {$document->number} is in the book already, or twice in the file.",
                ],
                $document->currency !== $office->currency() && $rates->orNull($document->totals()->gross, $document->date) === null => [
                    'currency',
                    "There is no rate for {$document->currency} on {$document->date->toText()}. Add one under Office, Currencies.",
                ],
                default => null,
            };
            if ($reason !== null) {
                $problems[] = ['line' => $line, 'field' => $reason[0], 'message' => $reason[1]];

                continue;
            }
            $kept[$key] = true;
            $found[] = [$document, (int) $partyId];
        }
        usort($problems, fn (array $one, array $other) => $one['line'] <=> $other['line']);

        return [$found, $problems];
    }
}
