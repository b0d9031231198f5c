<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\FieldType;
use Almanac\Lists\Operator;
use Almanac\Lists\Span;
use Almanac\Lists\Value;
use Almanac\Money\Money;
use Brick\Math\BigDecimal;

/** What Condition::holds() says of one value that is not empty, in the words of the database. */
final class Comparison
{
    /**
     * A denial is left to whoever knows what is empty: only what it denies is asked here.
     *
     * @param string $value an expression that gives what Value::toSort() gives
     * @param string $currency of amounts, an expression that gives ISO 4217
     */
    public static function of(string $value, Condition $condition, Day $today, string $currency = ''): Asked
    {
        $operator = $condition->operator->affirmed();
        $operands = $condition->operands;
        if ($operator === Operator::During) {
            $span = $operands[0]->held;
            $operands = $span instanceof Span ? array_map(Value::day(...), $span->on($today)) : [];
        }
        if ($operator === Operator::Begins) {
            $text = (string) $operands[0]->toSort();

            return new Asked("substr($value, 1, ".mb_strlen($text).') = ?', [$text]);
        }
        $texts = $bindings = [];
        foreach ($operands as $operand) {
            [$texts[], $bound] = self::literal($operand);
            array_push($bindings, ...$bound);
        }
        $sql = match ($operator) {
            Operator::Contains => "instr($value, $texts[0]) > 0",
            Operator::Above => "$value > $texts[0]",
            Operator::AtLeast => "$value >= $texts[0]",
            Operator::Below => "$value < $texts[0]",
            Operator::AtMost => "$value <= $texts[0]",
            Operator::Between, Operator::During => "$value between $texts[0] and $texts[1]",
            Operator::Is => "$value = $texts[0]",
            Operator::AnyOf => "$value in (".implode(', ', $texts).')',
            default => throw new \LogicException("“{$operator->value}” is not asked of one value."),
        };
        $held = $operands[0]->held;

        return $condition->field->type === FieldType::Amount && $held instanceof Money
            // Amounts of two currencies are never above or below each other.
            ? new Asked("($sql and $currency = '{$held->currency}')", $bindings)
            : new Asked($sql, $bindings);
    }

    /** @return array{string, list<string>} numbers as they are: what is bound to a question mark is text */
    private static function literal(Value $operand): array
    {
        return match (true) {
            $operand->held instanceof BigDecimal => [(string) $operand->held, []],
            $operand->held instanceof Money => [(string) $operand->held->minor, []],
            is_bool($operand->held) => [$operand->held ? '1' : '0', []],
            default => ['?', [(string) $operand->toSort()]],
        };
    }
}
