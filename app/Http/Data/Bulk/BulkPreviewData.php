<?php

declare(strict_types=1);

namespace App\Http\Data\Bulk;

use OpenApi\Attributes as OA;

/** What a bulk change would do. */
#[OA\Schema(schema: 'BulkPreview')]
final readonly class BulkPreviewData
{
    /** @param  list<BulkExampleData>  $examples */
    public function __construct(
        #[OA\Property(description: 'What is to be done, in words.')]
        public string $title,
        #[OA\Property(description: 'How many records are chosen.')]
        public int $total,
        #[OA\Property(description: 'Of how many it is so already.')]
        public int $same,
        #[OA\Property(description: 'How many cannot have it, as far as can be known before.')]
        public int $refused,
        #[OA\Property(description: 'Why they cannot; empty where none.')]
        public string $why,
        #[OA\Property(
            description: 'The first of those that would change, at most ten.',
            items: new OA\Items(ref: '#/components/schemas/BulkExample'),
        )]
        public array $examples,
    ) {
    }
}
