<?php

declare(strict_types=1);

namespace App\Http\Data\Finding;

use App\Http\Data\Engagements\EngagementRowData;
use OpenApi\Attributes as OA;

/** The answer to one keystroke: which text it answers, and the records, the best first. */
#[OA\Schema(schema: 'Found')]
final readonly class FoundData
{
    /**
     * @param list<FindResultData> $results
     * @param list<EngagementRowData> $engagements
     */
    public function __construct(
        #[OA\Property]
        public string $typed,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/FindResult'))]
        public array $results,
        #[OA\Property(
            description: 'Cases and projects, where they are asked for.',
            items: new OA\Items(ref: '#/components/schemas/EngagementRow'),
        )]
        public array $engagements,
    ) {
    }
}
