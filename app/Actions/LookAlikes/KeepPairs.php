<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use Almanac\LookAlikes\Comparison;
use App\Facts\LookAlikes\LookAlikes;
use App\Facts\LookAlikes\PartyLikeness;
use App\Models\LookAlikePair;
use App\Models\Party;
use App\Models\User;

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
        $kept = LookAlikePair::query()->ofAny([$party->id])->get()->keyBy(fn (LookAlikePair $pair) => $pair->otherIdThan($party));
        // What the scan has found by more than keys tell is compared as well.
        $waiting = array_values($kept->filter(fn (LookAlikePair $pair) => $pair->state->isToSettle())->keys()->all());
        $alike = $party->isArchived() ? [] : $this->alike($party, $waiting);
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

    /**
     * @param list<int> $also
     *
     * @return array<int, Comparison> those that are in use
     */
    private function alike(Party $party, array $also): array
    {
        $alike = LookAlikes::of(PartyLikeness::of($party->load(PartyLikeness::RELATIONS)), $party->id, $also);
        $inUse = Party::query()->whereKey(array_keys($alike))->whereNull('archived_on')->pluck('id')->flip();

        return array_intersect_key($alike, $inUse->all());
    }
}
