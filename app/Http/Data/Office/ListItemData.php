<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use App\Models\ListItem;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ListItem')]
final readonly class ListItemData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'How it is told from the other end, where that differs.')]
        public string $inverse,
        #[OA\Property]
        public bool $isRetired,
        #[OA\Property(description: 'In how many places it is used.')]
        public int $uses,
    ) {
    }

    public static function of(ListItem $item, int $uses): self
    {
        return new self($item->id, $item->name, $item->inverse, $item->is_retired, $uses);
    }
}
