<?php

declare(strict_types=1);

namespace App\Queries\Records;

use App\Http\Data\Records\PartyRowData;
use App\Models\AddressUse;
use App\Models\Party;
use App\Models\Relation;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;

/** Reads who is likely to be related to a party: whoever shares an address with it, and people of the same family name. */
final readonly class ListLikelyRelations
{
    private const MOST = 8;

    public function __construct(private Clock $clock)
    {
    }

    /** @return list<PartyRowData> those at the same address first; nobody who is related already */
    public function handle(Party $party): array
    {
        $today = $this->clock->today();
        $addresses = AddressUse::query()->where('party_id', $party->id)->pluck('address_id');
        $sharing = AddressUse::query()->whereIn('address_id', $addresses)->pluck('party_id')->all();
        $related = Relation::of($party)
            ->get(['from_id', 'to_id'])
            ->flatMap(fn (Relation $relation) => [$relation->from_id, $relation->to_id])
            ->all();

        return array_values(Party::query()->with(PartyRowData::RELATIONS)
            ->whereNull('archived_on')
            ->whereKeyNot($party->id)
            ->whereNotIn('id', $related)
            ->where(fn (Builder $either) => $either->whereIn('id', $sharing)
                ->when($party->family !== '', fn (Builder $same) => $same->orWhere('family', $party->family)))
            ->limit(self::MOST)->get()
            ->sortByDesc(fn (Party $one) => in_array($one->id, $sharing, true))
            ->map(fn (Party $one) => PartyRowData::of($one, $today))->all());
    }
}
