<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use Almanac\Calendar\Day;
use App\Http\Data\Records\PartyLinkData;
use App\Models\LookAlikePair;
use OpenApi\Attributes as OA;

/** What somebody has decided of two records that look alike. */
#[OA\Schema(schema: 'Decided')]
final readonly class DecidedData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(ref: '#/components/schemas/PartyLink')]
        public PartyLinkData $first,
        #[OA\Property(ref: '#/components/schemas/PartyLink')]
        public PartyLinkData $second,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'The day, for reading.')]
        public string $day,
        #[OA\Property(description: 'In the words of who decided; may be empty.')]
        public string $why,
    ) {
    }

    public static function of(LookAlikePair $pair): self
    {
        return new self(
            $pair->id,
            PartyLinkData::of($pair->first),
            PartyLinkData::of($pair->second),
            $pair->decidedBy->name ?? '',
            $pair->decided_at === null ? '' : Day::fromIso($pair->decided_at->toDateString())->toText(),
            $pair->why,
        );
    }
}
