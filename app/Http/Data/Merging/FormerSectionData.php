<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use OpenApi\Attributes as OA;

/** What a section said; private values are not told. */
#[OA\Schema(schema: 'FormerSection')]
final readonly class FormerSectionData
{
    /** @param  list<array{label: string, text: string}>  $facts */
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(items: new OA\Items(
            required: ['label', 'text'],
            properties: [new OA\Property('label', type: 'string'), new OA\Property('text', type: 'string')],
            type: 'object',
        ))]
        public array $facts,
    ) {
    }
}
