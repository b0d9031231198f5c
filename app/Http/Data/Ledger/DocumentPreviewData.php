<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** What a document would be, before it is saved. */
#[OA\Schema(schema: 'DocumentPreview')]
final readonly class DocumentPreviewData
{
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/Document')]
        public DocumentData $document,
        #[OA\Property(ref: '#/components/schemas/DocumentUse')]
        public UseData $use,
    ) {
    }
}
