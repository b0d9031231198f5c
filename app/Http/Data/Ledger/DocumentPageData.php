<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** A page of documents. */
#[OA\Schema(schema: 'DocumentPage')]
final readonly class DocumentPageData
{
    /**
     * @param list<DocumentRowData> $rows
     * @param list<SumData> $sums
     */
    public function __construct(
        #[OA\Property] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/DocumentRow'))] public array $rows,
        #[
            OA\Property(
                description: 'Of the whole list, by currency; credits are taken off.',
                items: new OA\Items(ref: '#/components/schemas/LedgerSum'),
            ),
        ]
        public array $sums,
    ) {
    }
}
