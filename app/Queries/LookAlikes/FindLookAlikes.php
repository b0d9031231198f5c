<?php

declare(strict_types=1);

namespace App\Queries\LookAlikes;

use Almanac\LookAlikes\Likeness;
use App\Facts\LookAlikes\LookAlikes;
use App\Http\Data\LookAlikes\LookAlikeData;
use App\Http\Data\Records\PartyRowData;
use App\Models\Party;
use App\Time\Clock;

/** Reads which kept records may be the same as one that is being entered. */
final readonly class FindLookAlikes
{
    private const MOST = 5;

    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param bool $withPrivate whether whoever asks sees private values
     *
     * @return list<LookAlikeData> the likeliest first
     */
    public function handle(Likeness $entered, ?int $exceptId, bool $withPrivate): array
    {
        $today = $this->clock->today();
        $alike = array_slice(LookAlikes::of($entered, $exceptId), 0, self::MOST, preserve_keys: true);
        $parties = Party::query()->with(PartyRowData::RELATIONS)->findMany(array_keys($alike))->keyBy('id');
        $found = [];
        foreach ($alike as $id => $comparison) {
            $party = $parties->get($id);
            if ($party instanceof Party) {
                $found[] = LookAlikeData::of($party, $comparison, $today, $withPrivate);
            }
        }

        return $found;
    }
}
