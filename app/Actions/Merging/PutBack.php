<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Merging\RowBack;
use App\Database\RowJournal;
use App\Models\Merge;
use App\Models\MergeRow;
use Illuminate\Support\Facades\DB;

/**
 * Puts the rows back that were put together: those of the records themselves exactly as they were, those of others but for
 * what was changed in them since. Runs inside a transaction.
 */
final readonly class PutBack
{
    /** What sections are kept in: what was changed in them since comes back section by section. */
    private const OF_SECTIONS = [
        'parties', 'contact_points', 'address_uses', 'addresses', 'positions', 'position_duties', 'relations', 'tax_numbers',
        'party_codes', 'party_list_items', 'client_terms', 'vendor_terms', 'detail_values',
    ];

    private const NAMING = ['party_id', 'person_id', 'company_id', 'from_id', 'to_id', 'owner_id', 'subject_id'];

    /** Of a record itself, what no section says. */
    private const OF_NO_SECTION = ['archived_on', 'archive_reason'];

    /** What others point into comes first. */
    private const FIRST = ['parties', 'addresses', 'address_uses', 'contact_points', 'positions'];

    public function __construct(private CarryOver $carry)
    {
    }

    /** @return int how many rows could not be, since what they hold to is gone */
    public function handle(Merge $merge): int
    {
        DB::statement('PRAGMA defer_foreign_keys = ON');
        $ids = $merge->sides->pluck('party_id')->all();
        $updated = $inserted = $deleted = [];
        foreach ($merge->rows as $kept) {
            $now = RowJournal::now($kept->table, $kept->key);
            $row = $this->back($kept, $now, $ids);
            match (true) {
                $row === $now => null,
                $row === null => $deleted[] = [$kept->table, $kept->key],
                $now === null => $inserted[] = [$kept->table, $kept->key, $row],
                default => $updated[] = [$kept->table, $kept->key, $row],
            };
        }
        usort($inserted, fn (array $a, array $b) => self::rank($a[0]) <=> self::rank($b[0]));
        foreach ($updated as [$table, $key, $row]) {
            RowJournal::put($table, $key, $row);
        }
        $lost = 0;
        foreach ($inserted as [$table, $key, $row]) {
            $whole = $this->withParents($table, $row);
            $lost += $whole !== null && DB::table($table)->insertOrIgnore($whole) === 1 ? 0 : 1;
        }
        foreach (array_reverse($deleted) as [$table, $key]) {
            RowJournal::put($table, $key, null);
        }
        foreach ($merge->moves as $move) {
            $this->carry->back($move->table, $move->column, $move->ids, $merge->kept_id, $move->from_id);
        }

        return $lost;
    }

    /**
     * @param array<string, scalar|null>|null $now
     * @param array<int> $ids of the records
     *
     * @return array<string, scalar|null>|null
     */
    private function back(MergeRow $kept, ?array $now, array $ids): ?array
    {
        $back = RowBack::of($kept->before, $kept->after, $now);
        if (! in_array($kept->table, self::OF_SECTIONS, true) || ! self::isOf($kept, $ids)) {
            return $back;
        }
        $row = $kept->before;
        foreach (self::OF_NO_SECTION as $column) {
            if ($row !== null && $back !== null && array_key_exists($column, $row)) {
                $row[$column] = $back[$column];
            }
        }

        return $row;
    }

    /** @param  array<int>  $ids */
    private static function isOf(MergeRow $kept, array $ids): bool
    {
        if (in_array($kept->table, ['parties', 'position_duties'], true)) {
            return true;
        }
        foreach (self::NAMING as $column) {
            foreach ([$kept->before, $kept->after] as $image) {
                if (in_array($image[$column] ?? null, $ids, true)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * A row without what is gone of that which it may do without; null where it holds to something that is gone.
     *
     * @param array<string, scalar|null> $row
     *
     * @return array<string, scalar|null>|null
     */
    private function withParents(string $table, array $row): ?array
    {
        foreach (DB::select("PRAGMA foreign_key_list(\"$table\")") as $key) {
            $parent = $row[$key->from] ?? null;
            if ($parent === null || $key->table === $table || DB::table($key->table)->where($key->to, $parent)->exists()) {
                continue;
            }
            if ($key->on_delete !== 'SET NULL') {
                return null;
            }
            $row[$key->from] = null;
        }

        return $row;
    }

    private static function rank(string $table): int
    {
        $at = array_search($table, self::FIRST, true);

        return $at === false ? count(self::FIRST) : $at;
    }
}
