<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use App\Http\Data\Terms\ListedTermsData;
use OpenApi\Attributes as OA;

/** Payment terms of the list, and how often they are used. */
#[OA\Schema(schema: 'ListedTermsUses')]
final readonly class ListedTermsUsesData
{
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/ListedTerms')]
        public ListedTermsData $terms,
        #[OA\Property(description: 'On how many sides of records.')]
        public int $uses,
    ) {
    }
}
