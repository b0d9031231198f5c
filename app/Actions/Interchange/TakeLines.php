<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Bulk\BulkRefused;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\PartyReader;
use Almanac\Interchange\PartyRow;
use App\Actions\Bulk\InTheirName;
use App\Actions\Bulk\RunBulkChange;
use App\Actions\Finding\IndexParties;
use App\Actions\Records\ChangeSections;
use App\Actions\Records\PositionsSection;
use App\Actions\Records\SectionOf;
use App\Database\Pace;
use App\Facts\Interchange\MatchRows;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Interchange\RowMatch;
use App\Models\Change;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\Party;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Takes the lines of a file into the book: a few at a time, each few a transaction of its own, so that others get in between.
 * A line that was taken says what came of it in the same transaction, and is not taken again.
 */
final readonly class TakeLines
{
    private const FEW = 10;

    private const MOST = 25;

    public function __construct(
        private WriteRow $write,
        private OfficeReading $office,
        private IndexParties $index,
        private ChangeSections $change,
        private PositionsSection $positions,
    ) {
    }

    public function handle(Import $import): void
    {
        $last = -1;
        $pace = new Pace(self::FEW, self::MOST);
        $pace->steps(function () use ($import, $pace, &$last): bool {
            return $this->step($import->refresh(), $pace, $last);
        });
    }

    /**
     * @param int $last up to it all lines are taken: they are not looked through again
     *
     * @return bool whether there is more to do
     */
    private function step(Import $import, Pace $pace, int &$last): bool
    {
        if ($import->state !== ImportState::Taking) {
            return false;
        }
        $by = InTheirName::of($import->user_id);
        $lines = $import->importLines()->where('line', '>', $last)
            ->whereIn('outcome', [LineOutcome::New, LineOutcome::Changes])->whereNull('done')->limit($pace->many())->get();
        if ($lines->isEmpty()) {
            $import->update(['state' => ImportState::Taken, 'last_change_id' => (int) Change::query()->max('id')]);

            return false;
        }
        $reader = PartyReader::of($import->settings->read(), $this->office->of($import->settings));
        $done = [];
        $this->index->together(function () use ($import, $lines, $reader, $by, $pace, &$done): void {
            $rows = array_filter($lines->mapWithKeys(
                fn (ImportLine $line): array => [$line->line => $reader->read($line->cells())->row],
            )->all());
            $new = $lines->filter(fn (ImportLine $line) => $line->outcome === LineOutcome::New);
            $this->aroundCompanies(array_intersect_key($rows, $new->keyBy('line')->all()), $by, function () use ($import, $new, $rows, $by, $pace, &$done): void {
                $known = $this->known($new, $rows);
                foreach ($new as $line) {
                    if ($done === [] || ! $pace->isSpent()) {
                        $done[$line->line] = $this->taken($import, $line, $rows[$line->line] ?? null, $known[$line->line] ?? null, $by);
                    }
                }
            });
            // What the others change at companies is told with each.
            foreach ($lines->filter(fn (ImportLine $line) => $line->outcome !== LineOutcome::New) as $line) {
                if ($done === [] || ! $pace->isSpent()) {
                    $done[$line->line] = $this->taken($import, $line, $rows[$line->line] ?? null, null, $by);
                }
            }
        });
        DB::table('import_lines')->upsert(array_values($done), ['import_id', 'line'], ['done', 'record_id', 'message', 'way_back']);
        $last = ($lines->first(fn (ImportLine $line) => ! isset($done[$line->line]))->line ?? $lines->last()->line + 1) - 1;
        $import->update(['taken' => $import->taken + count($done)]);

        return true;
    }

    /**
     * Companies of the book to whom people come are changed with it: it is told there, and a past day is as it was.
     *
     * @param array<int, PartyRow> $rows
     * @param \Closure(): void $work
     */
    private function aroundCompanies(array $rows, User $by, \Closure $work): void
    {
        $ids = MatchRows::companies(array_merge(
            [],
            ...array_map(fn (PartyRow $row) => array_column($row->positions, 'company'), array_values($rows)),
        ));
        $touched = Party::query()
            ->findMany(array_unique($ids))->map(fn (Party $company) => SectionOf::party($this->positions, $company))
            ->all();
        $touched === [] ? $work() : $this->change->ofEach(array_values($touched), $by, $work);
    }

    /**
     * Who has come into the book since the lines were checked: what was new need not be any more.
     *
     * @param Collection<int, ImportLine> $lines
     * @param array<int, PartyRow> $rows
     *
     * @return array<int, int|null> record by line
     */
    private function known(Collection $lines, array $rows): array
    {
        $asked = $lines->filter(fn (ImportLine $line) => $line->outcome === LineOutcome::New && $line->decision === null)
            ->pluck('line')->all();
        $rows = array_intersect_key($rows, array_flip($asked));

        return array_map(fn (RowMatch $match) => $match->recordId, MatchRows::of($rows, MatchRows::alike($rows, withCompanies: false)));
    }

    /** @return array<string, mixed> the line with what came of it */
    private function taken(Import $import, ImportLine $line, ?PartyRow $row, ?int $known, User $by): array
    {
        try {
            if ($row === null) {
                throw InterchangeRefused::otherThanChecked();
            }
            if ($known !== null) {
                throw InterchangeRefused::enteredMeanwhile(Party::query()->findOrFail($known)->display_name);
            }

            $came = DB::transaction(fn (): array => $line->outcome === LineOutcome::New
                ? $this->added($import, $row, $by)
                : $this->changed($import, $line, $row, $by));
        } catch (\Throwable $why) {
            $came = ['done' => LineDone::Refused->value, 'message' => RunBulkChange::words($why)];
        }

        return $came + $line->getAttributes();
    }

    /** @return array<string, mixed> */
    private function added(Import $import, PartyRow $row, User $by): array
    {
        [$companies, $made] = $this->companies($import, $row, $by);
        $party = $this->write->add($row, $companies, $import->name, $import->settings->takesNewWords, $by);

        return ['done' => LineDone::Added->value, 'record_id' => $party->id, 'way_back' => json_encode(['made' => $made])];
    }

    /** @return array<string, mixed> */
    private function changed(Import $import, ImportLine $line, PartyRow $row, User $by): array
    {
        $party = Party::query()->find($line->record_id) ?? throw BulkRefused::isGone();
        $party->assertInUse();
        [, $made] = $this->companies($import, $row, $by);
        $last = (int) Change::query()->max('id');
        $states = $this->write->change($party, $row, $line->existing ?? $import->settings->existing, $import->settings->takesNewWords, $by);
        $isOther = $states !== [] || Change::query()->where('subject_id', $party->id)->where('id', '>', $last)->exists();

        return [
            'done' => ($isOther ? LineDone::Changed : LineDone::Same)->value,
            'way_back' => json_encode(['states' => $states, 'made' => $made, 'after' => $last]),
        ];
    }

    /** @return array{array<string, int>, list<int>} the companies that the line names, by their keys, and those that were not in the book */
    private function companies(Import $import, PartyRow $row, User $by): array
    {
        $known = MatchRows::companies(array_column($row->positions, 'company'));
        $made = [];
        foreach ($row->positions as $position) {
            $key = MatchRows::sortKey($position['company']);
            if (! isset($known[$key])) {
                $known[$key] = $made[] = $this->write->company($position['company'], $import->name, $by)->id;
            }
        }

        return [$known, $made];
    }
}
