<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use OpenApi\Attributes as OA;

/** Where the records of a list are. */
#[OA\Schema(schema: 'Places')]
final readonly class PlacesData
{
    /**
     * @param list<DotData> $dots
     * @param list<DotData> $areas
     */
    public function __construct(
        #[OA\Property(description: 'Gathered by nearness, the most first.', items: new OA\Items(ref: '#/components/schemas/Dot'))]
        public array $dots,
        #[OA\Property(
            description: 'Of whom only the country, or the state, is known.',
            items: new OA\Items(ref: '#/components/schemas/Dot'),
        )]
        public array $areas,
        #[OA\Property(description: 'How many have no address.')]
        public int $nowhere,
        #[OA\Property(description: 'What asks for those.')]
        public string $nowhereClause,
        #[OA\Property(description: 'Whether there are more dots than are told: come nearer for them.')]
        public bool $isCut,
        #[OA\Property(ref: '#/components/schemas/ListFilter')]
        public ListFilterData $filter,
    ) {
    }
}
