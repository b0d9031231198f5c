<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\LookAlikes\Comparison;
use App\Http\Data\Records\PartyRowData;
use App\Models\LookAlikePair;
use OpenApi\Attributes as OA;

/** Two records that look alike, and how alike they are now. */
#[OA\Schema(schema: 'LookAlikePair')]
final readonly class PairData
{
    /** @param  list<string>  $reasons */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $first,
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $second,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $reasons,
        #[OA\Property(description: 'Who added the second all the same.')]
        public string $by,
    ) {
    }

    public static function of(LookAlikePair $pair, Comparison $comparison, Day $today): self
    {
        return new self(
            $pair->id,
            PartyRowData::of($pair->first, $today),
            PartyRowData::of($pair->second, $today),
            $comparison->reasons,
            $pair->user->name,
        );
    }
}
