<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\Operator;

/** Something that happened on many days, of which the last one is kept: it answers whether it has happened since a day, or ever. */
final readonly class Happened implements Source
{
    private Column $last;

    /** @param  string  $last  the column of record_values */
    public function __construct(private Rows $days, string $last)
    {
        $this->last = new Column("v.$last");
    }

    public function asks(Condition $condition, Day $today): Asked
    {
        return match ($condition->operator) {
            Operator::Has, Operator::Lacks, Operator::AtLeast, Operator::NotSince => $this->last->asks($condition, $today),
            default => $this->days->asks($condition, $today),
        };
    }

    public function grouped(string $alias, Day $today): array
    {
        return $this->days->groupedByYear($alias);
    }

    public function order(): string
    {
        return $this->last->order();
    }
}
