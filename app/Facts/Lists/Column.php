<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\Operator;

/** A value that stands in the row itself. */
final readonly class Column implements Source
{
    /**
     * @param string $value an expression that gives what Value::toSort() gives, and null for what is empty
     * @param string $currency of amounts, an expression that gives ISO 4217
     * @param string $order in whose order it is sorted, where that is not the value itself
     * @param string $known an expression that is 1 where there is a value, for those that are too long to be walked along
     */
    public function __construct(
        private string $value,
        private string $currency = '',
        private string $order = '',
        private string $known = '',
    ) {
    }

    public function asks(Condition $condition, Day $today): Asked
    {
        return match (true) {
            $this->known !== '' && $condition->operator === Operator::Has => new Asked("$this->known = 1"),
            $this->known !== '' && $condition->operator === Operator::Lacks => new Asked("$this->known = 0"),
            $condition->operator === Operator::Has => new Asked("$this->value is not null"),
            $condition->operator === Operator::Lacks => new Asked("$this->value is null"),
            $condition->operator->isDenial() => $this->compared($condition, $today)->within("($this->value is null or not %s)"),
            default => $this->compared($condition, $today),
        };
    }

    public function grouped(string $alias, Day $today): array
    {
        return ['', $this->value];
    }

    public function order(): string
    {
        return $this->order === '' ? $this->value : $this->order;
    }

    private function compared(Condition $condition, Day $today): Asked
    {
        return Comparison::of($this->value, $condition, $today, $this->currency);
    }
}
