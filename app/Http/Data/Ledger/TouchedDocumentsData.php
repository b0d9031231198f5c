<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** What a change of details touches. */
#[OA\Schema(schema: 'TouchedDocuments')]
final readonly class TouchedDocumentsData
{
    /** @param  list<TouchedDocumentData>  $documents */
    public function __construct(
        #[OA\Property(description: 'As in 3 open invoices and 1 draft show the old address; empty when nothing is touched.')]
        public string $sentence,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/TouchedDocument'))]
        public array $documents,
    ) {
    }
}
