<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

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
use Illuminate\Database\Eloquent\Collection;
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

    /** And so many of what is done to many at once. */
    private const MANY = 100;

    public function __construct(private BulkActs $acts, private IndexParties $index)
    {
    }

    public function handle(BulkChange $change): void
    {
        try {
            LongWork::steps(fn () => $this->step($change->refresh()));
        } catch (\Throwable $failure) {
            if (! $failure instanceof BulkRefused) {
                report($failure);
            }
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
        $by = InTheirName::of($change->user_id);
        $isBack = $change->state === BulkState::TakingBack;
        if ($change->state === BulkState::Waiting) {
            $change->update(['state' => BulkState::Running, 'begun_at' => $change->begun_at ?? now()]);
        }
        $act = $this->acts->of($change->input);
        $isOfMany = $act instanceof BulkActOnMany && ! $isBack;
        $records = $change->records()->where('outcome', $isBack ? BulkOutcome::Changed : BulkOutcome::Waiting)
            ->limit($isOfMany ? self::MANY : self::FEW)->get();
        if ($records->isEmpty()) {
            $change->update(['state' => $isBack ? BulkState::TakenBack : BulkState::Done, 'ended_at' => now()]);

            return false;
        }
        $parties = Party::query()->findMany($records->pluck('record_id'))->keyBy('id');
        if ($isOfMany) {
            $this->keep($change, $records, $this->allForth($act, $parties, $by));

            return true;
        }
        $done = [];
        $this->index->together(function () use ($records, $parties, $isBack, $act, $by, &$done): void {
            foreach ($records as $record) {
                $party = $parties->get($record->record_id);
                $done[$record->record_id] = $isBack ? $this->back($act, $party, $record, $by) : $this->forth($act, $party, $by);
            }
        });
        $this->keep($change, $records, $done);

        return true;
    }

    /**
     * @param Collection<int, BulkChangeRecord> $records
     * @param array<int, array{outcome: string, message: string, way_back?: string|null}> $done by record; who is gone is missing
     */
    private function keep(BulkChange $change, Collection $records, array $done): void
    {
        $gone = ['outcome' => BulkOutcome::Refused->value, 'message' => BulkRefused::isGone()->getMessage()];
        foreach ($records as $record) {
            $rows[] = ($done[$record->record_id] ?? $gone) + $record->getAttributes();
        }
        BulkChangeRecord::query()->upsert($rows ?? [], ['bulk_change_id', 'record_id'], ['outcome', 'message', 'way_back']);
    }

    /**
     * @param Collection<int, Party> $parties
     *
     * @return array<int, array{outcome: string, message: string, way_back?: string|null}> by record
     */
    private function allForth(BulkActOnMany $act, Collection $parties, User $by): array
    {
        return array_map(fn (string|ArchivedRecord|null $done) => $done instanceof ArchivedRecord
            ? ['outcome' => BulkOutcome::Refused->value, 'message' => self::words($done)]
            : self::outcome($done), $act->applyToAll($parties, $by));
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

        return self::outcome($wayBack);
    }

    /** @return array{outcome: string, message: string, way_back: string|null} */
    private static function outcome(?string $wayBack): array
    {
        return [
            'outcome' => ($wayBack === null ? BulkOutcome::Same : BulkOutcome::Changed)->value,
            'message' => '',
            'way_back' => $wayBack,
        ];
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
        $isRefusal = $why instanceof Refusal
            || $why instanceof ArchivedRecord
            || $why instanceof StaleSave
            || $why instanceof ValidationException;

        return $isRefusal ? mb_strimwidth($why->getMessage(), 0, 250, '…') : throw $why;
    }
}
