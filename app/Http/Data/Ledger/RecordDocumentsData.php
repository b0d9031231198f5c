<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** The documents of a record: how many there are of each kind, and the newest. */
#[OA\Schema(schema: 'RecordDocuments')]
final readonly class RecordDocumentsData
{
    /**
     * @param list<KindCountData> $counts
     * @param list<DocumentRowData> $newest
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/KindCount'))]
        public array $counts,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/DocumentRow'))]
        public array $newest,
        #[OA\Property(description: 'Drafts and open documents, which carry details that can change.')]
        public int $live,
    ) {
    }
}
