<?php

declare(strict_types=1);

namespace App\Facts\LookAlikes;

use Almanac\LookAlikes\Comparison;
use Almanac\LookAlikes\Likeness;
use App\Facts\Records\RecordRow;
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
        $possible = array_filter(
            array_map(fn (Likeness $kept) => Comparison::of($entered, $kept), PartyLikeness::ofKept(self::candidates($entered, $exceptId))),
            fn (Comparison $comparison) => $comparison->isPossible(),
        );
        uasort($possible, fn (Comparison $a, Comparison $b) => $b->score <=> $a->score);
        $likeliest = array_slice($possible, 0, self::MOST, preserve_keys: true);
        $parties = Party::query()->with(RecordRow::READS)->findMany(array_keys($likeliest))->keyBy('id');
        $found = [];
        foreach ($likeliest as $id => $comparison) {
            $party = $parties->get($id);
            if ($party instanceof Party) {
                $found[] = [$comparison, $party];
            }
        }

        return $found;
    }

    /** @return list<int> those that share most keys */
    private static function candidates(Likeness $entered, ?int $exceptId): array
    {
        return array_values(array_map(intval(...), DB::table('look_alike_keys')
            ->whereIn('key', $entered->keys())
            ->when($exceptId !== null, fn ($keys) => $keys->where('party_id', '!=', $exceptId))
            ->groupBy('party_id')
            ->orderByRaw('count(*) desc, party_id')
            ->limit(self::CANDIDATES)
            ->pluck('party_id')
            ->all()));
    }
}
