<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use OpenApi\Attributes as OA;

/** A page of what was decided of look-alikes, the latest first. */
#[OA\Schema(schema: 'DecidedPage')]
final readonly class DecidedPageData
{
    /** @param  list<DecidedData>  $rows */
    public function __construct(
        #[OA\Property]
        public int $total,
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public int $pages,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Decided'))]
        public array $rows,
    ) {
    }
}
