<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use OpenApi\Attributes as OA;

/** Records that lie near each other. */
#[OA\Schema(schema: 'Dot')]
final readonly class DotData
{
    public function __construct(
        #[OA\Property(
            description: 'Degrees, the middle of theirs; north is positive. Null where only their country or state is known.',
            nullable: true,
        )]
        public ?float $latitude,
        #[OA\Property(description: 'Degrees; east is positive.', nullable: true)]
        public ?float $longitude,
        #[OA\Property(description: 'What the place is called, or that of one of them.')]
        public string $place,
        #[OA\Property(description: 'Its number in ISO 3166-1; empty for none.')]
        public string $country,
        #[OA\Property]
        public int $many,
        #[OA\Property(description: 'One of them.')]
        public int $recordId,
        #[OA\Property(description: 'What one of them is called.')]
        public string $name,
        #[OA\Property(description: 'What asks for them, within the list.')]
        public string $clause,
    ) {
    }
}
