<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Reach\Primaries;
use App\Models\Position;
use Illuminate\Support\Facades\DB;

/** Of the people at a company, one is whom it is reached through, and one is the first to be asked about each duty. */
final class KeepOnePrimary
{
    /**
     * What was just marked wins over what was marked before. Runs inside a transaction.
     *
     * @param array<int, bool> $marked by position
     */
    public function handle(int $companyId, array $marked = []): void
    {
        /** @var array<int, bool> $was */
        $was = Position::query()->toBase()->where('company_id', $companyId)->orderByRaw('until is not null')->orderBy('id')
            ->pluck('is_primary', 'id')->map(fn (mixed $isPrimary) => (bool) $isPrimary)->all();
        $just = array_intersect_key($marked, $was);
        $wanted = in_array(true, $just, true) ? array_replace(array_fill_keys(array_keys($was), false), $just) : $was;
        $settled = Primaries::settle(array_map(fn (bool $isPrimary) => ['position', $isPrimary], $wanted));
        foreach (array_diff_assoc($settled, $was) as $id => $isPrimary) {
            Position::query()->whereKey($id)->update(['is_primary' => $isPrimary]);
        }
        $this->keepOneFirst($companyId, array_keys($marked));
    }

    /**
     * One person at each company is the first to be asked about a duty that several have; what was just marked wins.
     *
     * @param array<int> $justSaved positions
     */
    private function keepOneFirst(int $companyId, array $justSaved): void
    {
        $rows = DB::table('position_duties')->join('positions', 'positions.id', '=', 'position_id')
            ->where('company_id', $companyId)
            ->orderByRaw('until is not null')->orderBy('position_id')
            ->get(['position_id', 'list_item_id', 'position_duties.is_primary']);
        // Those just marked first, then those marked before; the order stays otherwise.
        $ordered = $rows
            ->sortBy(fn (\stdClass $row) => (int) ! ($row->is_primary && in_array($row->position_id, $justSaved, true)))
            ->values();
        $holders = $ordered->countBy('list_item_id');
        $settled = Primaries::settle($ordered->map(fn (\stdClass $row) => ["duty $row->list_item_id", (bool) $row->is_primary])->all());
        foreach ($ordered as $at => $row) {
            DB::table('position_duties')->where('position_id', $row->position_id)->where('list_item_id', $row->list_item_id)
                ->update(['is_primary' => $settled[$at] && $holders[$row->list_item_id] > 1]);
        }
    }
}
