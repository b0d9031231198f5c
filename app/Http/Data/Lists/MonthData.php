<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use App\Http\Data\Ledger\MoneyData;
use OpenApi\Attributes as OA;

/** What the records of a list were billed and paid in a month. */
#[OA\Schema(schema: 'Month')]
final readonly class MonthData
{
    /** @param  list<int>  $heights */
    public function __construct(
        #[OA\Property(description: 'As in March 2026.')]
        public string $month,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'With tax, credit notes taken off.')]
        public MoneyData $billed,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'What came in.')]
        public MoneyData $received,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'What they billed us.')]
        public MoneyData $bills,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'What we paid them.')]
        public MoneyData $paid,
        #[OA\Property(description: 'The four of them in minor units, to draw a line by.', items: new OA\Items(type: 'integer'))]
        public array $heights,
    ) {
    }
}
