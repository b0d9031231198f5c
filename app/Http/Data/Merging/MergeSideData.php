<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use App\Models\MergeSide;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** One of the records that become one, or became one. */
#[OA\Schema(schema: 'MergeSide')]
final readonly class MergeSideData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public bool $isArchived,
    ) {
    }

    public static function ofParty(Party $party): self
    {
        return new self($party->id, $party->number, $party->display_name, $party->isArchived());
    }

    /** As it was called then. */
    public static function of(MergeSide $side): self
    {
        return new self($side->party_id, $side->number, $side->name, false);
    }
}
