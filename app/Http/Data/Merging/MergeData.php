<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use Almanac\Merging\MergeState;
use App\Models\Merge;
use App\Models\MergeSide;
use App\Time\Clock;
use Illuminate\Support\Carbon;
use OpenApi\Attributes as OA;

/** Records that were made one, or that somebody proposes to make one. Load the merge with RELATIONS. */
#[OA\Schema(schema: 'Merge')]
final readonly class MergeData
{
    public const RELATIONS = ['sides', 'user', 'proposedBy', 'apartBy'];

    /**
     * @param list<MergeSideData> $sides
     * @param list<MergeStruckData> $struck
     */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: MergeState::class)]
        public string $state,
        #[OA\Property]
        public int $keptId,
        #[OA\Property(
            description: 'As they were called then, the one that stays among them.',
            items: new OA\Items(ref: '#/components/schemas/MergeSide'),
        )]
        public array $sides,
        #[OA\Property(description: 'What was not taken over.', items: new OA\Items(ref: '#/components/schemas/MergeStruck'))]
        public array $struck,
        #[OA\Property(description: 'In the words of who did it; may be empty.')]
        public string $why,
        #[OA\Property]
        public string $proposedBy,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'The day, for reading.')]
        public string $day,
        #[OA\Property(description: 'Who took them apart; empty where nobody has.')]
        public string $apartBy,
        #[OA\Property]
        public string $apartDay,
    ) {
    }

    public static function of(Merge $merge): self
    {
        $day = fn (?Carbon $at) => $at === null ? '' : Clock::dayOf($at)->toText();

        return new self(
            $merge->id,
            $merge->state->value,
            $merge->kept_id,
            array_values($merge->sides->map(fn (MergeSide $side) => MergeSideData::of($side))->all()),
            array_map(fn (array $one) => new MergeStruckData(...$one), $merge->struck),
            $merge->why,
            $merge->proposedBy->name ?? '',
            $merge->user->name ?? '',
            $day($merge->done_at ?? $merge->proposed_at),
            $merge->apartBy->name ?? '',
            $day($merge->apart_at),
        );
    }
}
