<?php

declare(strict_types=1);

namespace App\Http\Data\Bulk;

use Almanac\Bulk\BulkOutcome;
use Almanac\Bulk\BulkState;
use App\Models\BulkChange;
use App\Models\User;
use App\Time\Clock;
use OpenApi\Attributes as OA;

/** A bulk change: how far it is, and what came of it. Load its user. */
#[OA\Schema(schema: 'BulkChange')]
final readonly class BulkChangeData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $title,
        #[OA\Property(enum: BulkState::class)]
        public string $state,
        #[OA\Property(description: 'The state in words.')]
        public string $stateText,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'The day it was asked for, for reading.')]
        public string $day,
        #[OA\Property]
        public int $total,
        #[OA\Property(description: 'How many have an outcome.')]
        public int $done,
        #[OA\Property]
        public int $changed,
        #[OA\Property(description: 'Of how many it was so already.')]
        public int $same,
        #[OA\Property(description: 'How many could not have it.')]
        public int $refused,
        #[OA\Property]
        public int $takenBack,
        #[OA\Property(description: 'How many keep what was changed since.')]
        public int $kept,
        #[OA\Property(description: 'Why it came to nothing; empty while it has not.')]
        public string $failure,
        #[OA\Property]
        public bool $isUnderWay,
        #[OA\Property(description: 'What whoever asks may do with it.')]
        public bool $mayStop,
        #[OA\Property]
        public bool $mayGoOn,
        #[OA\Property]
        public bool $mayTakeBack,
    ) {
    }

    /** @param  array<string, int>  $counts  how many have each outcome */
    public static function of(BulkChange $change, array $counts, User $reader): self
    {
        $of = fn (BulkOutcome $outcome) => $counts[$outcome->value] ?? 0;
        $isTheirs = $reader->maySteer($change);

        return new self(
            $change->id,
            $change->title,
            $change->state->value,
            $change->state->title(),
            $change->user->name,
            $change->created_at === null ? '' : Clock::dayOf($change->created_at)->toText(),
            $change->chosen,
            $change->state === BulkState::TakingBack
                ? $of(BulkOutcome::TakenBack) + $of(BulkOutcome::Kept)
                : $change->chosen - $of(BulkOutcome::Waiting),
            $of(BulkOutcome::Changed),
            $of(BulkOutcome::Same),
            $of(BulkOutcome::Refused),
            $of(BulkOutcome::TakenBack),
            $of(BulkOutcome::Kept),
            $change->failure,
            $change->state->isUnderWay(),
            $isTheirs && in_array($change->state, [BulkState::Waiting, BulkState::Running], true),
            $isTheirs && $change->state->mayGoOn() && $of(BulkOutcome::Waiting) > 0,
            $isTheirs && $change->state->mayBeTakenBack() && $of(BulkOutcome::Changed) > 0,
        );
    }
}
