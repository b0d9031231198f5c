<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use App\Database\Ids;
use App\Database\RowJournal;
use App\Register\AtMerge;
use App\Register\PartyReferences;
use App\Register\Reference;
use Illuminate\Support\Facades\DB;

/** Brings what hangs on a record to another, as the register of references has it. Runs inside a transaction. */
final class CarryOver
{
    /** In one statement. */
    private const AT_ONCE = 500;

    /**
     * What comes as it is.
     *
     * @param list<int> $fromIds
     *
     * @return list<array{table: string, column: string, from_id: int, ids: list<int>}> what came from whom
     */
    public function handle(array $fromIds, int $toId): array
    {
        $moves = [];
        foreach (self::of(AtMerge::Moves) as $reference) {
            foreach ($fromIds as $fromId) {
                $ids = Ids::of(DB::table($reference->table)->where($reference->column, $fromId)->orderBy('id')->pluck('id'));
                if ($ids !== []) {
                    DB::table($reference->table)->where($reference->column, $fromId)->update([$reference->column => $toId]);
                    $moves[] = ['table' => $reference->table, 'column' => $reference->column, 'from_id' => $fromId, 'ids' => $ids];
                }
            }
        }

        return $moves;
    }

    /**
     * Those of some rows that are still with the one they came to go back.
     *
     * @param list<int> $ids
     *
     * @return int how many are elsewhere or gone by now
     */
    public function back(string $table, string $column, array $ids, int $fromId, int $toId): int
    {
        $went = 0;
        foreach (array_chunk($ids, self::AT_ONCE) as $some) {
            $went += DB::table($table)->whereIntegerInRaw('id', $some)->where($column, $fromId)->update([$column => $toId]);
        }

        return count($ids) - $went;
    }

    /** @return list<Reference> */
    public static function of(AtMerge $atMerge): array
    {
        return array_values(array_filter(PartyReferences::all(), fn (Reference $one) => $one->atMerge === $atMerge));
    }

    /** @return list<string> tables whose rows are told one by one: what is put together, and what hangs on that */
    public static function told(): array
    {
        return array_values(array_unique([
            'parties', 'position_duties', 'engagements',
            ...array_map(fn (Reference $one) => $one->table, self::of(AtMerge::Settles)),
            'former_records',
        ]));
    }

    /**
     * The last row of each table, so that what comes later is known.
     *
     * @return array<string, int>
     */
    public static function marks(): array
    {
        $marks = [];
        foreach ([...self::of(AtMerge::Moves), ...self::of(AtMerge::Settles)] as $reference) {
            if (! isset($marks[$reference->table]) && in_array('id', RowJournal::key($reference->table), true)) {
                $marks[$reference->table] = (int) DB::table($reference->table)->max('id');
            }
        }
        $marks['allocations'] = (int) DB::table('allocations')->max('id');

        return $marks;
    }
}
