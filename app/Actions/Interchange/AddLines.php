<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineDone;
use Almanac\Interchange\PartyRow;
use App\Facts\Interchange\LinesAlike;
use App\Facts\Interchange\MatchRows;
use App\Facts\Interchange\RowMatch;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\Party;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/** Takes the lines of one step that are new. */
final readonly class AddLines
{
    public function __construct(private AddRows $add)
    {
    }

    /**
     * Runs inside a transaction.
     *
     * @param Collection<int, ImportLine> $lines
     * @param array<int, PartyRow> $rows
     * @param array<int, true>|null $among whom others have entered or changed since the lines were checked; null for anybody
     *
     * @return array<int, array<string, mixed>> what came of each, by line
     */
    public function handle(Import $import, Collection $lines, array $rows, ?array $among, User $by): array
    {
        $known = $this->known($lines, $rows, $among);
        $done = $new = [];
        foreach ($lines->pluck('line')->all() as $line) {
            if (isset($known[$line])) {
                $done[$line] = LineResults::refused(InterchangeRefused::enteredMeanwhile(Party::query()->findOrFail($known[$line])->display_name));
            } elseif (isset($rows[$line])) {
                $new[$line] = $rows[$line];
            } else {
                $done[$line] = LineResults::refused(InterchangeRefused::otherThanChecked());
            }
        }
        $add = fn (array $some) => $this->add->handle($some, $import->name, $import->highest_number, $import->settings->takesNewWords, $by);

        return $done + array_map(fn (AddedRow|\Throwable $one) => $one instanceof AddedRow ? [
            'done' => LineDone::Added->value,
            'record_id' => $one->party->id,
            'way_back' => json_encode(['made' => array_map(fn (Party $company) => $company->id, $one->made)]),
        ] : LineResults::refused($one), LineResults::together($new, $add));
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
        $asked = $among === [] ? $lines->take(0) : $lines->whereNull('decision')->whereIn('line', array_keys($rows));
        $rows = array_intersect_key($rows, $asked->keyBy('line')->all());
        $matches = $rows === [] ? [] : MatchRows::of($rows, MatchRows::alike($rows, withCompanies: false), $among);

        return array_filter(array_map(fn (RowMatch $match) => $match->recordId, $matches)) + LinesAlike::of($asked, $rows)->records;
    }
}
