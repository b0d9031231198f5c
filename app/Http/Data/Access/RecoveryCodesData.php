<?php

declare(strict_types=1);

namespace App\Http\Data\Access;

use OpenApi\Attributes as OA;

/** Recovery codes, shown once. */
#[OA\Schema(schema: 'RecoveryCodes')]
final readonly class RecoveryCodesData
{
    /** @param  list<string>  $codes */
    public function __construct(
        #[OA\Property(description: 'Each finishes one sign-in in place of a code of the app.', items: new OA\Items(type: 'string'))]
        public array $codes,
    ) {
    }
}
