<?php

declare(strict_types=1);

namespace App\Queries\LookAlikes;

use Almanac\LookAlikes\Likeness;
use App\Facts\LookAlikes\LookAlikes;
use App\Http\Data\LookAlikes\LookAlikeData;
use App\Time\Clock;

/** Reads which kept records may be the same as one that is being entered. */
final readonly class FindLookAlikes
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<LookAlikeData> the likeliest first */
    public function handle(Likeness $entered, ?int $exceptId = null): array
    {
        $today = $this->clock->today();

        return array_map(
            fn (array $pair) => LookAlikeData::of($pair[1], $pair[0], $today),
            LookAlikes::of($entered, $exceptId),
        );
    }
}
