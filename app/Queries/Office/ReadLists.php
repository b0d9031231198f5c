<?php

declare(strict_types=1);

namespace App\Queries\Office;

use Almanac\Records\OfficeList;
use App\Http\Data\Office\ListItemData;
use App\Http\Data\Office\OfficeListData;
use App\Models\ListItem;
use App\Register\ListUses;
use Illuminate\Support\Facades\DB;

/** Reads the lists that the office keeps, with how often each entry is used. */
final class ReadLists
{
    /** @return list<OfficeListData> */
    public function handle(): array
    {
        $items = ListItem::query()->orderBy('is_retired')->orderBy('name')->get()->groupBy(fn (ListItem $item) => $item->list->value);

        return array_map(
            fn (OfficeList $list) => new OfficeListData(
                $list->value,
                $list->title(),
                $list->hasInverse(),
                array_values(
                    ($items->get($list->value) ?? collect())->map(
                        fn (ListItem $item) => ListItemData::of($item, $this->uses($item)),
                    )->all(),
                ),
            ),
            OfficeList::cases(),
        );
    }

    private function uses(ListItem $item): int
    {
        $uses = 0;
        foreach (ListUses::references($item->list) as [$table, $column]) {
            $uses += DB::table($table)->where($column, $item->id)->count();
        }
        foreach (ListUses::words($item->list) as [$table, $column, $where]) {
            $uses += DB::table($table)->where($where)->where($column, $item->name)->count();
        }

        return $uses;
    }
}
