<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use App\Http\Data\Ledger\MoneyData;
use OpenApi\Attributes as OA;

/** Records of a list that belong together. */
#[OA\Schema(schema: 'Count')]
final readonly class CountData
{
    /** @param  list<string>  $labels */
    public function __construct(
        #[OA\Property(
            description: 'What they have in the fields that are counted by; empty for nothing.',
            items: new OA\Items(type: 'string'),
        )]
        public array $labels,
        #[OA\Property(description: 'What asks for them.')]
        public string $filter,
        #[OA\Property]
        public int $count,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $receivable,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $overdue,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $payable,
        #[OA\Property(
            ref: '#/components/schemas/Money',
            description: 'What we billed them within the time: with tax, credit notes taken off.',
        )]
        public MoneyData $billed,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'What they paid us within the time.')]
        public MoneyData $received,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'What they billed us within the time.')]
        public MoneyData $bills,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'What we paid them within the time.')]
        public MoneyData $paid,
        #[OA\Property(description: 'Days to pay on the average of those that paid; empty where none has.')]
        public string $daysToPay,
    ) {
    }
}
