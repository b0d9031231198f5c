<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineDone;
use Almanac\Interchange\OnExisting;
use Almanac\Interchange\PartyRow;
use Almanac\Records\PartyKind;
use App\Facts\Interchange\MatchRows;
use App\Models\Change;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/** Takes the lines of one step that change records of the book. */
final readonly class ChangeLines
{
    public function __construct(private AddRows $add, private ChangeRows $change)
    {
    }

    /**
     * Runs inside a transaction.
     *
     * @param Collection<int, ImportLine> $lines
     * @param array<int, PartyRow> $rows
     *
     * @return array<int, array<string, mixed>> what came of each, by line; those are missing that go on from one before them
     */
    public function handle(Import $import, Collection $lines, array $rows, User $by): array
    {
        $last = (int) Change::query()->max('id');
        $done = $changed = [];
        foreach ($lines as $line) {
            if (isset($rows[$line->line])) {
                $changed[$line->line] = [(int) $line->record_id, $rows[$line->line], $line->existing ?? $import->settings->existing];
            } else {
                $done[$line->line] = LineResults::refused(InterchangeRefused::otherThanChecked());
            }
        }
        $isOther = fn (int $id): bool => Change::query()->where('subject_id', $id)->where('id', '>', $last)->exists();
        foreach (LineResults::together($changed, fn (array $some) => $this->changes($import, $some, $by)) as $line => $one) {
            $done[$line] = $one instanceof \Throwable ? LineResults::refused($one) : [
                'done' => ($one['states'] !== [] || $isOther($changed[$line][0]) ? LineDone::Changed : LineDone::Same)->value,
                'way_back' => json_encode($one + ['after' => $last]),
            ];
        }

        return $done;
    }

    /**
     * @param array<int, array{int, PartyRow, OnExisting}> $lines
     *
     * @return array<int, array{states: list<int>, made: list<int>}|\Throwable>
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
        foreach (MatchRows::employers($rows) as $name) {
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
}
