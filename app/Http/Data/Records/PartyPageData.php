<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** A page of the directory. */
#[OA\Schema(schema: 'PartyPage')]
final readonly class PartyPageData
{
    /**
     * @param list<PartyRowData> $rows
     * @param list<PartyBalanceData> $balances
     * @param list<ColumnData> $columns
     */
    public function __construct(
        #[OA\Property] public int $total,
        #[OA\Property(description: 'How many are archived in all.')] public int $archived,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/PartyRow'))] public array $rows,
        #[
            OA\Property(
                description: 'Of those rows that owe or are owed something.',
                items: new OA\Items(ref: '#/components/schemas/PartyBalance'),
            ),
        ]
        public array $balances,
        #[OA\Property(description: 'What the balances are in: ISO 4217.')]
        public string $currency,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Column'))]
        public array $columns,
    ) {
    }
}
