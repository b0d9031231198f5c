<?php

declare(strict_types=1);

namespace App\Queries\Records;

use Almanac\Lists\ListOf;
use App\Database\Ids;
use App\Facts\Finding\RecordLine;
use App\Facts\Lists\ListedField;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Http\Data\Lists\ListFilterData;
use App\Http\Data\Lists\SortData;
use App\Http\Data\Lists\ThumbData;
use App\Http\Data\Records\ColumnData;
use App\Http\Data\Records\PartyPageData;
use App\Http\Data\Records\PartyRowData;
use App\Models\Office;
use App\Models\User;
use App\Queries\Finding\ReadLines;
use App\Queries\Lists\ReadCells;
use App\Queries\Lists\ReadLook;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Reads the directory: those that a sentence asks for, in any order, with any fields as its columns. */
final readonly class ListParties
{
    private const PAGE = 100;

    public function __construct(private Clock $clock, private ReadLines $lines, private ReadCells $cells)
    {
    }

    public function handle(Wanted $wanted, User $reader): PartyPageData
    {
        $list = new PartyList($this->clock, $wanted, $reader);
        [$total, $ids] = $list->stretch(($wanted->page - 1) * self::PAGE, self::PAGE);
        $look = ReadLook::of(ListOf::Records, $reader);
        $columns = $list->columns(array_keys($look));
        $lines = $this->lines->handle($ids);
        $marks = DB::table('record_values')->whereIn('party_id', $ids)->get(['party_id', 'is_over_limit', 'reminder_on']);
        $today = $this->clock->today()->toIso();

        return new PartyPageData(
            $total,
            DB::table('record_values')->whereRaw('is_in_use = 0')->count(),
            $wanted->page,
            max(1, (int) ceil($total / self::PAGE)),
            array_values(array_map(fn (RecordLine $line) => PartyRowData::ofRow($line->row), $lines)),
            $this->cells->handle($columns, $lines),
            Ids::of($marks->where('is_over_limit', 1)->pluck('party_id')),
            Ids::of($marks->filter(fn (\stdClass $mark) => $mark->reminder_on !== null && $mark->reminder_on < $today)->pluck('party_id')),
            Office::current()->currency(),
            array_map(fn (ListedField $one) => ColumnData::of($one, $look[$one->field->key] ?? null), $columns),
            array_map(fn (array $one) => SortData::of($one[0]->field, $one[1]), $list->sort),
            ListFilterData::of($list->reading, $list->words),
        );
    }

    /** @return list<ThumbData> the letters that names of the list begin with, and where each begins in it */
    public function letters(Wanted $wanted, User $reader): array
    {
        $rows = (new PartyList($this->clock, $wanted, $reader))->rows()
            ->groupBy('letter')->selectRaw('letter, count(*) as many, min(collated) as first')->orderBy('first')->get();
        $letters = [];
        $at = 0;
        foreach ($rows as $row) {
            $letters[] = new ThumbData((string) $row->letter, $at, (int) $row->many);
            $at += (int) $row->many;
        }

        return $letters;
    }

    /** @return list<int> those from one line of a list on, for choosing all of them */
    public function ids(Wanted $wanted, int $from, int $most, User $reader): array
    {
        return Ids::of((new PartyList($this->clock, $wanted, $reader))->inOrder()->offset($from)->limit($most)->pluck('v.party_id'));
    }
}
