<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** A private value, told to somebody who may see it. */
#[OA\Schema(schema: 'Revealed')]
final readonly class RevealedData
{
    public function __construct(
        #[OA\Property(description: 'Empty when none is kept.')]
        public string $value,
    ) {
    }
}
