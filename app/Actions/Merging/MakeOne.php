<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Access\Permission;
use Almanac\Merging\Decisions;
use Almanac\Merging\MergeRefused;
use Almanac\Merging\MergeState;
use Almanac\Records\StaleSave;
use App\Actions\Conflicts\RepeatSearches;
use App\Actions\Finding\IndexEngagements;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Actions\Records\ChangeSections;
use App\Actions\Records\LogChanges;
use App\Database\RowChange;
use App\Database\RowJournal;
use App\Facts\Records\SectionVersions;
use App\Models\FormerRecord;
use App\Models\Merge;
use App\Models\MergedSection;
use App\Models\MergeMove;
use App\Models\MergeRow;
use App\Models\MergeSide;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Support\Facades\DB;

/**
 * Makes several records one: wholly or not at all, and so that it can be taken apart. Clerks propose it, unless the office
 * lets them do it; approvers and administrators do it.
 */
final readonly class MakeOne
{
    public function __construct(
        private PlanMerge $plan,
        private CarryOver $carry,
        private PutTogether $together,
        private MergeNeighbours $neighbours,
        private ChangeSections $change,
        private LogChanges $log,
        private IndexParties $index,
        private IndexEngagements $engagements,
        private KeepStandings $standings,
        private RepeatSearches $searches,
        private Clock $clock,
    ) {
    }

    public static function isAllowedTo(User $by): bool
    {
        return $by->can(Permission::ApproveChanges->value)
            || ($by->can(Permission::ChangeRecords->value) && Office::current()->clerks_make_one);
    }

    /**
     * @param list<int> $ids of the records
     * @param string $seen what the plan said when it was looked at
     *
     * @throws MergeRefused when something stands in the way
     * @throws StaleSave when one of them has been saved since
     * @throws AuthorizationException when somebody may only propose it
     */
    public function handle(array $ids, int $keptId, Decisions $decisions, string $seen, string $why, User $by): Merge
    {
        if (! self::isAllowedTo($by)) {
            throw new AuthorizationException('Only approvers and administrators make records one. Propose it, and one of them will.');
        }

        return DB::transaction(function () use ($ids, $keptId, $decisions, $seen, $why, $by): Merge {
            $plan = $this->plan->of($ids, $keptId, $decisions, $by);
            if ($plan->seen !== $seen) {
                throw StaleSave::of('one of these records');
            }
            $plan->mustBeAllowed();

            return $this->merge($plan, $why, $by);
        });
    }

    private function merge(MergePlan $plan, string $why, User $by): Merge
    {
        $merge = $this->begin($plan, $why, $by);
        $touched = $this->neighbours->of($plan->sides);
        $moves = [];
        $rows = [];
        $changed = $this->change->around(
            [...$this->neighbours->own($plan->kept), ...$touched],
            $by,
            function () use ($plan, $merge, $by, &$moves, &$rows): void {
                $moves = $this->carry->handle($plan->goneIds(), $plan->kept->id);
                $rows = RowJournal::of(CarryOver::told(), function () use ($plan, $merge, $by): void {
                    $this->together->handle($plan, $by);
                    $this->leadOn($plan, $merge);
                });
            },
        );
        $this->keep($merge, $moves, $rows);
        $this->tell($plan, $merge, $by);
        $plan->kept->refresh();
        $this->followUp($plan->kept, MergeNeighbours::records($touched), $by);
        $merge->update(['cause_id' => $changed->causeId, 'versions' => SectionVersions::all($plan->kept), 'marks' => CarryOver::marks()]);

        return $merge;
    }

    private function begin(MergePlan $plan, string $why, User $by): Merge
    {
        $ids = $plan->sides->modelKeys();
        $merge = Merge::proposedOfAny($ids)
            ->with('sides')->get()
            ->first(fn (Merge $one) => array_diff($one->sides->pluck('party_id')->all(), $ids) === []) ?? new Merge;
        $merge->fill([
            ...$plan->columns(), 'state' => MergeState::Done, 'why' => $why,
            'user_id' => $by->id, 'done_at' => $this->clock->now(), 'struck' => $plan->struck(),
        ])->save();
        MergeSide::query()->where('merge_id', $merge->id)->delete();
        MergeSide::query()->insert($plan->sideRows($merge->id));

        $this->keepBefore($merge, $plan);

        return $merge->load('sides');
    }

    private function keepBefore(Merge $merge, MergePlan $plan): void
    {
        foreach ($plan->sides as $party) {
            foreach ($this->neighbours->own($party) as $section) {
                $section->reload();
                $state = $section->state();
                $private = $section->isPrivate($state);
                (new MergedSection(['merge_id' => $merge->id, 'party_id' => $party->id, 'section' => $section->name->value]))
                    ->forceFill(['is_private' => $private])->forceFill(['state' => $state])->save();
            }
        }
    }

    /** Whoever asks for one of them by its old number is led to the one that stays. */
    private function leadOn(MergePlan $plan, Merge $merge): void
    {
        foreach ($plan->gone() as $party) {
            FormerRecord::query()->insert([
                'party_id' => $party->id, 'number' => $party->number, 'name' => $party->display_name,
                'kept_was' => $merge->kept_name, 'kept_id' => $plan->kept->id, 'merge_id' => $merge->id,
            ]);
        }
    }

    /**
     * @param list<array{table: string, column: string, from_id: int, ids: list<int>}> $moves
     * @param list<RowChange> $rows
     */
    private function keep(Merge $merge, array $moves, array $rows): void
    {
        $json = fn (mixed $value) => $value === null ? null : json_encode(
            $value,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
        );
        foreach (array_chunk($rows, 100) as $some) {
            MergeRow::query()->insert(array_map(fn (RowChange $row) => [
                'merge_id' => $merge->id, 'table' => $row->table, 'key' => $json($row->key), 'before' => $json($row->before),
                'after' => $json($row->after),
            ], $some));
        }
        MergeMove::query()->insert(array_map(fn (array $move) => ['merge_id' => $merge->id, 'ids' => $json($move['ids'])] + $move, $moves));
    }

    private function tell(MergePlan $plan, Merge $merge, User $by): void
    {
        foreach ($plan->gone() as $party) {
            $this->log->ofRecord($party, "made one with no. {$plan->kept->number} {$plan->kept->display_name}", $by);
        }
        $this->log->ofRecord($plan->kept, "made one from {$merge->others()}", $by);
    }

    /** @param  list<int>  $also */
    private function followUp(Party $kept, array $also, User $by): void
    {
        $this->standings->refresh($kept->id);
        $this->index->withNeighbours($kept, $also);
        DB::table('look_alike_due')->insertOrIgnore(['party_id' => $kept->id]);
        $this->engagements->ofParty($kept->id);
        $this->searches->forWhoeverIsRelated([$kept->id], $by);
    }
}
