<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\Operator;
use Almanac\Lists\Span;
use App\Time\Clock;

/** A moment that stands in the row, asked for by the day that it was on where the office is. */
final readonly class Moment implements Source
{
    public function __construct(private string $column)
    {
    }

    public function asks(Condition $condition, Day $today): Asked
    {
        if ($condition->operator === Operator::Has || $condition->operator === Operator::Lacks) {
            return new Asked($this->column.($condition->operator === Operator::Has ? ' is not null' : ' is null'));
        }
        [$first, $last] = $this->days($condition, $today);
        $within = Asked::together(array_values(array_filter([
            $first === null ? null : new Asked("$this->column >= ?", [Clock::beginningOf($first)->toDateTimeString()]),
            $last === null ? null : new Asked("$this->column < ?", [Clock::beginningOf($last->plusDays(1))->toDateTimeString()]),
        ])), true);

        return $condition->operator->isDenial() ? $within->within("($this->column is null or not %s)") : $within;
    }

    public function grouped(string $alias, Day $today): array
    {
        return ['', $this->column];
    }

    public function order(): string
    {
        return $this->column;
    }

    /** @return array{Day|null, Day|null} the first day and the last; null for no end */
    private function days(Condition $condition, Day $today): array
    {
        [$one, $two] = [($condition->operands[0] ?? null)?->held, ($condition->operands[1] ?? null)?->held];
        if ($one instanceof Span) {
            return $one->on($today);
        }
        if (! $one instanceof Day) {
            throw new \LogicException('A moment is asked for by days.');
        }

        return match ($condition->operator) {
            Operator::Is => [$one, $one],
            Operator::Below => [null, $one->plusDays(-1)],
            Operator::AtMost => [null, $one],
            Operator::Above => [$one->plusDays(1), null],
            Operator::AtLeast => [$one, null],
            Operator::Between => [$one, $two instanceof Day ? $two : $one],
            default => throw new \LogicException("“{$condition->operator->value}” is not asked of a moment."),
        };
    }
}
