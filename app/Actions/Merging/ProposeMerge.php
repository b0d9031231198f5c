<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Access\Permission;
use Almanac\Merging\Decisions;
use Almanac\Merging\MergeRefused;
use Almanac\Merging\MergeState;
use App\Models\Merge;
use App\Models\MergeSide;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Support\Facades\DB;

/** Asks one who may do it to make records one, with what is decided of it already. */
final readonly class ProposeMerge
{
    public function __construct(private PlanMerge $plan, private Clock $clock)
    {
    }

    /**
     * @param list<int> $ids
     *
     * @throws MergeRefused when one of them is gone, or the same is proposed already
     */
    public function handle(array $ids, int $keptId, Decisions $decisions, string $why, User $by): Merge
    {
        return DB::transaction(function () use ($ids, $keptId, $decisions, $why, $by): Merge {
            $plan = $this->plan->of($ids, $keptId, $decisions, $by);
            $known = Merge::proposedOfAny($plan->sides->modelKeys())->with('sides', 'proposedBy')->get()
                ->first(
                    fn (Merge $one) => $one->sides->pluck('party_id')->sort()->values()->all() === $plan->sides->pluck('id')->sort()->values()->all(),
                );
            if ($known !== null) {
                throw MergeRefused::isProposed($known->proposedBy->name ?? 'Somebody');
            }
            $merge = Merge::query()->create([
                ...$plan->columns(), 'state' => MergeState::Proposed, 'why' => $why,
                'proposed_by_id' => $by->id, 'proposed_at' => $this->clock->now(),
            ]);
            MergeSide::query()->insert($plan->sideRows($merge->id));

            return $merge;
        });
    }

    /**
     * @throws MergeRefused when it is no longer proposed
     * @throws AuthorizationException when it is somebody else's, and who asks is no approver
     */
    public function withdraw(Merge $merge, User $by): void
    {
        DB::transaction(function () use ($merge, $by): void {
            $merge->refresh();
            if ($merge->state !== MergeState::Proposed) {
                throw MergeRefused::isNotProposed();
            }
            if ($merge->proposed_by_id !== $by->id && ! $by->can(Permission::ApproveChanges->value)) {
                throw new AuthorizationException('Whoever proposed it, or an approver, takes it back.');
            }
            $merge->delete();
        });
    }
}
