<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use OpenApi\Attributes as OA;

/** The records of a stretch of a list. */
#[OA\Schema(schema: 'ListIds')]
final readonly class ListIdsData
{
    /** @param  list<int>  $ids */
    public function __construct(
        #[OA\Property(description: 'Their numbers, in the order of the list.', items: new OA\Items(type: 'integer'))]
        public array $ids,
    ) {
    }
}
