<?php

declare(strict_types=1);

namespace App\Queries\Lists;

use Almanac\Lists\ListOf;
use Almanac\Lists\SentenceReader;
use Almanac\Lists\ShippedList;
use App\Facts\Lists\ListWords;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Registers;
use App\Facts\Lists\Wanted;
use App\Http\Data\Lists\SavedListData;
use App\Models\Office;
use App\Models\SavedList;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Reads the lists that somebody has at the left: those that everybody has, and their own; all of them counted in one go. */
final readonly class ReadSavedLists
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<SavedListData> */
    public function handle(ListOf $of, User $reader): array
    {
        $saved = SavedList::readableBy($reader)->where('list', $of)->with('user')->orderByRaw('fold(name)')->orderBy('id')->get()->values();

        return $of === ListOf::Records ? $this->ofRecords($saved, $reader) : $this->ofOthers($of, $saved, $reader);
    }

    /**
     * @param Collection<int, SavedList> $saved
     *
     * @return list<SavedListData>
     */
    private function ofRecords(Collection $saved, User $reader): array
    {
        $lists = array_map(
            fn (string $sentence) => new PartyList($this->clock, new Wanted($sentence), $reader),
            [
                ...array_map(fn (ShippedList $one) => $one->sentence(), ShippedList::cases()),
                ...$saved->map(fn (SavedList $one) => $one->sentence),
            ],
        );
        $counts = $this->counts($lists);
        $shipped = count(ShippedList::cases());

        return [
            ...array_map(
                fn (ShippedList $one, int $at) => SavedListData::shipped($one, $counts[$at], $lists[$at]->reading->isWhole()),
                ShippedList::cases(),
                range(0, $shipped - 1),
            ),
            ...$saved->map(fn (SavedList $one, int $at) => SavedListData::of(
                $one,
                $reader,
                $counts[$shipped + $at],
                $lists[$shipped + $at]->reading->isWhole(),
            )),
        ];
    }

    /**
     * @param Collection<int, SavedList> $saved
     *
     * @return list<SavedListData>
     */
    private function ofOthers(ListOf $of, Collection $saved, User $reader): array
    {
        $words = ListWords::of(Registers::of($of), $reader, $this->clock->reader(Office::current()));

        return array_values($saved->map(
            fn (SavedList $one) => SavedListData::of($one, $reader, null, SentenceReader::read($words, $one->sentence)->isWhole()),
        )->all());
    }

    /**
     * Each by the index that has what it asks.
     *
     * @param list<PartyList> $lists
     *
     * @return list<int>
     */
    private function counts(array $lists): array
    {
        [$selects, $bindings] = [[], []];
        foreach ($lists as $at => $list) {
            $asked = $list->counted();
            array_push($bindings, ...$asked->bindings);
            $selects[] = "(select count(*) from record_values as v where $asked->sql) as c$at";
        }
        $row = $selects === [] ? [] : (array) DB::select('select '.implode(', ', $selects), $bindings)[0];

        return array_map(fn (int $at) => (int) ($row["c$at"] ?? 0), array_keys($lists));
    }
}
