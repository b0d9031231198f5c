<?php

declare(strict_types=1);

namespace App\Http\Data\Conflicts;

use App\Http\Data\Engagements\EngagementLinkData;
use OpenApi\Attributes as OA;

/** A conflict search, as it was. */
#[OA\Schema(schema: 'ConflictSearch')]
final readonly class ConflictSearchData
{
    /** @param  list<ConflictNameData>  $names */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(ref: '#/components/schemas/EngagementLink', description: 'For which it was made.', nullable: true)]
        public ?EngagementLinkData $engagement,
        #[OA\Property(description: 'Who and when, for reading.')]
        public string $byText,
        #[OA\Property(description: 'How many records the book held then.')]
        public int $parties,
        #[OA\Property(description: 'How many cases and projects.')]
        public int $engagements,
        #[OA\Property(description: 'How many findings on the other side or near it are not decided yet.')]
        public int $undecided,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ConflictName'))]
        public array $names,
    ) {
    }
}
