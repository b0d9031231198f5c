<?php

declare(strict_types=1);

namespace App\Actions\Finding;

use Illuminate\Support\Facades\DB;

/**
 * What is kept of some records already, so that only what is different is written: most changes of a record leave alone
 * what it is found by, and its words and letters cost more than all the rest.
 */
final readonly class KeptIndex
{
    private const TABLES = ['record_lines', 'record_gaps', 'record_values'];

    /**
     * @param array<string, array<int, array<string, mixed>>> $rows by table and record
     * @param array<int, list<string>> $keys of look-alikes, by record
     */
    private function __construct(private array $rows, private array $keys)
    {
    }

    /** For what was not indexed before. */
    public static function none(): self
    {
        return new self([], []);
    }

    /** @param  array<int>  $ids */
    public static function of(array $ids): self
    {
        $rows = $keys = [];
        foreach (self::TABLES as $table) {
            foreach (DB::table($table)->whereIntegerInRaw('party_id', $ids)->get() as $row) {
                $rows[$table][(int) $row->party_id] = (array) $row;
            }
        }
        foreach (DB::table('look_alike_keys')->whereIntegerInRaw('party_id', $ids)->get() as $row) {
            $keys[(int) $row->party_id][] = (string) $row->key;
        }

        return new self($rows, $keys);
    }

    /**
     * @param array<string, scalar|null> $row without the record
     *
     * @return bool whether it was another
     */
    public function keep(string $table, int $id, array $row, NewRows $new): bool
    {
        $kept = $this->rows[$table][$id] ?? null;
        if ($kept === null) {
            $new->add($table, ['party_id' => $id] + $row);

            return true;
        }
        $changed = array_filter(
            array_map(fn (mixed $value) => is_bool($value) ? (int) $value : $value, $row),
            fn (mixed $value, string $column) => $value !== $kept[$column],
            ARRAY_FILTER_USE_BOTH,
        );

        return $changed !== [] && DB::table($table)->where('party_id', $id)->update($changed) > 0;
    }

    /**
     * @param list<string> $keys of look-alikes
     *
     * @return bool whether they were others
     */
    public function keepKeys(int $id, array $keys, NewRows $rows): bool
    {
        $kept = $this->keys[$id] ?? [];
        $gone = array_diff($kept, $keys);
        if ($gone !== []) {
            DB::table('look_alike_keys')->where('party_id', $id)->whereIn('key', $gone)->delete();
        }
        $new = array_values(array_diff($keys, $kept));
        foreach ($new as $key) {
            $rows->add('look_alike_keys', ['party_id' => $id, 'key' => $key]);
        }

        return $gone !== [] || $new !== [];
    }

    /** Whether it was indexed before. */
    public function has(int $id): bool
    {
        return isset($this->rows['record_lines'][$id]);
    }

    public static function forgetWords(int ...$ids): void
    {
        if ($ids !== []) {
            DB::table('search_words')->whereIntegerInRaw('rowid', $ids)->delete();
            DB::table('search_letters')->whereIntegerInRaw('rowid', $ids)->delete();
        }
    }

    public function forget(int ...$ids): void
    {
        if ($ids === []) {
            return;
        }
        self::forgetWords(...$ids);
        foreach ([...self::TABLES, 'look_alike_keys'] as $table) {
            DB::table($table)->whereIn('party_id', $ids)->delete();
        }
    }
}
