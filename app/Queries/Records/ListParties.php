<?php

declare(strict_types=1);

namespace App\Queries\Records;

use App\Database\Ids;
use App\Facts\Finding\RecordLine;
use App\Facts\Lists\PartyField;
use App\Facts\Lists\PartyFields;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Http\Data\Lists\ListFilterData;
use App\Http\Data\Lists\SortData;
use App\Http\Data\Lists\ThumbData;
use App\Http\Data\Records\ColumnData;
use App\Http\Data\Records\PartyPageData;
use App\Http\Data\Records\PartyRowData;
use App\Models\Office;
use App\Models\SavedList;
use App\Models\User;
use App\Queries\Finding\ReadLines;
use App\Queries\Lists\ReadCells;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Reads the directory: those that a sentence asks for, in any order, with any fields as its columns. */
final readonly class ListParties
{
    private const PAGE = 100;

    /** The fields that are shown where nobody chose others. */
    private const COLUMNS = ['name', 'role', 'place', 'phone', 'receivable', 'overdue', 'payable', 'days-to-pay'];

    public function __construct(private Clock $clock, private ReadLines $lines, private ReadCells $cells)
    {
    }

    public function handle(Wanted $wanted, User $reader): PartyPageData
    {
        $list = new PartyList($this->clock, $wanted, $reader);
        [$total, $ids] = $list->stretch(($wanted->page - 1) * self::PAGE, self::PAGE);
        $look = $this->look($reader);
        $columns = $this->columns($wanted->columns === [] ? array_keys($look) : $wanted->columns);
        $lines = $this->lines->handle($ids);

        return new PartyPageData(
            $total,
            DB::table('record_values')->whereRaw('is_in_use = 0')->count(),
            $wanted->page,
            max(1, (int) ceil($total / self::PAGE)),
            array_values(array_map(fn (RecordLine $line) => PartyRowData::ofRow($line->row), $lines)),
            $this->cells->handle($columns, $lines),
            Ids::of(DB::table('record_values')->whereIn('party_id', $ids)->where('is_over_limit', true)->pluck('party_id')),
            Office::current()->currency(),
            array_map(fn (PartyField $one) => ColumnData::of($one, $look[$one->field->key] ?? null), $columns),
            array_map(fn (array $one) => SortData::of(...$one), $list->sort()),
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

    /** @return array<string, int|null> the columns that somebody chose, and how wide they are */
    private function look(User $reader): array
    {
        $kept = DB::table('list_looks')->where(['user_id' => $reader->id, 'list' => SavedList::OF_RECORDS])->value('columns');
        /** @var list<array{key: string, width: int|null}> $columns */
        $columns = is_string($kept) ? json_decode($kept, true, flags: JSON_THROW_ON_ERROR) : [];

        return array_column($columns, 'width', 'key');
    }

    /**
     * @param list<string> $keys
     *
     * @return list<PartyField> the name always, where it was put; what is no column, or no longer, is left out
     */
    private function columns(array $keys): array
    {
        $columns = array_values(array_filter(
            array_map(fn (string $key) => PartyFields::all()->get($key), $keys),
            fn (?PartyField $one) => $one !== null && $one->isListed(),
        ));
        if ($columns === []) {
            return array_map(PartyFields::of(...), self::COLUMNS);
        }

        return in_array('name', array_map(fn (PartyField $one) => $one->field->key, $columns), true)
            ? $columns
            : [PartyFields::of('name'), ...$columns];
    }
}
