<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\Operator;

/** Whether a record is archived: the few that are, are found by an index. */
final class Archived implements Source
{
    public function asks(Condition $condition, Day $today): Asked
    {
        return match (true) {
            $condition->operator === Operator::Has => new Asked('1 = 1'),
            $condition->operator === Operator::Lacks => new Asked('1 = 0'),
            default => new Asked($condition->operands[0]->held === true ? 'v.is_in_use = 0' : '+v.is_in_use = 1'),
        };
    }

    public function grouped(string $alias, Day $today): array
    {
        return ['', $this->order()];
    }

    public function order(): string
    {
        return '(1 - v.is_in_use)';
    }
}
