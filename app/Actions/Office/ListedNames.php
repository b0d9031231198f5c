<?php

declare(strict_types=1);

namespace App\Actions\Office;

use Almanac\Records\OfficeList;
use Almanac\Records\Wording;
use Almanac\Records\WordingRefused;
use App\Models\ListItem;
use Illuminate\Support\Collection;

/** Finds entries of the office's lists by their names, as requests tell them. */
final class ListedNames
{
    private const MAX_LENGTH = 60;

    /**
     * @param list<string> $names
     *
     * @return list<int>
     *
     * @throws WordingRefused when one is not in the list
     */
    public static function ids(OfficeList $list, array $names): array
    {
        $known = self::known($list, $names);

        return array_map(fn (string $name) => $known->get($name) ?? throw WordingRefused::notListed($name), $names);
    }

    /**
     * As ids(), but what is not in the list yet is put there: tags are made by using them.
     *
     * @param list<string> $names
     *
     * @return list<int>
     *
     * @throws WordingRefused when a new one is empty or too long
     */
    public static function idsOfOldAndNew(OfficeList $list, array $names): array
    {
        $tidy = array_map(fn (string $name) => self::tidy($name), $names);
        $known = self::known($list, $tidy);

        return array_values(array_unique(array_map(
            fn (string $name) => $known->get($name) ?? ListItem::query()->firstOrCreate(['list' => $list, 'name' => $name])->id,
            $tidy,
        )));
    }

    /** @throws WordingRefused when it is empty or too long */
    public static function tidy(string $name): string
    {
        return Wording::line($name, self::MAX_LENGTH, 'Type a name for it.');
    }

    /**
     * @param list<string> $names
     *
     * @return Collection<string, int>
     */
    private static function known(OfficeList $list, array $names): Collection
    {
        /** @var Collection<string, int> */
        return $names === [] ? new Collection : ListItem::in($list)->whereIn('name', $names)->pluck('id', 'name');
    }
}
