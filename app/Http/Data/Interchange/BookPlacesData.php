<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use OpenApi\Attributes as OA;

/** Where address books elsewhere may be read. */
#[OA\Schema(schema: 'BookPlaces')]
final readonly class BookPlacesData
{
    /** @param  list<string>  $places */
    public function __construct(
        #[OA\Property(description: 'Scheme, host and port of each.', items: new OA\Items(type: 'string'))]
        public array $places,
    ) {
    }
}
