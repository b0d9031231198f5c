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
use Almanac\Records\PartyKind;
use Almanac\Refusal;
use App\Actions\Bulk\InTheirName;
use App\Actions\Bulk\RunBulkChange;
use App\Actions\Finding\IndexParties;
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

    public function __construct(
        private AddRows $add,
        private ChangeRow $change,
        private OfficeReading $office,
        private IndexParties $index,
    ) {
    }

    public function handle(Import $import): void
    {
        $after = [0, -1];
        $pace = new Pace(self::FEW, self::MOST);
        $meanwhile = new Meanwhile($import->checked_to);
        $pace->steps(function () use ($import, $pace, $meanwhile, &$after): bool {
            return $this->step($import->refresh(), $pace, $meanwhile, $after);
        });
    }

    /**
     * @param array{int, int} $after turn and line up to which all are taken: they are not looked through again
     *
     * @return bool whether there is more to do
     */
    private function step(Import $import, Pace $pace, Meanwhile $meanwhile, array &$after): bool
    {
        if ($import->state !== ImportState::Taking) {
            return false;
        }
        $by = InTheirName::of($import->user_id);
        $lines = $import->importLines()->whereRaw('(turn, line) > (?, ?)', $after)->reorder('turn')->orderBy('line')
            ->whereIn('outcome', [LineOutcome::New, LineOutcome::Changes])->whereNull('done')->limit($pace->many())->get();
        if ($lines->isEmpty()) {
            $import->update(['state' => ImportState::Taken, 'last_change_id' => (int) Change::query()->max('id')]);

            return false;
        }
        $reader = PartyReader::of($import->settings->read(), $this->office->of($import->settings));
        $rows = array_filter($lines->mapWithKeys(
            fn (ImportLine $line): array => [$line->line => $reader->read($line->cells())->row],
        )->all());
        $done = [];
        $this->index->together(function () use ($import, $lines, $rows, $by, $pace, $meanwhile, &$done): void {
            $new = $lines->where('outcome', LineOutcome::New);
            $done = $this->added($import, $new, $rows, $this->known($new, $rows, $meanwhile->ids()), $by);
            foreach ($lines->where('outcome', LineOutcome::Changes) as $line) {
                if ($done === [] || ! $pace->isSpent()) {
                    $done[$line->line] = $this->changed($import, $line, $rows[$line->line] ?? null, $by);
                }
            }
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

        return $done + $this->together($import, $new, $by);
    }

    /**
     * @param array<int, PartyRow> $rows by line
     *
     * @return array<int, array<string, mixed>>
     */
    private function together(Import $import, array $rows, User $by): array
    {
        try {
            $came = $rows === [] ? [] : DB::transaction(
                fn () => $this->add->handle($rows, $import->name, $import->settings->takesNewWords, $by),
            );
        } catch (Refusal|ValidationException $why) {
            // Nobody of them was added. One whose bank details or balance cannot be taken is left out, and none of the others.
            return count($rows) === 1
                ? array_map(fn () => self::refused($why), $rows)
                : array_replace(...array_map(
                    fn (int $line, PartyRow $row) => $this->together($import, [$line => $row], $by), array_keys($rows), $rows,
                ));
        }

        return array_map(fn (AddedRow|\Throwable $one) => $one instanceof AddedRow ? [
            'done' => LineDone::Added->value,
            'record_id' => $one->party->id,
            'way_back' => json_encode(['made' => array_map(fn (Party $company) => $company->id, $one->made)]),
        ] : self::refused($one), $came);
    }

    /** @return array<string, mixed> what came of it */
    private function changed(Import $import, ImportLine $line, ?PartyRow $row, User $by): array
    {
        try {
            return DB::transaction(fn () => $this->changes(
                $import, $line, $row ?? throw InterchangeRefused::otherThanChecked(), $by,
            ));
        } catch (\Throwable $why) {
            return self::refused($why);
        }
    }

    /** @return array<string, mixed> */
    private function changes(Import $import, ImportLine $line, PartyRow $row, User $by): array
    {
        $party = Party::query()->find($line->record_id) ?? throw BulkRefused::isGone();
        $party->assertInUse();
        $made = $this->made($import, $row, $by);
        $last = (int) Change::query()->max('id');
        $states = $this->change->handle($party, $row, $line->existing ?? $import->settings->existing, $import->settings->takesNewWords, $by);
        $isOther = $states !== [] || Change::query()->where('subject_id', $party->id)->where('id', '>', $last)->exists();

        return [
            'done' => ($isOther ? LineDone::Changed : LineDone::Same)->value,
            'way_back' => json_encode(['states' => $states, 'made' => $made, 'after' => $last]),
        ];
    }

    /** @return list<int> companies that the line names, and that were not in the book */
    private function made(Import $import, PartyRow $row, User $by): array
    {
        $names = [];
        foreach ($row->positions as $position) {
            $names[MatchRows::sortKey($position['company'])] ??= $position['company'];
        }
        $new = array_map(
            fn (string $name) => new PartyRow(PartyKind::Company, ['name' => $name]),
            array_values(array_diff_key($names, MatchRows::companies(array_values($names)))),
        );

        return array_map(
            fn (AddedRow|\Throwable $one) => $one instanceof AddedRow ? $one->party->id : throw $one,
            array_values($this->add->handle($new, $import->name, false, $by)),
        );
    }

    /** @return array<string, mixed> */
    private static function refused(\Throwable $why): array
    {
        return ['done' => LineDone::Refused->value, 'message' => RunBulkChange::words($why)];
    }
}
