<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use Almanac\LookAlikes\Contradictions;
use Almanac\LookAlikes\Evidence;
use Almanac\LookAlikes\Groups;
use Almanac\LookAlikes\Likeness;
use Almanac\LookAlikes\PairState;
use App\Facts\LookAlikes\PartyLikeness;
use App\Models\LookAlikePair;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Puts pairs that are settled together into one group: three records that are one are asked about once. */
final readonly class GroupPairs
{
    /** So far a group is followed from where something has changed. */
    private const MOST = 300;

    /**
     * Those that hang together with these records. Runs inside a transaction.
     *
     * @param array<int> $partyIds
     */
    public function around(array $partyIds): void
    {
        $ids = $next = array_values(array_unique($partyIds));
        $pairs = new Collection;
        while ($next !== [] && count($ids) < self::MOST) {
            $found = LookAlikePair::toSettle()->ofAny($next)->get();
            $pairs = $pairs->merge($found);
            $next = array_values(array_diff([...$found->pluck('first_id')->all(), ...$found->pluck('second_id')->all()], $ids));
            $ids = [...$ids, ...array_unique($next)];
        }
        $this->group($pairs->unique('id'), PartyLikeness::ofKept($ids));
    }

    /**
     * @param Collection<int, LookAlikePair> $pairs that wait to be settled
     * @param array<int, Likeness> $book the records in them
     */
    public function group(Collection $pairs, array $book): void
    {
        $apart = $this->keptApart(array_keys($book));
        $groups = Groups::of(
            array_values($pairs->map(fn (LookAlikePair $pair) => [$pair->first_id, $pair->second_id, $pair->score, $pair->verdict])->all()),
            fn (int $one, int $other) => isset(
                $apart[min($one, $other).' '.max($one, $other)],
            ) || self::areTwo($book[$one] ?? null, $book[$other] ?? null),
        );
        $groupsOf = [];
        foreach ($groups as $at => $group) {
            foreach ($group as $id) {
                $groupsOf[$id][$at] = true;
            }
        }
        $leasts = $placeOf = [];
        foreach ($pairs as $pair) {
            $at = array_key_first(array_intersect_key($groupsOf[$pair->first_id] ?? [], $groupsOf[$pair->second_id] ?? [])) ?? -$pair->id;
            $placeOf[$pair->id] = $at;
            $leasts[$at] = min($leasts[$at] ?? $pair->id, $pair->id);
        }
        foreach ($pairs as $pair) {
            $least = $leasts[$placeOf[$pair->id]];
            if ($pair->group_id !== $least) {
                DB::table('look_alike_pairs')->where('id', $pair->id)->update(['group_id' => $least]);
            }
        }
    }

    private static function areTwo(?Likeness $one, ?Likeness $other): bool
    {
        $evidence = $one === null || $other === null ? null : Evidence::between($one, $other);

        return $evidence === null || Contradictions::areTwo($evidence);
    }

    /**
     * @param list<int> $ids
     *
     * @return array<string, true> those of which somebody has said that they are two
     */
    private function keptApart(array $ids): array
    {
        $apart = [];
        foreach (DB::table('look_alike_pairs')->where('state', PairState::Different->value)
            ->when(count($ids) <= self::MOST, fn ($pairs) => $pairs->whereIntegerInRaw('first_id', $ids))
            ->get(['first_id', 'second_id']) as $pair) {
            $apart["$pair->first_id $pair->second_id"] = true;
        }

        return $apart;
    }
}
