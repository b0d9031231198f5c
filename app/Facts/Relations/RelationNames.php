<?php

declare(strict_types=1);

namespace App\Facts\Relations;

use Almanac\Records\OfficeList;
use Almanac\Records\PartyKind;
use Almanac\Relations\RelationKind;
use App\Models\ListItem;

/** The names of relations that a party can have: those that every office knows, then the office's own from either end. */
final class RelationNames
{
    /** @return list<string> */
    public static function offered(PartyKind $kind): array
    {
        $own = ListItem::in(OfficeList::RelationKinds)->where('is_retired', false)->get();

        return array_values(array_unique([
            ...array_column(RelationKind::of($kind), 'value'),
            ...$own->flatMap(fn (ListItem $item) => array_filter([$item->name, $item->inverse]))->all(),
        ]));
    }

    /** The office's own kind that is called so from one of its ends. */
    public static function own(string $name): ?ListItem
    {
        return ListItem::in(OfficeList::RelationKinds)
            ->where(fn ($items) => $items->where('name', $name)->orWhere('inverse', $name))
            ->first();
    }
}
