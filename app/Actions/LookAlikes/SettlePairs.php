<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use Almanac\LookAlikes\LookAlikesRefused;
use Almanac\LookAlikes\PairState;
use Almanac\Records\Wording;
use App\Models\LookAlikePair;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Settles records that look alike: they are two, or somebody looks later; and opens again what was settled. */
final readonly class SettlePairs
{
    private const REASON = 200;

    public function __construct(private Clock $clock, private GroupPairs $group)
    {
    }

    /**
     * Somebody has looked: they are different records, and rightly so.
     *
     * @param list<int> $pairIds
     *
     * @throws LookAlikesRefused when one of them has been settled meanwhile
     */
    public function different(array $pairIds, string $why, User $by): void
    {
        $why = trim($why) === '' ? '' : Wording::line($why, self::REASON, '');
        DB::transaction(function () use ($pairIds, $why, $by): void {
            $pairs = $this->open($pairIds);
            LookAlikePair::query()->whereKey($pairs->modelKeys())->update([
                'state' => PairState::Different, 'decided_by_id' => $by->id, 'decided_at' => $this->clock->now(),
                'why' => $why, 'group_id' => null,
            ]);
            $this->regroup($pairs);
        });
    }

    /**
     * @param list<int> $pairIds
     *
     * @throws LookAlikesRefused when one of them has been settled meanwhile
     */
    public function later(array $pairIds): void
    {
        DB::transaction(
            fn () => LookAlikePair::query()->whereKey($this->open($pairIds)->modelKeys())->update(['state' => PairState::Later]),
        );
    }

    /**
     * What was decided or put off is to be settled again.
     *
     * @param list<int> $pairIds
     */
    public function openAgain(array $pairIds): void
    {
        DB::transaction(function () use ($pairIds): void {
            $pairs = LookAlikePair::query()->findMany($pairIds);
            LookAlikePair::query()->whereKey($pairs->modelKeys())->update([
                'state' => PairState::Open, 'decided_by_id' => null, 'decided_at' => null, 'why' => '',
            ]);
            $this->regroup($pairs);
        });
    }

    /**
     * @param list<int> $pairIds
     *
     * @return Collection<int, LookAlikePair>
     *
     * @throws LookAlikesRefused when one of them has been settled meanwhile, or is no longer alike
     */
    private function open(array $pairIds): Collection
    {
        $pairs = LookAlikePair::query()->with('decidedBy')->findMany($pairIds);
        $settled = $pairs->first(fn (LookAlikePair $pair) => ! $pair->state->isToSettle());
        if ($settled instanceof LookAlikePair) {
            throw LookAlikesRefused::isSettled($settled->decidedBy->name ?? 'Somebody');
        }
        if ($pairs->count() < count(array_unique($pairIds))) {
            throw LookAlikesRefused::isGone();
        }

        return $pairs;
    }

    /** @param  Collection<int, LookAlikePair>  $pairs */
    private function regroup(Collection $pairs): void
    {
        $this->group->around([...$pairs->pluck('first_id')->all(), ...$pairs->pluck('second_id')->all()]);
    }
}
