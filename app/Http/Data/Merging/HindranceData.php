<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use Almanac\Merging\Hindrance;
use OpenApi\Attributes as OA;

/** Why records cannot become one as they are, and what would clear it. */
#[OA\Schema(schema: 'Hindrance')]
final readonly class HindranceData
{
    private function __construct(
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public string $remedy,
        #[OA\Property(description: 'The record on which it is cleared.', nullable: true)]
        public ?int $partyId,
        #[OA\Property(description: 'Whether it is enough to say that one knows.')]
        public bool $isWaived,
    ) {
    }

    public static function of(Hindrance $one): self
    {
        return new self($one->what, $one->remedy, $one->partyId, $one->isWaived);
    }
}
