<?php

declare(strict_types=1);

namespace App\Http\Data\Books;

use OpenApi\Attributes as OA;

/** A holiday that was read in. */
#[OA\Schema(schema: 'Holiday')]
final readonly class HolidayData
{
    public function __construct(
        #[OA\Property]
        public string $dayText,
        #[OA\Property]
        public string $name,
    ) {
    }
}
