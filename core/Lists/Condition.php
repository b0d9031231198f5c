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
    /** What asks the same of one choice as of several is one operator: two ways to say it would be two filters. */
    private const OF_ONE = [
        'choice' => ['any of' => Operator::Is, 'none of' => Operator::IsNot],
        'several choices' => ['all of' => Operator::AnyOf],
    ];

    /** @param  list<Value>  $operands */
    private function __construct(public Field $field, public Operator $operator, public array $operands)
    {
    }

    /**
     * @param Value ...$operands of the field's type; choices are given one by one
     *
     * @throws ConditionRefused when the field is private and more is asked than whether it is there, its type cannot be asked that, or the operands are too many, too few, empty,
     *                          of another type or the wrong way round
     */
    public static function of(Field $field, Operator $operator, Value ...$operands): self
    {
        $operands = array_values($operands);
        if ($field->isPrivate && $operator !== Operator::Has && $operator !== Operator::Lacks) {
            throw ConditionRefused::isPrivate($field);
        }
        if (! $field->type->allows($operator)) {
            throw ConditionRefused::notOfType($field, $operator);
        }
        if (count($operands) !== ($operator->operands() ?? max(1, count($operands)))) {
            throw ConditionRefused::wrongCount($field, $operator, count($operands));
        }
        $type = $field->type->operand();
        foreach ($operands as $operand) {
            if ($operand->type !== $type) {
                throw ConditionRefused::otherType($field, $operand->type);
            }
            if ($operand->isEmpty()) {
                throw ConditionRefused::isEmpty($field, $operator);
            }
            $isSpan = $operand->held instanceof Span;
            if ($isSpan !== ($operator === Operator::During || $operator === Operator::NotDuring) || $operand->held instanceof Point
                || ($operand->held instanceof Box) !== ($operator === Operator::Inside)) {
                throw ConditionRefused::otherType($field, $operand->type);
            }
        }
        if (count($operands) === 1) {
            $operator = self::OF_ONE[$field->type->value][$operator->value] ?? $operator;
        }
        if ($operator === Operator::Between && (self::compare($operands[0], $operands[1]) ?? 1) > 0) {
            throw ConditionRefused::wrongWayRound($field);
        }

        return new self($field, $operator, $operands);
    }

    /** Whether it asks the same of the same field, in the same words. */
    public function equals(self $other): bool
    {
        $texts = fn (self $one) => array_map(fn (Value $operand) => $operand->toText(), $one->operands);

        return $this->field->key === $other->field->key && $this->operator === $other->operator && $texts($this) === $texts($other);
    }

    /**
     * What is empty only ever answers *lacks* and denials; amounts of two currencies are never above or below each other.
     *
     * @param Day $today what "this week" is counted from
     */
    public function holds(Value $value, Day $today): bool
    {
        if ($value->isEmpty()) {
            return $this->operator->isDenial();
        }
        if ($value->type === FieldType::Days) {
            return $this->holdsOfAny($value, $today);
        }
        [$first, $second] = [$this->operands[0] ?? null, $this->operands[1] ?? null];

        return match ($this->operator) {
            Operator::During => $this->isDuring($value, $today),
            Operator::NotDuring => ! $this->isDuring($value, $today),
            Operator::NotSince => ! in_array(self::compare($value, $first), [0, 1], true),
            Operator::Within => $first?->held instanceof Near && $value->held instanceof Point && $first->held->holds($value->held),
            Operator::Inside => $first?->held instanceof Box && $value->held instanceof Point && $first->held->holds($value->held),
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

    /** Of several days one is enough, and a denial takes that none of them is. */
    private function holdsOfAny(Value $value, Day $today): bool
    {
        foreach (is_array($value->held) ? $value->held : [] as $day) {
            if ($day instanceof Day && $this->holds(Value::day($day), $today) !== $this->operator->isDenial()) {
                return ! $this->operator->isDenial();
            }
        }

        return $this->operator->isDenial();
    }

    private function isDuring(Value $value, Day $today): bool
    {
        $span = ($this->operands[0] ?? null)?->held;
        if (! $span instanceof Span || ! $value->held instanceof Day) {
            return false;
        }
        [$first, $last] = $span->on($today);

        return ! $value->held->isBefore($first) && ! $value->held->isAfter($last);
    }

    /** @return list<string> */
    private function wanted(): array
    {
        return array_map($this->folded(...), $this->operands);
    }

    /** @return list<string> */
    private function chosen(Value $value): array
    {
        return is_array($value->held) ? array_map(Fold::text(...), $value->texts()) : [$this->folded($value)];
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
            // Letter by letter: PHP would take "8001" and "10115" for numbers.
            is_string($x) && is_string($y) => strcmp(Fold::text($x), Fold::text($y)) <=> 0,
            default => null,
        };
    }
}
