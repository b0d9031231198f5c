<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Bulk\BulkKind;
use Almanac\Bulk\BulkOutcome;
use Almanac\Bulk\BulkRefused;
use Almanac\Bulk\BulkState;
use App\Background\WorkOnBulkChange;
use App\Facts\Lists\Chosen;
use App\Facts\Lists\PartyList;
use App\Models\BulkChange;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Begins a bulk change, stops it, goes on with it, takes it back; the work itself waits for the worker. */
final readonly class BeginBulkChange
{
    public function __construct(private BulkActs $acts, private Clock $clock)
    {
    }

    /**
     * @param  array{
     *     kind: string, values: list<string>, side?: string|null, field?: string|null, fieldId?: int|null, day?: string|null,
     *     userId?: int|null, engagementId?: int|null, roleId?: int|null,
     * }  $input
     *
     * @throws ValidationException when it cannot be for anybody
     * @throws BulkRefused when nobody is chosen
     */
    public function begin(Chosen $chosen, array $input, User $by): BulkChange
    {
        return DB::transaction(function () use ($chosen, $input, $by): BulkChange {
            $act = $this->acts->of($input);
            $change = BulkChange::query()->create([
                'user_id' => $by->id,
                'kind' => BulkKind::from($input['kind']),
                'title' => mb_strimwidth($act->title(), 0, 250, '…'),
                'input' => $input,
                'state' => BulkState::Waiting,
                'chosen' => 0,
                'created_at' => $this->clock->now(),
            ]);
            $list = new PartyList($this->clock, $chosen->wanted(), $by);
            $rows = $list->chosen($chosen)
                ->selectRaw('? as bulk_change_id, v.party_id as record_id, parties.display_name as name', [$change->id])
                ->selectRaw('row_number() over (order by v.collated, v.party_id) as rank, ? as outcome', [BulkOutcome::Waiting->value])
                ->join('parties', 'parties.id', '=', 'v.party_id');
            $total = DB::table('bulk_change_records')->insertUsing(['bulk_change_id', 'record_id', 'name', 'rank', 'outcome'], $rows);
            if ($total === 0) {
                throw BulkRefused::nobody();
            }
            $change->update(['chosen' => $total]);
            WorkOnBulkChange::dispatch($change->id);

            return $change;
        });
    }

    /** What is done of it stays done. */
    public function stop(BulkChange $change): void
    {
        DB::transaction(function () use ($change): void {
            $change->refresh();
            if ($change->state === BulkState::Waiting || $change->state === BulkState::Running) {
                $change->update(['state' => BulkState::Stopped, 'ended_at' => now()]);
            }
        });
    }

    /** @throws BulkRefused when there is nothing to go on with */
    public function goOn(BulkChange $change): void
    {
        $this->turn($change, fn (BulkState $state) => $state->mayGoOn(), BulkState::Waiting);
    }

    /** @throws BulkRefused when it is under way, or taken back already */
    public function takeBack(BulkChange $change): void
    {
        $this->turn($change, fn (BulkState $state) => $state->mayBeTakenBack(), BulkState::TakingBack);
    }

    /** @param  \Closure(BulkState): bool  $may */
    private function turn(BulkChange $change, \Closure $may, BulkState $to): void
    {
        DB::transaction(function () use ($change, $may, $to): void {
            $change->refresh();
            if (! $may($change->state)) {
                throw BulkRefused::notNow($change->state);
            }
            $change->update(['state' => $to, 'failure' => '', 'ended_at' => null]);
            WorkOnBulkChange::dispatch($change->id);
        });
    }
}
