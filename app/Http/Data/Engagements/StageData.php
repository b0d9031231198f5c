<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use Almanac\Engagements\StageKind;
use App\Models\EngagementStage;
use OpenApi\Attributes as OA;

/** A stage of a kind, in the firm's own words. */
#[OA\Schema(schema: 'Stage')]
final readonly class StageData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'What it means to the program.', enum: StageKind::class)]
        public string $meaning,
        #[OA\Property(description: 'Days after which something has stood there too long.', nullable: true)]
        public ?int $mostDays,
        #[OA\Property]
        public bool $isRetired,
    ) {
    }

    public static function of(EngagementStage $stage): self
    {
        return new self($stage->id, $stage->name, $stage->meaning->value, $stage->most_days, $stage->is_retired);
    }
}
