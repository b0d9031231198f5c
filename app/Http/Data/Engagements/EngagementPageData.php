<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use OpenApi\Attributes as OA;

/** A page of cases and projects. */
#[OA\Schema(schema: 'EngagementPage')]
final readonly class EngagementPageData
{
    /**
     * @param list<EngagementRowData> $rows
     * @param list<BandData> $band
     */
    public function __construct(
        #[OA\Property]
        public int $total,
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public int $pages,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/EngagementRow'))]
        public array $rows,
        #[OA\Property(description: 'The stages of the list, whichever of them is chosen.', items: new OA\Items(ref: '#/components/schemas/StageBand'))]
        public array $band,
    ) {
    }
}
