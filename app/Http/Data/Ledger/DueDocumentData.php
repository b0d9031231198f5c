<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** A document that stands out: the oldest, or the next to be due. */
#[OA\Schema(schema: 'DueDocument')]
final readonly class DueDocumentData
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'As in 30 Oct 2026.')]
        public string $dueText,
        #[OA\Property(description: 'As in 25 days late, or in 6 days.')]
        public string $when,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $open,
    ) {
    }
}
