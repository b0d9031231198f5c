<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** What the values of a field are, and so what can be asked of them. */
enum FieldType: string
{
    case Text = 'text';
    case Number = 'number';
    case Amount = 'amount';
    case Day = 'day';
    case Days = 'several days';
    case YesNo = 'yes or no';
    case Choice = 'choice';
    case Choices = 'several choices';
    case Place = 'place';

    /** @return list<Operator> */
    public function operators(): array
    {
        return match ($this) {
            self::Text => [
                Operator::Is, Operator::IsNot, Operator::Begins, Operator::Contains, Operator::Between, Operator::Has, Operator::Lacks,
            ],
            self::Number, self::Amount => [
                Operator::Is, Operator::IsNot, Operator::Above, Operator::AtLeast, Operator::Below, Operator::AtMost, Operator::Between,
                Operator::Has, Operator::Lacks,
            ],
            self::Day => [
                Operator::Is, Operator::Below, Operator::Above, Operator::AtLeast, Operator::AtMost, Operator::Between,
                Operator::During, Operator::NotDuring, Operator::Has, Operator::Lacks,
            ],
            self::Days => [
                Operator::Is, Operator::Below, Operator::AtLeast, Operator::NotSince, Operator::Between,
                Operator::During, Operator::NotDuring, Operator::Has, Operator::Lacks,
            ],
            self::Place => [Operator::Within, Operator::Inside, Operator::Has, Operator::Lacks],
            self::YesNo => [Operator::Is, Operator::Has, Operator::Lacks],
            self::Choice => [Operator::Is, Operator::IsNot, Operator::AnyOf, Operator::NoneOf, Operator::Has, Operator::Lacks],
            self::Choices => [Operator::AnyOf, Operator::AllOf, Operator::NoneOf, Operator::Has, Operator::Lacks],
        };
    }

    /** What is compared with a value of it: one day with several, one choice with several. */
    public function operand(): self
    {
        return match ($this) {
            self::Days => self::Day,
            self::Choices => self::Choice,
            default => $this,
        };
    }

    /** Whether lists are sorted by it from the largest or the latest, and not from the smallest or the first letter. */
    public function isFromTop(): bool
    {
        return in_array($this, [self::Number, self::Amount, self::Day, self::Days, self::YesNo], true);
    }

    public function allows(Operator $operator): bool
    {
        return in_array($operator, $this->operators(), true);
    }
}
