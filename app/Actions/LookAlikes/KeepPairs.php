<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use Almanac\LookAlikes\Comparison;
use App\Facts\LookAlikes\LookAlikes;
use App\Facts\LookAlikes\OfficeWeights;
use App\Facts\LookAlikes\PartyLikeness;
use App\Models\LookAlikePair;
use App\Models\Party;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;

/** Keeps the pairs in which a record stands in step with it. Runs inside a transaction. */
final readonly class KeepPairs
{
    public function __construct(private GroupPairs $group)
    {
    }

    /**
     * A record that is added although it looks like others: they wait in Upkeep.
     *
     * @return list<string> names of the records that it looks like, the likeliest first
     */
    public function ofAdded(Party $added, User $by): array
    {
        $alike = $this->of($added, $by);
        $names = Party::query()->whereKey(array_keys($alike))->pluck('display_name', 'id');

        return array_map(fn (int $id) => (string) $names[$id], array_keys($alike));
    }

    /** @return array<int, Comparison> the records that it looks like, the likeliest first */
    public function of(Party $party, ?User $addedBy = null): array
    {
        $alike = $party->isArchived() ? [] : $this->alike($party);
        $kept = LookAlikePair::query()->where(fn (Builder $pairs) => $pairs->where('first_id', $party->id)->orWhere('second_id', $party->id))
            ->get()->keyBy(fn (LookAlikePair $pair) => $pair->first_id === $party->id ? $pair->second_id : $pair->first_id);
        $touched = [$party->id];
        foreach ($alike as $id => $comparison) {
            $columns = LookAlikePair::columnsOf($comparison);
            $pair = $kept->pull($id);
            if ($pair instanceof LookAlikePair) {
                LookAlikePair::query()->whereKey($pair->id)->update($columns);
            } else {
                LookAlikePair::query()->insert($columns + [
                    'first_id' => min($id, $party->id), 'second_id' => max($id, $party->id), 'added_by_id' => $addedBy?->id,
                    'created_at' => now(), 'updated_at' => now(),
                ]);
            }
            $touched[] = $id;
        }
        foreach ($kept as $id => $pair) {
            // What was decided is remembered, whatever has become of them.
            if ($pair->state->isToSettle()) {
                $pair->delete();
                $touched[] = $id;
            }
        }
        if (count($touched) > 1) {
            $this->group->around($touched);
        }

        return $alike;
    }

    /** @return array<int, Comparison> */
    private function alike(Party $party): array
    {
        $own = PartyLikeness::of($party->load(PartyLikeness::RELATIONS));
        $alike = LookAlikes::of($own, $party->id);
        // What the scan has found by more than keys tell.
        $others = [];
        foreach (LookAlikePair::toSettle()->where(fn (Builder $pairs) => $pairs->where('first_id', $party->id)->orWhere('second_id', $party->id))->get() as $pair) {
            $others[] = $pair->first_id === $party->id ? $pair->second_id : $pair->first_id;
        }
        $weights = OfficeWeights::for($own);
        foreach (PartyLikeness::ofKept(array_values(array_diff($others, array_keys($alike)))) as $id => $other) {
            $comparison = Comparison::of($own, $other, $weights);
            if ($comparison->isPossible()) {
                $alike[$id] = $comparison;
            }
        }
        $inUse = Party::query()->whereKey(array_keys($alike))->whereNull('archived_on')->pluck('id')->flip();

        return array_intersect_key($alike, $inUse->all());
    }
}
