<?php

declare(strict_types=1);

namespace App\Http\Data\Access;

use OpenApi\Attributes as OA;

/** A token with which a script uses the same API. It is shown once. */
#[OA\Schema(schema: 'Token')]
final readonly class TokenData
{
    public function __construct(
        #[OA\Property]
        public string $token,
    ) {
    }
}
