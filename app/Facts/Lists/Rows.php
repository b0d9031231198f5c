<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\Operator;

/** Values that stand in rows of another table, none, one or several for each record. The rows are read once, not for each record. */
final readonly class Rows implements Source
{
    /**
     * @param string $from "select party_id from … where …": the rows that hold a value
     * @param string $value an expression over such a row that gives what Value::toSort() gives of one of them
     * @param string $order an expression over `v`
     * @param string $currency of amounts, an expression that gives ISO 4217
     * @param string $of what the rows name in their first column
     */
    public function __construct(
        private string $from,
        private string $value,
        private string $order,
        private string $currency = '',
        private string $of = 'v.party_id',
    ) {
    }

    public function asks(Condition $condition, Day $today): Asked
    {
        if ($condition->operator === Operator::AllOf) {
            return Asked::together(array_map(
                fn ($operand) => $this->having(Condition::of($condition->field, Operator::AnyOf, $operand), $today, 'in'),
                $condition->operands,
            ), true);
        }

        return match ($condition->operator) {
            Operator::Has => new Asked("$this->of in ($this->from)"),
            Operator::Lacks => new Asked("$this->of not in ($this->from)"),
            default => $this->having($condition, $today, $condition->operator->isDenial() ? 'not in' : 'in'),
        };
    }

    public function grouped(string $alias, Day $today): array
    {
        return $this->groupedBy($this->value, $alias);
    }

    /** @return array{string, string} the years of what are days */
    public function groupedByYear(string $alias): array
    {
        return $this->groupedBy("substr($this->value, 1, 4)", $alias);
    }

    public function order(): string
    {
        return $this->order;
    }

    private function having(Condition $condition, Day $today, string $in): Asked
    {
        return Comparison::of($this->value, $condition, $today, $this->currency)->within("$this->of $in ($this->from and %s)");
    }

    /** @return array{string, string} */
    private function groupedBy(string $value, string $alias): array
    {
        $rows = preg_replace('/^select (\S+)(?: as party_id)? from /', "select $1 as party_id, $value as g from ", $this->from);

        return ["left join (select distinct party_id, g from ($rows)) as $alias on $alias.party_id = $this->of", "$alias.g"];
    }
}
