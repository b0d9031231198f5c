<?php

declare(strict_types=1);

namespace App\Http\Data\Lists;

use OpenApi\Attributes as OA;

/** The records of a list, counted by one field or two. */
#[OA\Schema(schema: 'Counts')]
final readonly class CountsData
{
    /**
     * @param list<string> $by
     * @param list<CountData> $rows
     * @param list<string> $periods
     */
    public function __construct(
        #[OA\Property(description: 'The titles of the fields.', items: new OA\Items(type: 'string'))]
        public array $by,
        #[OA\Property(description: 'The most first.', items: new OA\Items(ref: '#/components/schemas/Count'))]
        public array $rows,
        #[OA\Property(ref: '#/components/schemas/Count', description: 'The whole list.')]
        public CountData $total,
        #[OA\Property(description: 'Of which time what was billed and paid is added up: "this year".')]
        public string $period,
        #[OA\Property(description: 'Its first and last day, for reading.')]
        public string $periodText,
        #[OA\Property(description: 'What can be chosen for it.', items: new OA\Items(type: 'string'))]
        public array $periods,
        #[OA\Property(description: 'Whether the lines are one after another in time.')]
        public bool $isOverTime,
        #[OA\Property(description: 'What the amounts are in: ISO 4217.')]
        public string $currency,
        #[OA\Property(description: 'Whether there are more than are told.')]
        public bool $isCut,
        #[OA\Property(description: 'Whether some are counted more than once: they have several.')]
        public bool $isManifold,
    ) {
    }
}
