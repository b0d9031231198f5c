<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use App\Models\FormerRecord;
use OpenApi\Attributes as OA;

/** A record that was made one with another. */
#[OA\Schema(schema: 'MadeFrom')]
final readonly class MadeFromData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'By which it became one with the other.')]
        public int $mergeId,
    ) {
    }

    public static function of(FormerRecord $former): self
    {
        return new self($former->party_id, $former->number, $former->name, $former->merge_id);
    }
}
