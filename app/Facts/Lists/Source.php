<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;

/** Where the database has the values of a field: `v` is the row of record_values. */
interface Source
{
    /** So that it gives those of which the condition holds, and nobody else. */
    public function asks(Condition $condition, Day $today): Asked;

    /**
     * What records are counted by: a table to join, if any, and an expression that is the same for those that belong together,
     * null where they have nothing. A record that has several is counted for each.
     *
     * @param string $alias what the table is called in the query
     *
     * @return array{string, string}
     */
    public function grouped(string $alias, Day $today): array;

    /** An expression in whose order records are sorted, null where they have nothing. */
    public function order(): string;
}
