<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** What money can be used on, how it is proposed to be used, and what stays over. */
#[OA\Schema(schema: 'PaymentPreview')]
final readonly class PaymentPreviewData
{
    /** @param  list<OpenDocumentData>  $documents */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/OpenDocument'))]
        public array $documents,
        #[OA\Property(description: 'What is used in all, as typed or as proposed.', ref: '#/components/schemas/Money')]
        public MoneyData $used,
        #[
            OA\Property(
                description: 'What stays unallocated, or is lacking; null while the amount cannot be read.',
                ref: '#/components/schemas/Money',
                nullable: true,
            ),
        ]
        public ?MoneyData $left,
        #[OA\Property(description: 'More is used than there is, by what is left.')]
        public bool $isTooMuch,
    ) {
    }
}
