<?php

declare(strict_types=1);

namespace App\Http\Data\Finding;

use App\Http\Data\Records\PartyRowData;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** A record that answers what was typed, and why. */
#[OA\Schema(schema: 'FindResult')]
final readonly class FindResultData
{
    /** @param  list<string>  $reasons */
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $party,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $reasons,
    ) {
    }

    /** @param  list<string>  $reasons */
    public static function of(Party $party, array $reasons): self
    {
        return new self(PartyRowData::of($party), $reasons);
    }
}
