<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\DocumentReader;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use Almanac\Ledger\DocumentState;
use App\Actions\Ledger\KeepStandings;
use App\Actions\Ledger\StageDocuments;
use App\Database\LongWork;
use App\Database\Pace;
use App\Facts\Interchange\OfficeReading;
use App\Models\Change;
use App\Models\Document;
use App\Models\Import;
use App\Models\ImportLine;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;

/**
 * Takes the documents of a file into the ledger: a few at a time, each few a transaction of its own, so that others get in
 * between. They stand there without counting, and all of them begin to count in one moment: nobody sees half a ledger.
 * A line that was taken says what came of it in the same transaction, and is not taken again.
 */
final readonly class TakeDocuments
{
    private const FEW = 100;

    private const PARTIES = 50;

    private const MOST = 400;

    public function __construct(private OfficeReading $office, private StageDocuments $stage, private KeepStandings $standings)
    {
    }

    public function handle(Import $import): void
    {
        $reader = $this->office->documents($import->settings);
        $last = -1;
        $pace = new Pace(self::FEW, self::MOST);
        $pace->steps(function () use ($import, $reader, $pace, &$last): bool {
            return $this->step($import->refresh(), $reader, $pace->many(), $last);
        });
        if ($import->refresh()->state === ImportState::Counting) {
            $this->count($import);
        }
    }

    /** From one moment to the next all that was taken counts. Runs inside a transaction. */
    public function letCount(Import $import): void
    {
        Document::staged($import->id)->update([
            'state' => DB::raw("iif(total_minor = 0, '".DocumentState::Settled->value."', '".DocumentState::Issued->value."')"),
            'settled_on' => DB::raw('iif(total_minor = 0, dated_on, null)'),
            'next_due_on' => DB::raw('iif(total_minor = 0, null, next_due_on)'),
        ]);
        // What they come to is added to the sums of the ledger by this.
        $import->update(['state' => ImportState::Counting]);
    }

    /** Works out anew how those stand whom it concerns. */
    public function count(Import $import): void
    {
        $ids = Document::query()->where('import_id', $import->id)->distinct()->orderBy('party_id')->pluck('party_id')->all();
        $pace = new Pace(self::PARTIES, self::MOST);
        for ($done = 0; $done < count($ids); $done += count($some)) {
            $some = array_slice($ids, $done, $pace->many());
            LongWork::step(fn () => $pace->step(function () use ($some, $import): void {
                $this->standings->refresh(...$some);
                $import->touch();
            }));
        }
        LongWork::step(fn () => $import->refresh()->state === ImportState::Counting
            ? $import->update([
                'state' => $this->left($import)->exists() ? ImportState::Stopped : ImportState::Taken,
                'last_change_id' => (int) Change::query()->max('id'),
            ])
            : null);
    }

    /**
     * @param int $last the line that was taken last: those before it are not looked through again
     *
     * @return bool whether there is more to do
     */
    private function step(Import $import, DocumentReader $reader, int $many, int &$last): bool
    {
        if ($import->state !== ImportState::Taking) {
            return false;
        }
        $heads = $this->left($import)->where('line', '>', $last)->whereColumn('line', 'head')->limit($many)->pluck('head')->all();
        if ($heads === []) {
            $this->letCount($import);

            return false;
        }
        $last = (int) end($heads);
        $lines = DB::table('import_lines')->where('import_id', $import->id)->whereIntegerInRaw('head', $heads)
            ->orderBy('line')->get(['line', 'head', 'cells', 'record_id']);
        $chunk = $refused = [];
        foreach ($lines->groupBy('head') as $head => $some) {
            $cells = $some->mapWithKeys(fn (\stdClass $line): array => [(int) $line->line => ImportLine::read((string) $line->cells)])->all();
            $document = $cells === [] ? null : $reader->read($cells)->document;
            if ($document === null) {
                $refused[$head] = InterchangeRefused::otherThanChecked()->getMessage();
            } else {
                $chunk[$head] = [$document, (int) $some->firstOrFail()->record_id];
            }
        }
        $made = $this->stage->handle($chunk, $import);
        $this->note($import, array_filter($made, is_int(...)), $refused + array_filter($made, is_string(...)));
        $import->update(['taken' => $import->taken + count($heads)]);

        return true;
    }

    /**
     * What came of them, for all of their lines.
     *
     * @param array<int, int> $added documents by the lines on which they begin
     * @param array<int, string> $refused why not
     */
    private function note(Import $import, array $added, array $refused): void
    {
        $heads = implode(', ', array_keys($added));
        DB::update(
            'UPDATE import_lines SET done = ?, way_back = (SELECT json_object(\'document\', value) FROM json_each(?)'
            ." WHERE key = CAST(head AS TEXT)) WHERE import_id = ? AND head IN ($heads)",
            [LineDone::Added->value, json_encode((object) $added, JSON_THROW_ON_ERROR), $import->id],
        );
        foreach ($refused as $head => $why) {
            DB::table('import_lines')->where('import_id', $import->id)->where('head', $head)
                ->update(['done' => LineDone::Refused->value, 'message' => $why]);
        }
    }

    /** @return HasMany<ImportLine, Import> */
    private function left(Import $import): HasMany
    {
        return $import->importLines()->where('outcome', LineOutcome::New)->whereNull('done');
    }
}
