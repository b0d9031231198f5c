<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\LookAlikes\Comparison;
use App\Http\Data\Records\PartyRowData;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** A kept record that may be the same, with the reasons. */
#[OA\Schema(schema: 'LookAlike')]
final readonly class LookAlikeData
{
    /** @param  list<string>  $reasons */
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $party,
        #[OA\Property]
        public bool $isLikely,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $reasons,
    ) {
    }

    public static function of(Party $party, Comparison $comparison, Day $today, bool $withPrivate): self
    {
        return new self(PartyRowData::of($party, $today), $comparison->isLikely(), $comparison->reasons($withPrivate));
    }
}
