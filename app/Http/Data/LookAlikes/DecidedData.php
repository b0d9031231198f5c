<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use App\Http\Data\Merging\MergeData;
use App\Http\Data\Records\PartyLinkData;
use App\Models\LookAlikePair;
use App\Models\Merge;
use App\Time\Clock;
use OpenApi\Attributes as OA;

/** What somebody has decided of records that look alike: they are different, or they were made one. */
#[OA\Schema(schema: 'Decided')]
final readonly class DecidedData
{
    /** @param  list<PartyLinkData>  $records */
    private function __construct(
        #[OA\Property]
        public string $key,
        #[OA\Property(
            description: 'The pair that was settled as different, to open it again; null of those that were made one.',
            nullable: true,
        )]
        public ?int $pairId,
        #[OA\Property(description: 'Of those that were made one.', ref: '#/components/schemas/Merge', nullable: true)]
        public ?MergeData $merge,
        #[OA\Property(description: 'Those that are different.', items: new OA\Items(ref: '#/components/schemas/PartyLink'))]
        public array $records,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'The day, for reading.')]
        public string $day,
        #[OA\Property(description: 'In the words of who decided; may be empty.')]
        public string $why,
    ) {
    }

    public static function ofPair(LookAlikePair $pair): self
    {
        return new self(
            "pair-$pair->id",
            $pair->id,
            null,
            [PartyLinkData::of($pair->first), PartyLinkData::of($pair->second)],
            $pair->decidedBy->name ?? '',
            $pair->decided_at === null ? '' : Clock::dayOf($pair->decided_at)->toText(),
            $pair->why,
        );
    }

    /** Load the merge with MergeData::RELATIONS. */
    public static function ofMerge(Merge $merge): self
    {
        $data = MergeData::of($merge);

        return new self("merge-$merge->id", null, $data, [], $data->by, $data->day, $data->why);
    }
}
