<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Lists\Condition;
use Almanac\Lists\Operator;
use Almanac\Lists\Value;

/**
 * A code in the row that is asked for by what it is called: the core says which of them are meant, and an index of the
 * codes may lead to them.
 */
final readonly class Coded implements Source
{
    /**
     * @param string $column of the codes
     * @param array<string, string> $titles by code; several may be called the same
     */
    public function __construct(private string $column, private array $titles)
    {
    }

    /**
     * @template TCode of \BackedEnum
     *
     * @param list<TCode> $cases
     * @param \Closure(TCode): string $title
     */
    public static function of(string $column, array $cases, \Closure $title): self
    {
        $titles = [];
        foreach ($cases as $case) {
            $titles[(string) $case->value] = $title($case);
        }

        return new self($column, $titles);
    }

    public function asks(Condition $condition, Day $today): Asked
    {
        $meant = array_keys(array_filter($this->titles, fn (string $title) => $condition->holds(Value::choice($title), $today)));
        $codes = "'".implode("', '", array_map(strval(...), $meant))."'";
        // What has no code is something else than whatever is denied.
        $orNone = $condition->operator->isDenial() ? " or $this->column is null" : '';

        return match (true) {
            $condition->operator === Operator::Has => new Asked("$this->column is not null"),
            $condition->operator === Operator::Lacks => new Asked("$this->column is null"),
            default => new Asked($meant === [] ? '(1 = 0'.$orNone.')' : "($this->column in ($codes)$orNone)"),
        };
    }

    public function grouped(string $alias, Day $today): array
    {
        return ['', $this->order()];
    }

    public function order(): string
    {
        $sql = "case $this->column";
        foreach ($this->titles as $code => $title) {
            $sql .= " when '$code' then '".str_replace("'", "''", Fold::text($title))."'";
        }

        return "($sql end)";
    }
}
