<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Models\Party;
use OpenApi\Attributes as OA;

/** Enough of a party to name it and to open it. */
#[OA\Schema(schema: 'PartyLink')]
final readonly class PartyLinkData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
    ) {
    }

    public static function of(Party $party): self
    {
        return new self($party->id, $party->display_name);
    }
}
