<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Bulk\BulkRefused;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\OnExisting;
use Almanac\Interchange\PartyReader;
use Almanac\Interchange\PartyRow;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\PartyKind;
use Almanac\Refusal;
use App\Actions\Bulk\InTheirName;
use App\Actions\Bulk\RunBulkChange;
use App\Actions\Finding\IndexParties;
use App\Database\LongWork;
use App\Database\Pace;
use App\Facts\Interchange\MatchRows;
use App\Facts\Interchange\Meanwhile;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Interchange\RowMatch;
use App\Models\Change;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\Party;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Takes the lines of a file into the book: a few at a time, each few a transaction of its own, so that others get in between.
 * A line that was taken says what came of it in the same transaction, and is not taken again.
 */
final readonly class TakeLines
{
    private const FEW = 10;

    private const MOST = 100;

    /** Milliseconds. */
    private const STEP = 140.0;

    public function __construct(
        private AddRows $add,
        private ChangeRows $change,
        private OfficeReading $office,
        private IndexParties $index,
    ) {
    }

    public function handle(Import $import): void
    {
        $meanwhile = new Meanwhile($import->checked_to);
        // Each kind by itself: what is read for a step is read for as many as possible.
        foreach ([LineOutcome::New, LineOutcome::Changes] as $outcome) {
            $after = [0, -1];
            $pace = new Pace(self::FEW, self::MOST, self::STEP);
            $pace->steps(function () use ($import, $outcome, $pace, $meanwhile, &$after): bool {
                return $this->step($import->refresh(), $outcome, $pace, $meanwhile, $after);
            });
        }
        LongWork::step(fn () => $import->refresh()->state === ImportState::Taking ? $import->update([
            'state' => ImportState::Taken, 'last_change_id' => (int) Change::query()->max('id'),
        ]) : null);
    }

    /**
     * @param array{int, int} $after turn and line up to which all are taken: they are not looked through again
     *
     * @return bool whether there is more to do
     */
    private function step(Import $import, LineOutcome $outcome, Pace $pace, Meanwhile $meanwhile, array &$after): bool
    {
        $by = InTheirName::of($import->user_id);
        $lines = $import->state !== ImportState::Taking ? new Collection : $import->importLines()
            ->where('outcome', $outcome)->whereNull('done')->whereRaw('(turn, line) > (?, ?)', $after)
            ->reorder('turn')->orderBy('line')->limit($pace->many())->get();
        if ($lines->isEmpty()) {
            return false;
        }
        $reader = PartyReader::of($import->settings->read(), $this->office->of($import->settings));
        $rows = array_filter($lines->mapWithKeys(
            fn (ImportLine $line): array => [$line->line => $reader->read($line->cells())->row],
        )->all());
        $done = [];
        $this->index->together(function () use ($import, $outcome, $lines, $rows, $by, $meanwhile, &$done): void {
            $done = $outcome === LineOutcome::New
                ? $this->added($import, $lines, $rows, $this->known($lines, $rows, $meanwhile->ids()), $by)
                : $this->changed($import, $lines, $rows, $by);
        });
        DB::table('import_lines')->upsert(
            array_values($lines->whereIn('line', array_keys($done))->map(fn (ImportLine $line) => $done[$line->line] + $line->getAttributes())->all()),
            ['import_id', 'line'], ['done', 'record_id', 'message', 'way_back'],
        );
        $last = $lines->takeUntil(fn (ImportLine $line) => ! isset($done[$line->line]))->last();
        $after = $last === null ? $after : [$last->turn, $last->line];
        $import->update(['taken' => $import->taken + count($done)]);
        $meanwhile->seen();

        return true;
    }

    /**
     * Who has come into the book since the lines were checked: what was new need not be any more.
     *
     * @param Collection<int, ImportLine> $lines
     * @param array<int, PartyRow> $rows
     * @param array<int, true>|null $among whom others have entered or changed since; null for anybody
     *
     * @return array<int, int> record by line
     */
    private function known(Collection $lines, array $rows, ?array $among): array
    {
        $asked = $among === [] ? [] : $lines->whereNull('decision')->pluck('line')->all();
        $rows = array_intersect_key($rows, array_flip($asked));
        $matches = $rows === [] ? [] : MatchRows::of($rows, MatchRows::alike($rows, withCompanies: false), $among);

        return array_filter(array_map(fn (RowMatch $match) => $match->recordId, $matches));
    }

    /**
     * @param Collection<int, ImportLine> $lines
     * @param array<int, PartyRow> $rows
     * @param array<int, int> $known by line
     *
     * @return array<int, array<string, mixed>> what came of each, by line
     */
    private function added(Import $import, Collection $lines, array $rows, array $known, User $by): array
    {
        $done = $new = [];
        foreach ($lines->pluck('line')->all() as $line) {
            if (isset($known[$line])) {
                $done[$line] = self::refused(InterchangeRefused::enteredMeanwhile(Party::query()->findOrFail($known[$line])->display_name));
            } elseif (isset($rows[$line])) {
                $new[$line] = $rows[$line];
            } else {
                $done[$line] = self::refused(InterchangeRefused::otherThanChecked());
            }
        }
        $add = fn (array $some) => $this->add->handle($some, $import->name, $import->settings->takesNewWords, $by);

        return $done + array_map(fn (AddedRow|\Throwable $one) => $one instanceof AddedRow ? [
            'done' => LineDone::Added->value,
            'record_id' => $one->party->id,
            'way_back' => json_encode(['made' => array_map(fn (Party $company) => $company->id, $one->made)]),
        ] : self::refused($one), self::together($new, $add));
    }

    /**
     * @param Collection<int, ImportLine> $lines
     * @param array<int, PartyRow> $rows
     *
     * @return array<int, array<string, mixed>> what came of each, by line; those are missing that go on from one before them
     */
    private function changed(Import $import, Collection $lines, array $rows, User $by): array
    {
        $parties = Party::query()->findMany($lines->pluck('record_id'))->keyBy('id');
        $done = $changed = [];
        foreach ($lines as $line) {
            $party = $parties->get($line->record_id);
            if ($party === null || $party->isArchived() || ! isset($rows[$line->line])) {
                $done[$line->line] = self::refused(match (true) {
                    $party === null => BulkRefused::isGone(),
                    $party->isArchived() => new ArchivedRecord,
                    default => InterchangeRefused::otherThanChecked(),
                });
            } else {
                $changed[$line->line] = [$party, $rows[$line->line], $line->existing ?? $import->settings->existing];
            }
        }
        $last = (int) Change::query()->max('id');
        $isOther = fn (Party $party): bool => Change::query()->where('subject_id', $party->id)->where('id', '>', $last)->exists();
        foreach (self::together($changed, fn (array $some) => $this->changes($import, $some, $by)) as $line => $one) {
            $done[$line] = $one instanceof \Throwable ? self::refused($one) : [
                'done' => ($one['states'] !== [] || $isOther($changed[$line][0]) ? LineDone::Changed : LineDone::Same)->value,
                'way_back' => json_encode($one + ['after' => $last]),
            ];
        }

        return $done;
    }

    /**
     * @param array<int, array{Party, PartyRow, OnExisting}> $lines
     *
     * @return array<int, array{states: list<int>, made: list<int>}|Refusal|ValidationException>
     */
    private function changes(Import $import, array $lines, User $by): array
    {
        $made = $this->made($import, array_column($lines, 1), $by);
        $came = $this->change->handle($lines, $import->settings->takesNewWords, $by);
        $first = array_key_first(array_filter($came, fn (mixed $one) => ! $one instanceof \Throwable));
        if ($first === null && $made !== []) {
            // Nobody works there.
            throw array_values(array_filter($came, fn (mixed $one) => $one instanceof \Throwable))[0];
        }
        foreach ($came as $line => $one) {
            // The first is taken back last: then nobody of the file works there any more.
            $came[$line] = $one instanceof \Throwable ? $one : [
                'states' => $one === null ? [] : [$one], 'made' => $line === $first ? $made : [],
            ];
        }

        return $came;
    }

    /**
     * Companies that lines name, and that were not in the book.
     *
     * @param list<PartyRow> $rows
     *
     * @return list<int>
     */
    private function made(Import $import, array $rows, User $by): array
    {
        $names = [];
        foreach (array_column(array_merge([], ...array_map(fn (PartyRow $row) => $row->positions, $rows)), 'company') as $name) {
            $names[MatchRows::sortKey($name)] ??= $name;
        }
        $new = array_diff_key($names, MatchRows::companies(array_values($names)));

        return array_values(array_map(
            fn (AddedRow|\Throwable $one) => $one instanceof AddedRow ? $one->party->id : throw $one,
            $this->add->handle(
                array_map(fn (string $name) => new PartyRow(PartyKind::Company, ['name' => $name]), array_values($new)),
                $import->name, false, $by,
            ),
        ));
    }

    /**
     * Several lines by one act. Where it refuses what one of them says besides, nothing has happened, and each goes by itself.
     *
     * @template R
     * @template T
     *
     * @param array<int, R> $rows by line
     * @param \Closure(array<int, R>): array<int, T> $act
     *
     * @return array<int, T|Refusal|ValidationException>
     */
    private static function together(array $rows, \Closure $act): array
    {
        try {
            return $rows === [] ? [] : DB::transaction(fn () => $act($rows));
        } catch (Refusal|ValidationException $why) {
            return count($rows) === 1
                ? array_map(fn () => $why, $rows)
                : array_replace(...array_map(fn (int $line) => self::together([$line => $rows[$line]], $act), array_keys($rows)));
        }
    }

    /** @return array<string, mixed> */
    private static function refused(\Throwable $why): array
    {
        return ['done' => LineDone::Refused->value, 'message' => RunBulkChange::words($why)];
    }
}
