<?php

declare(strict_types=1);

namespace App\Http\Data\Books;

use App\Models\CostCentre;
use OpenApi\Attributes as OA;

/** A department, location or region. */
#[OA\Schema(schema: 'CostCentre')]
final readonly class CostCentreData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $group,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public bool $isRetired,
    ) {
    }

    public static function of(CostCentre $kept): self
    {
        return new self($kept->id, $kept->group, $kept->name, $kept->is_retired);
    }
}
