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

    /** An expression in whose order records are sorted, null where they have nothing. */
    public function order(): string;
}
