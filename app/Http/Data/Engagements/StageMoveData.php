<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use App\Models\EngagementMove;
use OpenApi\Attributes as OA;

/** How it came into a stage. */
#[OA\Schema(schema: 'StageMove')]
final readonly class StageMoveData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $stage,
        #[OA\Property(description: 'For reading.')]
        public string $onText,
        #[OA\Property(description: 'The result, or why.')]
        public string $reason,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'How many days it stayed; null in a closed stage.', nullable: true)]
        public ?int $days,
    ) {
    }

    public static function of(EngagementMove $move, ?int $days): self
    {
        return new self($move->id, $move->stage->name, $move->moved_on->toText(), $move->reason, $move->user->name, $days);
    }
}
