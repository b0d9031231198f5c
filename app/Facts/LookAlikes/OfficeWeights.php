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
    /** For comparing one record with others: what they share is among what it has. */
    public static function for(Likeness $one): Weights
    {
        $kept = DB::table('look_alike_weights')->where('kind', $one->kind->value)->first(['records', 'rates']);
        if ($kept === null) {
            return Weights::shipped();
        }
        $counts = DB::table('look_alike_counts')->whereIn('value', Frequencies::valuesOf($one))->pluck('records', 'value');
        /** @var array<string, array{float, float}> $rates */
        $rates = json_decode((string) $kept->rates, true, flags: JSON_THROW_ON_ERROR);
        $frequencies = Frequencies::of(array_map(intval(...), $counts->all()), (int) $kept->records);

        return $rates === [] ? Weights::shipped($frequencies) : Weights::of($rates, $frequencies);
    }
}
