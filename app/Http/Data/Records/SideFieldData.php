<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** One thing that is set for a side, by itself or by inheritance. */
#[OA\Schema(schema: 'SideField')]
final readonly class SideFieldData
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'Its own, to be changed; null when it is inherited.', nullable: true)]
        public ?string $own,
        #[OA\Property(description: 'What is inherited, to begin an own one with.')]
        public string $inherited,
        #[OA\Property(description: 'What holds, for reading.')]
        public string $text,
        #[OA\Property(description: 'From whom it is inherited; empty when it is its own, or nothing holds.')]
        public string $from,
    ) {
    }
}
