<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Finding\Fold;
use Almanac\Money\DecimalSign;
use Almanac\Money\Money;
use Almanac\Money\TypedNumber;
use Almanac\Refusal;

/** Reads and writes what fields are compared with, the office's way. */
final readonly class Operands
{
    private const LONGEST = 200;

    /**
     * @param string $currency ISO 4217, of amounts that are typed without one
     * @param \Closure(Field): (list<string>|null) $choices what can be chosen; null where anything can be
     * @param \Closure(string): ?Point $places where a ZIP code is
     * @param \Closure(Field, string): list<string> $offers what begins so, of what the book has in a field that can hold anything
     * @param \Closure(Field, string): bool $has whether the book has that in such a field
     */
    public function __construct(
        private TypedDay $dates,
        private string $currency,
        private DecimalSign $sign,
        private \Closure $choices,
        private \Closure $places,
        private \Closure $offers,
        private \Closure $has,
    ) {
    }

    /** @throws Refusal when it cannot be read as what the field is compared with */
    public function read(Field $field, Operator $operator, string $typed): Value
    {
        $text = trim($typed);
        if (mb_strlen($text) > self::LONGEST) {
            throw ConditionRefused::tooLong($field, self::LONGEST);
        }
        if ($operator === Operator::During || $operator === Operator::NotDuring) {
            return Value::span(Span::read($text) ?? throw ConditionRefused::noSuchSpan($text));
        }

        return match ($field->type->operand()) {
            FieldType::Number => Value::number(TypedNumber::read($text, $this->sign)->alone()),
            FieldType::Amount => $this->amount($text),
            FieldType::Day => Value::day($this->dates->read($text)),
            FieldType::YesNo => Value::yesNo(match (Fold::text($text)) {
                'yes', 'y' => true,
                'no', 'n' => false,
                default => throw ConditionRefused::noYesOrNo($field, $text),
            }),
            FieldType::Choice => Value::choice($this->chosen($field, $text) ?? $text),
            FieldType::Place => $operator === Operator::Inside ? Value::box(Box::read($text)) : Value::near(Near::read($text, $this->places)),
            default => Value::text($text),
        };
    }

    /** So that reading it gives the same. */
    public function write(Value $value): string
    {
        return match (true) {
            $value->held instanceof Money => $this->sign->write($value->held->toDecimal())
                .($value->held->currency === $this->currency ? '' : ' '.$value->held->currency),
            $value->type === FieldType::Number => $this->sign->write($value->toText()),
            // Of years before 1000 the figures alone would be read as another.
            $value->held instanceof Day && $value->held->year < 1000 => $value->held->toIso(),
            default => $value->toText(),
        };
    }

    /** What to say where something is chosen that is not, or no longer, on the list; empty where all is well. */
    public function doubt(Field $field, Value $value): string
    {
        return $value->type === FieldType::Choice && $this->choicesOf($field) !== null && $this->chosen($field, $value->toText()) === null
            ? "{$field->title}: there is no “{$value->toText()}”, or no longer. Nobody has it."
            : '';
    }

    /** @return list<string>|null null where anything can be chosen, or nothing is */
    public function choicesOf(Field $field): ?array
    {
        return match ($field->type->operand()) {
            FieldType::Choice => ($this->choices)($field),
            FieldType::YesNo => ['yes', 'no'],
            default => null,
        };
    }

    /** @return list<string> what may be meant by what is typed so far */
    public function proposed(Field $field, string $begun): array
    {
        $choices = $this->choicesOf($field);
        if ($choices === null) {
            return ($this->offers)($field, $begun);
        }
        $folded = Fold::text($begun);

        return array_values(array_filter(
            $choices,
            fn (string $choice) => $folded === '' || str_contains(' '.Fold::text($choice), " $folded"),
        ));
    }

    /** Whether it is on the list, or where anything can be chosen, in the book. */
    public function knows(Field $field, Value $value): bool
    {
        if ($value->type !== FieldType::Choice) {
            return true;
        }
        $choices = $this->choicesOf($field);

        return $choices === null ? ($this->has)($field, $value->toText()) : $this->chosen($field, $value->toText()) !== null;
    }

    /** As it stands on the list. */
    private function chosen(Field $field, string $text): ?string
    {
        foreach ($this->choicesOf($field) ?? [] as $choice) {
            if (Fold::text($choice) === Fold::text($text)) {
                return $choice;
            }
        }

        return null;
    }

    private function amount(string $text): Value
    {
        return Value::amount(Money::fromTyped($text, TypedNumber::read($text, $this->sign)->currency() ?? $this->currency, $this->sign));
    }
}
