<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Access\Permission;
use Almanac\Bulk\BulkOutcome;
use Almanac\Bulk\BulkRefused;
use Almanac\Bulk\BulkState;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\StaleSave;
use Almanac\Refusal;
use App\Actions\Finding\IndexParties;
use App\Actions\Records\StaleSection;
use App\Database\LongWork;
use App\Models\BulkChange;
use App\Models\BulkChangeRecord;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Works on a bulk change, or takes it back: a few records at a time, each few a transaction of its own, so that others
 * get in between. What has an outcome is not worked on again, whenever it is begun anew.
 */
final readonly class RunBulkChange
{
    /** So many are done in about a tenth of a second. */
    private const FEW = 12;

    public function __construct(private BulkActs $acts, private IndexParties $index)
    {
    }

    public function handle(BulkChange $change): void
    {
        try {
            do {
                $isMore = false;
                LongWork::step(function () use ($change, &$isMore): void {
                    $isMore = $this->step($change->refresh());
                });
            } while ($isMore);
        } catch (\Throwable $failure) {
            report($failure);
            $change->refresh()->update([
                'state' => BulkState::Failed,
                'failure' => $failure instanceof BulkRefused ? $failure->getMessage() : 'Something went wrong. What is done stays; try again.',
                'ended_at' => now(),
            ]);
        }
    }

    /** @return bool whether there is more to do */
    private function step(BulkChange $change): bool
    {
        if (! $change->state->isUnderWay()) {
            return false;
        }
        $by = User::query()->findOrFail($change->user_id);
        // It is done in their name, and sees what they see.
        Auth::setUser($by);
        if ($by->retired_at !== null || ! $by->can(Permission::ChangeRecords->value)) {
            $change->update(['state' => BulkState::Failed, 'failure' => BulkRefused::mayNot($by->name)->getMessage(), 'ended_at' => now()]);

            return false;
        }
        $isBack = $change->state === BulkState::TakingBack;
        if ($change->state === BulkState::Waiting) {
            $change->update(['state' => BulkState::Running, 'begun_at' => $change->begun_at ?? now()]);
        }
        $records = $change->records()->where('outcome', $isBack ? BulkOutcome::Changed : BulkOutcome::Waiting)->limit(self::FEW)->get();
        if ($records->isEmpty()) {
            $change->update(['state' => $isBack ? BulkState::TakenBack : BulkState::Done, 'ended_at' => now()]);

            return false;
        }
        $act = $this->acts->of($change->input);
        $parties = Party::query()->findMany($records->pluck('record_id'))->keyBy('id');
        $this->index->together(function () use ($records, $parties, $isBack, $act, $by, $change): void {
            foreach ($records as $record) {
                $party = $parties->get($record->record_id);
                $done = $isBack ? $this->back($act, $party, $record, $by) : $this->forth($act, $party, $by);
                BulkChangeRecord::query()->where(['bulk_change_id' => $change->id, 'record_id' => $record->record_id])->update($done);
            }
        });

        return true;
    }

    /** @return array{outcome: string, message: string, way_back?: string|null} */
    private function forth(BulkAct $act, ?Party $party, User $by): array
    {
        try {
            if ($party === null) {
                throw BulkRefused::isGone();
            }
            $wayBack = DB::transaction(fn (): ?string => $act->apply($party, $by));
        } catch (\Throwable $why) {
            return ['outcome' => BulkOutcome::Refused->value, 'message' => self::words($why)];
        }

        return ['outcome' => ($wayBack === null ? BulkOutcome::Same : BulkOutcome::Changed)->value, 'message' => '', 'way_back' => $wayBack];
    }

    /** @return array{outcome: string, message: string} */
    private function back(BulkAct $act, ?Party $party, BulkChangeRecord $record, User $by): array
    {
        try {
            DB::transaction(fn () => $act->takeBack($party, $record->way_back ?? '', $by));
        } catch (StaleSection) {
            return ['outcome' => BulkOutcome::Kept->value, 'message' => BulkRefused::changedSince()->getMessage()];
        } catch (\Throwable $why) {
            return ['outcome' => BulkOutcome::Kept->value, 'message' => self::words($why)];
        }

        return ['outcome' => BulkOutcome::TakenBack->value, 'message' => ''];
    }

    /** Why it cannot be for that record; whatever else went wrong is everybody's concern. */
    public static function words(\Throwable $why): string
    {
        $isRefusal = $why instanceof Refusal || $why instanceof ArchivedRecord || $why instanceof StaleSave || $why instanceof ValidationException;

        return $isRefusal ? mb_strimwidth($why->getMessage(), 0, 250, '…') : throw $why;
    }
}
