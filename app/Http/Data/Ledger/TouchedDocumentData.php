<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** A document that carries details which are about to change. */
#[OA\Schema(schema: 'TouchedDocument')]
final readonly class TouchedDocumentData
{
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/DocumentRow')]
        public DocumentRowData $row,
        #[OA\Property(description: 'What of it is old then, as in name, address.')]
        public string $what,
    ) {
    }
}
