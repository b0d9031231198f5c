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
        $names = self::byKey(array_column($lines, 1));
        $companies = MatchRows::companies(array_values($names));
        $new = $this->made($import, array_diff_key($names, $companies), $by);
        $made = array_values($new);
        $came = $this->change->handle($lines, $companies + $new, $import->settings->takesNewWords, $by);
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
     * Names of companies at which somebody of them works.
     *
     * @param list<PartyRow> $rows
     *
     * @return array<string, string> each once, by its key
     */
    private static function byKey(array $rows): array
    {
        $names = [];
        foreach (MatchRows::employers($rows) as $name) {
            $names[MatchRows::sortKey($name)] ??= $name;
        }

        return $names;
    }

    /**
     * Companies that lines name, and that were not in the book.
     *
     * @param array<string, string> $names by their keys
     *
     * @return array<string, int>
     */
    private function made(Import $import, array $names, User $by): array
    {
        $came = $this->add->handle(
            array_map(fn (string $name) => new PartyRow(PartyKind::Company, ['name' => $name]), array_values($names)),
            $import->name, $import->highest_number, false, $by,
        );

        return array_combine(
            array_keys($names),
            array_map(fn (AddedRow|\Throwable $one) => $one instanceof AddedRow ? $one->party->id : throw $one, $came),
        );
    }
}
