<?php

declare(strict_types=1);

namespace App\Facts\LookAlikes;

use Almanac\LookAlikes\Comparison;
use Almanac\LookAlikes\Keys;
use Almanac\LookAlikes\Likeness;
use Illuminate\Support\Facades\DB;

/** Finds kept records that may be the same as another. */
final class LookAlikes
{
    private const CANDIDATES = 200;

    /**
     * @param list<int> $also records that are compared though they may share no key
     *
     * @return array<int, Comparison> by record, the likeliest first
     */
    public static function of(Likeness $one, ?int $exceptId = null, array $also = []): array
    {
        $weights = OfficeWeights::for($one);
        $ids = array_values(array_unique([...self::candidates($one, $exceptId), ...$also]));
        $alike = array_filter(
            array_map(fn (Likeness $kept) => Comparison::of($one, $kept, $weights), PartyLikeness::ofKept($ids)),
            fn (Comparison $comparison) => $comparison->isPossible(),
        );
        uasort($alike, fn (Comparison $a, Comparison $b) => [$b->isLikely(), $b->score] <=> [$a->isLikely(), $a->score]);

        return $alike;
    }

    /** @return list<int> those that share most keys */
    private static function candidates(Likeness $entered, ?int $exceptId): array
    {
        return array_values(array_map(intval(...), DB::table('look_alike_keys')
            ->whereIn('key', Keys::of($entered))
            ->when($exceptId !== null, fn ($keys) => $keys->where('party_id', '!=', $exceptId))
            ->groupBy('party_id')
            ->orderByRaw('count(*) desc, party_id')
            ->limit(self::CANDIDATES)
            ->pluck('party_id')
            ->all()));
    }
}
