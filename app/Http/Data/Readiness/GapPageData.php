<?php

declare(strict_types=1);

namespace App\Http\Data\Readiness;

use OpenApi\Attributes as OA;

/** A page of the worklist of gaps. */
#[OA\Schema(schema: 'GapPage')]
final readonly class GapPageData
{
    /** @param  list<GapRowData>  $rows */
    public function __construct(
        #[OA\Property]
        public int $total,
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public int $pages,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/GapRow'))]
        public array $rows,
    ) {
    }
}
