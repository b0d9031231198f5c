<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use OpenApi\Attributes as OA;

/** A field that a letter may have. */
#[OA\Schema(schema: 'LetterField')]
final readonly class LetterFieldData
{
    public function __construct(
        #[OA\Property(description: 'What stands between the braces.')]
        public string $name,
        #[OA\Property(description: 'What it is.')]
        public string $title,
    ) {
    }
}
