<?php

declare(strict_types=1);

namespace App\Http\Data\Conflicts;

use Almanac\Conflicts\Decision;
use Almanac\Conflicts\Degree;
use App\Models\ConflictFinding;
use OpenApi\Attributes as OA;

/** Something that was found of a name. */
#[OA\Schema(schema: 'ConflictFinding')]
final readonly class ConflictFindingData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: Degree::class)]
        public string $degree,
        #[OA\Property(description: 'Whether somebody has to decide about it.')]
        public bool $isToBeDecided,
        #[OA\Property(description: 'How it was found, in words.')]
        public string $sentence,
        #[OA\Property(enum: Decision::class, nullable: true)]
        public ?string $decision,
        #[OA\Property(description: 'For reading; empty while nothing is decided.')]
        public string $decisionText,
        #[OA\Property]
        public string $reason,
        #[OA\Property(description: 'To be sent with a decision.')]
        public int $version,
    ) {
    }

    /** @param  bool  $mayOpen  whether whoever reads may open what it tells of */
    public static function of(ConflictFinding $finding, bool $mayOpen): self
    {
        return new self(
            $finding->id,
            $finding->degree->value,
            $finding->degree->isToBeDecided(),
            $mayOpen ? $finding->sentence : $finding->hidden_sentence,
            $finding->decision?->value,
            $finding->decision === null
                ? ''
                : "{$finding->decision->title()}, {$finding->decided_on?->toText()}, {$finding->decidedBy?->name}",
            $finding->reason,
            $finding->version,
        );
    }
}
