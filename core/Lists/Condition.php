<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Money\Money;
use Brick\Math\BigDecimal;

/** One thing asked of one field. */
final readonly class Condition
{
    /** @param  list<Value>  $operands */
    private function __construct(public Field $field, public Operator $operator, public array $operands)
    {
    }

    /**
     * @param Value ...$operands of the field's type; choices are given one by one
     *
     * @throws ConditionRefused when the field's type cannot be asked that, or the operands are too many, too few, empty,
     *                          of another type or the wrong way round
     */
    public static function of(Field $field, Operator $operator, Value ...$operands): self
    {
        $operands = array_values($operands);
        if (! $field->type->allows($operator)) {
            throw ConditionRefused::notOfType($field, $operator);
        }
        if (count($operands) !== ($operator->operands() ?? max(1, count($operands)))) {
            throw ConditionRefused::wrongCount($field, $operator, count($operands));
        }
        $type = $field->type === FieldType::Choices ? FieldType::Choice : $field->type;
        foreach ($operands as $operand) {
            if ($operand->type !== $type) {
                throw ConditionRefused::otherType($field, $operand->type);
            }
            if ($operand->isEmpty()) {
                throw ConditionRefused::isEmpty($field, $operator);
            }
        }
        if ($operator === Operator::Between && (self::compare($operands[0], $operands[1]) ?? 1) > 0) {
            throw ConditionRefused::wrongWayRound($field);
        }

        return new self($field, $operator, $operands);
    }

    /** What is empty only ever answers *lacks* and denials; amounts of two currencies are never above or below each other. */
    public function holds(Value $value): bool
    {
        if ($value->isEmpty()) {
            return $this->operator->isDenial();
        }
        [$first, $second] = [$this->operands[0] ?? null, $this->operands[1] ?? null];

        return match ($this->operator) {
            Operator::Has => true,
            Operator::Lacks => false,
            Operator::Begins => str_starts_with($this->folded($value), $this->folded($first)),
            Operator::Contains => str_contains($this->folded($value), $this->folded($first)),
            Operator::AnyOf => array_intersect($this->wanted(), $this->chosen($value)) !== [],
            Operator::AllOf => array_diff($this->wanted(), $this->chosen($value)) === [],
            Operator::NoneOf => array_intersect($this->wanted(), $this->chosen($value)) === [],
            Operator::Is => self::compare($value, $first) === 0,
            Operator::IsNot => self::compare($value, $first) !== 0,
            Operator::Above => self::compare($value, $first) === 1,
            Operator::Below => self::compare($value, $first) === -1,
            Operator::AtLeast => in_array(self::compare($value, $first), [0, 1], true),
            Operator::AtMost => in_array(self::compare($value, $first), [0, -1], true),
            Operator::Between => in_array(self::compare($value, $first), [0, 1], true)
                && in_array(self::compare($value, $second), [0, -1], true),
        };
    }

    /** @return list<string> */
    private function wanted(): array
    {
        return array_map($this->folded(...), $this->operands);
    }

    /** @return list<string> */
    private function chosen(Value $value): array
    {
        return is_array($value->held) ? array_map(Fold::text(...), $value->held) : [$this->folded($value)];
    }

    private function folded(?Value $value): string
    {
        return Fold::text($value?->toText() ?? '');
    }

    /** -1, 0 or 1; null where the two have no order. */
    private static function compare(Value $a, ?Value $b): ?int
    {
        [$x, $y] = [$a->held, $b?->held];

        return match (true) {
            $x instanceof Money && $y instanceof Money => $x->currency === $y->currency ? $x->minor <=> $y->minor : null,
            $x instanceof BigDecimal && $y instanceof BigDecimal => $x->compareTo($y),
            $x instanceof Day && $y instanceof Day => $x->number <=> $y->number,
            is_bool($x) && is_bool($y) => $x <=> $y,
            is_string($x) && is_string($y) => Fold::text($x) <=> Fold::text($y),
            default => null,
        };
    }
}
