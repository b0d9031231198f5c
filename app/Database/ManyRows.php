<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;

/** Rows that are written together: a statement for many costs little more than one for each. */
final class ManyRows
{
    /** Of one statement: SQLite takes 32,766. */
    private const VALUES = 20_000;

    /** @param  list<array<string, mixed>>  $rows  all with the same columns */
    public static function insert(string $table, array $rows): void
    {
        foreach ($rows === [] ? [] : array_chunk($rows, max(1, intdiv(self::VALUES, count($rows[0])))) as $some) {
            DB::table($table)->insert($some);
        }
    }
}
