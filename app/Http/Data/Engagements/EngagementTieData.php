<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use Almanac\Engagements\EngagementLink;
use OpenApi\Attributes as OA;

/** What a case or a project is to another. */
#[OA\Schema(schema: 'EngagementTie')]
final readonly class EngagementTieData
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: EngagementLink::class)]
        public string $kind,
        #[OA\Property(description: 'As in part of.')]
        public string $kindTitle,
        #[OA\Property(ref: '#/components/schemas/EngagementLink')]
        public EngagementLinkData $engagement,
        #[OA\Property]
        public string $stage,
    ) {
    }
}
