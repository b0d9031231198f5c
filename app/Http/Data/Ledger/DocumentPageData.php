<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Http\Data\Lists\ListFilterData;
use App\Http\Data\Lists\SortData;
use App\Http\Data\Records\ColumnData;
use OpenApi\Attributes as OA;

/** A page of documents. */
#[OA\Schema(schema: 'DocumentPage')]
final readonly class DocumentPageData
{
    /**
     * @param list<DocumentRowData> $rows
     * @param list<SumData> $sums
     * @param list<list<string>> $cells
     * @param list<ColumnData> $columns
     * @param list<SortData> $sort
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
        #[OA\Property(
            description: 'For each row what stands in each column, for reading.',
            items: new OA\Items(type: 'array', items: new OA\Items(type: 'string')),
        )]
        public array $cells,
        #[OA\Property(description: 'What amounts are in that do not say it: ISO 4217.')]
        public string $currency,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Column'))]
        public array $columns,
        #[OA\Property(
            description: 'What it is sorted by, the first one counting most.',
            items: new OA\Items(ref: '#/components/schemas/Sort'),
        )]
        public array $sort,
        #[OA\Property(ref: '#/components/schemas/ListFilter')]
        public ListFilterData $filter,
    ) {
    }
}
