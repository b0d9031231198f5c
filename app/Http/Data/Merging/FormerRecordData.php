<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use OpenApi\Attributes as OA;

/** A record as it was before it was made one with another. */
#[OA\Schema(schema: 'FormerRecord')]
final readonly class FormerRecordData
{
    /** @param  list<FormerSectionData>  $sections */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/Merge')]
        public MergeData $merge,
        #[OA\Property(ref: '#/components/schemas/MergeSide')]
        public MergeSideData $side,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/FormerSection'))]
        public array $sections,
    ) {
    }
}
