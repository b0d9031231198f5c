<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Notes which rows a piece of work makes, changes and takes away, whoever does it and however deep: the database itself
 * tells, by triggers that are there for this connection and for this long only. So that it can be taken back exactly.
 */
final class RowJournal
{
    private const JOURNAL = 'row_journal';

    /**
     * Runs inside a transaction.
     *
     * @param list<string> $tables in which it looks
     * @param \Closure(): mixed $work
     *
     * @return list<RowChange> in the order in which they were touched first
     */
    public static function of(array $tables, \Closure $work): array
    {
        DB::statement(
            'CREATE TEMP TABLE '.self::JOURNAL.' (id INTEGER PRIMARY KEY, tbl TEXT NOT NULL, key TEXT NOT NULL, row TEXT, UNIQUE (tbl, key))',
        );
        foreach ($tables as $table) {
            self::watch($table);
        }
        try {
            $work();

            return self::read();
        } finally {
            foreach ($tables as $table) {
                foreach (['insert', 'update', 'delete'] as $event) {
                    DB::statement("DROP TRIGGER IF EXISTS temp.journal_{$table}_$event");
                }
            }
            DB::statement('DROP TABLE IF EXISTS temp.'.self::JOURNAL);
        }
    }

    /**
     * The row as it is now; null where there is none.
     *
     * @param array<string, scalar> $key
     *
     * @return array<string, scalar|null>|null
     */
    public static function now(string $table, array $key): ?array
    {
        $row = DB::table($table)
            ->where(fn (Builder $query) => $query->where($key))
            ->selectRaw(self::object(self::columns($table), '').' as row')->value('row');

        return is_string($row) ? self::read1($row) : null;
    }

    /**
     * Makes of the row what it is to be.
     *
     * @param array<string, scalar> $key
     * @param array<string, scalar|null>|null $row null to take it away
     */
    public static function put(string $table, array $key, ?array $row): void
    {
        $now = self::now($table, $key);
        if ($now === $row) {
            return;
        }
        match (true) {
            $row === null => DB::table($table)->where($key)->delete(),
            $now === null => DB::table($table)->insert($row),
            default => DB::table($table)->where($key)->update(array_filter(
                $row,
                fn (mixed $value, string $column) => $value !== ($now[$column] ?? null),
                ARRAY_FILTER_USE_BOTH,
            )),
        };
    }

    /** @return list<string> the columns that make up the primary key */
    public static function key(string $table): array
    {
        $of = array_filter(self::info($table), fn (\stdClass $column) => $column->pk > 0);
        usort($of, fn (\stdClass $a, \stdClass $b) => $a->pk <=> $b->pk);

        return array_map(fn (\stdClass $column) => (string) $column->name, $of);
    }

    private static function watch(string $table): void
    {
        $columns = self::columns($table);
        $key = self::key($table);
        $note = fn (string $event, string $which, string $row): string => 'INSERT INTO '.self::JOURNAL." (tbl, key, row) SELECT '$table', "
            .self::object($key, "$which.").", $row WHERE NOT EXISTS (SELECT 1 FROM ".self::JOURNAL." WHERE tbl = '$table' AND key = ".self::object($key, "$which.").');';
        $was = self::object($columns, 'old.');
        foreach ([
            'insert' => $note('insert', 'new', 'NULL'),
            // Where its key is changed, one row goes and another comes.
            'update' => $note('update', 'old', $was).' '.$note('update', 'new', 'NULL'),
            'delete' => $note('delete', 'old', $was),
        ] as $event => $does) {
            DB::unprepared("CREATE TEMP TRIGGER journal_{$table}_$event AFTER $event ON main.\"$table\" BEGIN $does END");
        }
    }

    /** @return list<RowChange> */
    private static function read(): array
    {
        $changes = [];
        foreach (DB::table(self::JOURNAL)->orderBy('id')->get() as $noted) {
            /** @var array<string, scalar> $key */
            $key = self::read1((string) $noted->key);
            $before = $noted->row === null ? null : self::read1((string) $noted->row);
            $after = self::now((string) $noted->tbl, $key);
            if ($before !== $after) {
                $changes[] = new RowChange((string) $noted->tbl, $key, $before, $after);
            }
        }

        return $changes;
    }

    /** @param  list<string>  $columns */
    private static function object(array $columns, string $of): string
    {
        return 'json_object('.implode(', ', array_map(fn (string $column) => "'$column', $of\"$column\"", $columns)).')';
    }

    /** @return array<string, scalar|null> */
    private static function read1(string $json): array
    {
        /** @var array<string, scalar|null> */
        return json_decode($json, true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return list<string> */
    private static function columns(string $table): array
    {
        return array_map(fn (\stdClass $column) => (string) $column->name, self::info($table));
    }

    /** @return list<\stdClass> */
    private static function info(string $table): array
    {
        static $known = [];

        /** @var list<\stdClass> */
        return $known[$table] ??= DB::select("PRAGMA table_info(\"$table\")");
    }
}
