<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Refusal;

/** A condition that a field cannot be asked. */
final class ConditionRefused extends Refusal
{
    public static function notOfType(Field $field, Operator $operator): self
    {
        $possible = implode(', ', array_map(fn (Operator $one) => $one->value, $field->type->operators()));

        return new self("{$field->title} cannot be asked “{$operator->value}”. It can be asked: $possible.");
    }

    public static function wrongCount(Field $field, Operator $operator, int $given): self
    {
        $wanted = $operator->operands() ?? 'one or more';

        return new self("{$field->title}: “{$operator->value}” takes $wanted to compare with, not $given.");
    }

    public static function otherType(Field $field, FieldType $given): self
    {
        return new self("{$field->title} is compared with a {$field->type->value}, not with a {$given->value}.");
    }

    public static function isEmpty(Field $field, Operator $operator): self
    {
        return new self("{$field->title}: “{$operator->value}” needs something to compare with. Use “has” or “lacks” for what is empty.");
    }

    public static function wrongWayRound(Field $field): self
    {
        return new self("{$field->title}: the first of the two must not be above the second.");
    }

    public static function nestedTwice(): self
    {
        return new self('Groups of conditions may stand in a group, and no deeper.');
    }
}
