<?php

declare(strict_types=1);

namespace App\Actions\Office;

use Almanac\Records\OfficeList;
use Almanac\Records\WordingRefused;
use App\Actions\Finding\IndexParties;
use App\Database\Ids;
use App\Models\ListItem;
use App\Register\ListUses;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Adds entries to the office's lists, renames and retires them. Records that use one follow. */
final readonly class KeepLists
{
    public function __construct(private IndexParties $index)
    {
    }

    /** @throws ValidationException when the name is empty, too long or there already */
    public function add(OfficeList $list, string $name, string $inverse): void
    {
        DB::transaction(fn () => $this->write(new ListItem(['list' => $list]), $name, $inverse));
    }

    /** @throws ValidationException when the name is empty, too long or there already */
    public function change(ListItem $item, string $name, string $inverse, bool $isRetired): void
    {
        DB::transaction(function () use ($item, $name, $inverse, $isRetired): void {
            $was = $item->name;
            $item->is_retired = $isRetired;
            $this->write($item, $name, $inverse);
            if ($item->name !== $was) {
                foreach (ListUses::words($item->list) as [$table, $column, $where]) {
                    DB::table($table)->where($where)->where($column, $was)->update([$column => $item->name]);
                }
                // Tags and types are searched.
                $this->index->these(Ids::of(DB::table('party_list_items')->where('list_item_id', $item->id)->pluck('party_id')));
            }
        });
    }

    private function write(ListItem $item, string $name, string $inverse): void
    {
        $problems = new FieldProblems;
        $tidy = $problems->at('name', fn () => ListedNames::tidy($name));
        $other = ! $item->list->hasInverse() || trim($inverse) === '' ? '' : $problems->at('inverse', fn () => ListedNames::tidy($inverse));
        $problems->throwIfAny();
        if (ListItem::in($item->list)->where('name', $tidy)->whereKeyNot($item->id ?? 0)->exists()) {
            $problems->add('name', WordingRefused::taken((string) $tidy)->getMessage());
        }
        $problems->throwIfAny();
        $item->fill(['name' => $tidy, 'inverse' => $other])->save();
    }
}
