<?php

declare(strict_types=1);

namespace App\Http\Data\Today;

use Almanac\Cautions\CautionLevel;
use App\Http\Data\Records\PartyLinkData;
use App\Models\Caution;
use OpenApi\Attributes as OA;

/** A caution that ends soon. */
#[OA\Schema(schema: 'EndingCaution')]
final readonly class EndingCautionData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(ref: '#/components/schemas/PartyLink')]
        public PartyLinkData $party,
        #[OA\Property(enum: CautionLevel::class)]
        public string $level,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $untilText,
    ) {
    }

    public static function of(Caution $caution): self
    {
        return new self(
            $caution->id,
            PartyLinkData::of($caution->party),
            $caution->level->value,
            $caution->text,
            $caution->until?->toText() ?? '',
        );
    }
}
