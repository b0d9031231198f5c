<?php

declare(strict_types=1);

namespace App\Facts\LookAlikes;

use Almanac\LookAlikes\Comparison;
use Almanac\LookAlikes\Likeness;
use App\Models\Party;
use Illuminate\Support\Facades\DB;

/** Finds kept records that may be the same as one that is being entered. */
final class LookAlikes
{
    private const CANDIDATES = 200;

    private const MOST = 5;

    /** @return list<array{Comparison, Party}> the likeliest first */
    public static function of(Likeness $entered, ?int $exceptId = null): array
    {
        $found = [];
        foreach (self::candidates($entered, $exceptId) as $party) {
            $comparison = Comparison::of($entered, PartyLikeness::of($party));
            if ($comparison->isPossible()) {
                $found[] = [$comparison, $party];
            }
        }
        usort($found, fn (array $a, array $b) => $b[0]->score <=> $a[0]->score);

        return array_slice($found, 0, self::MOST);
    }

    /** @return iterable<Party> those that share most keys */
    private static function candidates(Likeness $entered, ?int $exceptId): iterable
    {
        $ids = DB::table('look_alike_keys')
            ->whereIn('key', $entered->keys())
            ->when($exceptId !== null, fn ($keys) => $keys->where('party_id', '!=', $exceptId))
            ->groupBy('party_id')
            ->orderByRaw('count(*) desc')
            ->limit(self::CANDIDATES)
            ->pluck('party_id');

        return Party::query()->with(PartyLikeness::RELATIONS)->findMany($ids);
    }
}
