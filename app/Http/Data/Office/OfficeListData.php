<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use OpenApi\Attributes as OA;

/** One of the lists that the office keeps for itself. */
#[OA\Schema(schema: 'OfficeList')]
final readonly class OfficeListData
{
    /** @param  list<ListItemData>  $items */
    public function __construct(
        #[OA\Property]
        public string $list,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public bool $hasInverse,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ListItem'))]
        public array $items,
    ) {
    }
}
