<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** The section "Relations". */
#[OA\Schema(schema: 'Relations')]
final readonly class RelationsData
{
    /**
     * @param list<string> $kinds
     * @param list<RelationData> $relations
     */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(description: 'What another can be to this one.', items: new OA\Items(type: 'string'))]
        public array $kinds,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Relation'))]
        public array $relations,
    ) {
    }
}
