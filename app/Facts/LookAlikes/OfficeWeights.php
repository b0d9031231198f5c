<?php

declare(strict_types=1);

namespace App\Facts\LookAlikes;

use Almanac\LookAlikes\Frequencies;
use Almanac\LookAlikes\Likeness;
use Almanac\LookAlikes\Weights;
use Illuminate\Support\Facades\DB;

/** What each sign weighs in this office, by its last scan; as shipped until there was one. */
final class OfficeWeights
{
    /** Asked for at once. */
    private const VALUES = 500;

    /** For comparing one record with others: what they share is among what it has. */
    public static function for(Likeness $one): Weights
    {
        return self::forAll($one);
    }

    /** For comparing several of one kind, each with others. */
    public static function forAll(Likeness $first, Likeness ...$more): Weights
    {
        $kept = DB::table('look_alike_weights')->where('kind', $first->kind->value)->first(['records', 'rates']);
        if ($kept === null) {
            return Weights::shipped();
        }
        $values = array_values(array_unique(array_merge(...array_map(Frequencies::valuesOf(...), [$first, ...array_values($more)]))));
        $counts = [];
        foreach (array_chunk($values, self::VALUES) as $some) {
            $counts += DB::table('look_alike_counts')->whereIn('value', $some)->pluck('records', 'value')->all();
        }
        /** @var array<string, array{float, float}> $rates */
        $rates = json_decode((string) $kept->rates, true, flags: JSON_THROW_ON_ERROR);
        $frequencies = Frequencies::of(array_map(intval(...), $counts), (int) $kept->records);

        return $rates === [] ? Weights::shipped($frequencies) : Weights::of($rates, $frequencies);
    }
}
