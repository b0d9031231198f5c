<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** A document that money can be used on, and the discount it gives on a day. */
#[OA\Schema(schema: 'OpenDocument')]
final readonly class OpenDocumentData
{
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/DocumentRow')]
        public DocumentRowData $row,
        #[OA\Property(description: 'What may be taken off on that day.', ref: '#/components/schemas/Money', nullable: true)]
        public ?MoneyData $discount,
        #[OA\Property(description: 'What is open after the discount.', ref: '#/components/schemas/Money', nullable: true)]
        public ?MoneyData $afterDiscount,
        #[OA\Property(description: 'What is proposed to be used on it, the oldest first; empty for nothing.')]
        public string $proposed,
    ) {
    }
}
