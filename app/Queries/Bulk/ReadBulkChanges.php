<?php

declare(strict_types=1);

namespace App\Queries\Bulk;

use Almanac\Bulk\BulkOutcome;
use App\Http\Data\Bulk\BulkChangeData;
use App\Http\Data\Bulk\BulkRecordData;
use App\Models\BulkChange;
use App\Models\BulkChangeRecord;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Reads the bulk changes: the latest first, each with what came of it. */
final class ReadBulkChanges
{
    private const LATEST = 30;

    private const MOST_RECORDS = 200;

    /** @return list<BulkChangeData> */
    public function latest(User $reader): array
    {
        $changes = BulkChange::query()->with('user')->orderByDesc('id')->limit(self::LATEST)->get();
        $counts = $this->counts(...$changes->modelKeys());

        return array_values($changes->map(fn (BulkChange $one) => BulkChangeData::of($one, $counts[$one->id] ?? [], $reader))->all());
    }

    public function one(BulkChange $change, User $reader): BulkChangeData
    {
        $change->refresh()->load('user');

        return BulkChangeData::of($change, $this->counts($change->id)[$change->id] ?? [], $reader);
    }

    /** @return list<BulkRecordData> those that did not simply change first */
    public function records(BulkChange $change): array
    {
        $plain = [BulkOutcome::Changed->value, BulkOutcome::TakenBack->value, BulkOutcome::Waiting->value, BulkOutcome::Same->value];

        return array_values($change->records()->reorder()
            ->orderByRaw("outcome in ('".implode("', '", $plain)."')")->orderBy('rank')->limit(self::MOST_RECORDS)->get()
            ->map(fn (BulkChangeRecord $one) => BulkRecordData::of($one))->all());
    }

    /** @return array<int, array<string, int>> how many have each outcome, by change */
    private function counts(int ...$ids): array
    {
        $counts = [];
        $rows = DB::table('bulk_change_records')->whereIn('bulk_change_id', $ids)->groupBy('bulk_change_id', 'outcome')
            ->selectRaw('bulk_change_id, outcome, count(*) as many')->get();
        foreach ($rows as $row) {
            $counts[(int) $row->bulk_change_id][(string) $row->outcome] = (int) $row->many;
        }

        return $counts;
    }
}
