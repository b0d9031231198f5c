<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** What a condition asks of a value. Of days, *above* is after and *below* is before; of several days one is enough. */
enum Operator: string
{
    case Is = 'is';
    case IsNot = 'is not';
    case Begins = 'begins';
    case Contains = 'contains';
    case Above = 'above';
    case AtLeast = 'at least';
    case Below = 'below';
    case AtMost = 'at most';
    case Between = 'between';
    case During = 'during';
    case NotDuring = 'not during';
    case NotSince = 'not since';
    case Within = 'within';
    case Inside = 'inside';
    case AnyOf = 'any of';
    case AllOf = 'all of';
    case NoneOf = 'none of';
    case Has = 'has';
    case Lacks = 'lacks';

    /** As it is chosen from a list. */
    public function title(FieldType $type): string
    {
        $isDays = $type === FieldType::Day || $type === FieldType::Days;

        return match ($this) {
            self::Below => $isDays ? 'before' : 'below',
            self::Above => $isDays ? 'after' : 'above',
            self::AtLeast => $isDays ? 'on or after' : 'at least',
            self::AtMost => $isDays ? 'on or before' : 'at most',
            self::Begins => 'begins with',
            self::Within => 'within a distance',
            self::Inside => 'inside a rectangle',
            self::Has => 'is there',
            self::Lacks => 'is missing',
            default => $this->value,
        };
    }

    /** How many operands it takes; null for one or more. */
    public function operands(): ?int
    {
        return match ($this) {
            self::Has, self::Lacks => 0,
            self::Between => 2,
            self::AnyOf, self::AllOf, self::NoneOf => null,
            default => 1,
        };
    }

    /** Whether it holds of everything that its opposite does not hold of: what has no value is included. */
    public function isDenial(): bool
    {
        return $this->affirmed() !== $this;
    }

    /** What a denial denies; of anything else, itself. */
    public function affirmed(): self
    {
        return match ($this) {
            self::IsNot => self::Is,
            self::NoneOf => self::AnyOf,
            self::Lacks => self::Has,
            self::NotDuring => self::During,
            self::NotSince => self::AtLeast,
            default => $this,
        };
    }

    /** What a "not" before the field makes of it, as in "not paid since 1 Mar 2026"; null where that is not said. */
    public function denial(): ?self
    {
        return match ($this) {
            self::During => self::NotDuring,
            self::AtLeast => self::NotSince,
            default => null,
        };
    }
}
