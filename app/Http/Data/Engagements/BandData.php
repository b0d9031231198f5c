<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use App\Http\Data\Ledger\MoneyData;
use OpenApi\Attributes as OA;

/** How many of the list stand in a stage, and what they come to. */
#[OA\Schema(schema: 'StageBand')]
final readonly class BandData
{
    /** @param  list<MoneyData>  $sums */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/Stage')]
        public StageData $stage,
        #[OA\Property(description: 'What the kind is called, as in cases.')]
        public string $kindPlural,
        #[OA\Property]
        public int $count,
        #[OA\Property(
            description: 'Of enquiries, their weighed values; else what was agreed. By currency.',
            items: new OA\Items(ref: '#/components/schemas/Money'),
        )]
        public array $sums,
    ) {
    }
}
