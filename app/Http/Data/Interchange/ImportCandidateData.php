<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use OpenApi\Attributes as OA;

/** Somebody of the book whom a line may be about. */
#[OA\Schema(schema: 'ImportCandidate')]
final readonly class ImportCandidateData
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'Number, where they work, their place.')]
        public string $detail,
        #[OA\Property]
        public bool $isSure,
    ) {
    }
}
