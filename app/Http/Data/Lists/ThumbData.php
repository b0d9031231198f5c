<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use OpenApi\Attributes as OA;

/** A letter that names of a list begin with. */
#[OA\Schema(schema: 'Thumb')]
final readonly class ThumbData
{
    public function __construct(
        #[OA\Property(description: 'Without accents; # for what begins with none.')]
        public string $letter,
        #[OA\Property(description: 'How many lines come before it, while the list is sorted by name.')]
        public int $at,
        #[OA\Property]
        public int $many,
    ) {
    }
}
