<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use OpenApi\Attributes as OA;

/** What goes back to a record. */
#[OA\Schema(schema: 'ApartBack')]
final readonly class ApartBackData
{
    /** @param  list<string>  $what */
    public function __construct(
        #[OA\Property]
        public int $partyId,
        #[OA\Property(description: 'How many of what, in words.', items: new OA\Items(type: 'string'))]
        public array $what,
    ) {
    }
}
