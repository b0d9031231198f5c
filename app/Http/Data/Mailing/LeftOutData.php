<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use OpenApi\Attributes as OA;

/** Somebody who cannot be written to, and why. */
#[OA\Schema(schema: 'LeftOut')]
final readonly class LeftOutData
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $why,
    ) {
    }
}
