<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Http\Data\Lists\ListFilterData;
use App\Http\Data\Lists\SortData;
use OpenApi\Attributes as OA;

/** A page of the directory. */
#[OA\Schema(schema: 'PartyPage')]
final readonly class PartyPageData
{
    /**
     * @param list<PartyRowData> $rows
     * @param list<list<string>> $cells
     * @param list<ColumnData> $columns
     * @param list<SortData> $sort
     * @param list<int> $overLimit
     * @param list<int> $late
     */
    public function __construct(
        #[OA\Property] public int $total,
        #[OA\Property(description: 'How many are archived in all.')] public int $archived,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/PartyRow'))] public array $rows,
        #[OA\Property(
            description: 'For each row what stands in each column, for reading.',
            items: new OA\Items(type: 'array', items: new OA\Items(type: 'string')),
        )]
        public array $cells,
        #[OA\Property(description: 'Which of the rows are over their credit limit.', items: new OA\Items(type: 'integer'))]
        public array $overLimit,
        #[OA\Property(description: 'Which of them have a reminder that is past its day.', items: new OA\Items(type: 'integer'))]
        public array $late,
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
