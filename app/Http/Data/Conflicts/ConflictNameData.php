<?php

declare(strict_types=1);

namespace App\Http\Data\Conflicts;

use Almanac\Conflicts\Degree;
use OpenApi\Attributes as OA;

/** A name that was searched, and what was found of it. */
#[OA\Schema(schema: 'ConflictName')]
final readonly class ConflictNameData
{
    /** @param  list<ConflictFindingData>  $findings */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'That it is to have; empty where that is not known.')]
        public string $role,
        #[OA\Property(enum: Degree::class)]
        public string $degree,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ConflictFinding'))]
        public array $findings,
    ) {
    }
}
