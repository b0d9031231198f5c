<?php

declare(strict_types=1);

namespace App\Queries\LookAlikes;

use Almanac\LookAlikes\Comparison;
use App\Facts\LookAlikes\PartyLikeness;
use App\Facts\Records\RecordRow;
use App\Http\Data\LookAlikes\PairData;
use App\Models\LookAlikePair;
use App\Time\Clock;

/** Reads the pairs that wait in Upkeep: added although they looked alike, and not settled yet. */
final readonly class ListPairs
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<PairData> */
    public function handle(): array
    {
        $today = $this->clock->today();
        $relations = array_merge(...array_map(
            fn (string $end) => array_map(fn (string $relation) => "$end.$relation", [...RecordRow::READS, ...PartyLikeness::RELATIONS]),
            ['first', 'second'],
        ));

        return array_values(LookAlikePair::query()
            ->where('is_different', false)
            ->with('user', ...$relations)
            ->orderBy('id')->get()
            ->map(fn (LookAlikePair $pair) => PairData::of($pair, Comparison::of(
                PartyLikeness::of($pair->first),
                PartyLikeness::of($pair->second),
            ), $today))->all());
    }
}
