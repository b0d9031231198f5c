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

    /** Whoever may ask for each value in turn has soon learnt it. */
    public static function isPrivate(Field $field): self
    {
        return new self("{$field->title} is private: a list can only ask whether it is there, with “with” or “without”.");
    }

    public static function noSpan(int $most): self
    {
        return new self("Say for how many days: 1 to $most.");
    }

    public static function notOnEarth(): self
    {
        return new self('That is no point on the earth: latitudes go to 90 degrees, longitudes to 180.');
    }

    public static function noDistance(int $most): self
    {
        return new self("Say how far from where, such as “20 miles of 05301” or “30 km of 05301”, and not more than $most.");
    }

    public static function noBox(): self
    {
        return new self('Say the south-west corner and the north-east one, such as “42.8N 72.7W to 43.1N 72.4W”, or draw it on the map.');
    }

    public static function unknownPlace(string $place): self
    {
        return new self("The table of ZIP codes does not have “{$place}”. Type five figures, such as 05301.");
    }

    public static function noSuchSpan(string $text): self
    {
        return new self("“{$text}” is no time such as “this week”, “last 30 days”, “March 2026” or “2025”.");
    }

    public static function noYesOrNo(Field $field, string $text): self
    {
        return new self("{$field->title} is yes or no, not “{$text}”.");
    }

    public static function tooLong(Field $field, int $most): self
    {
        return new self("{$field->title}: keep what it is compared with to $most letters.");
    }

    public static function missing(Field $field, Operator $operator): self
    {
        return new self("{$field->title}: say what it is compared with after “{$operator->value}”.");
    }

    public static function nestedTwice(): self
    {
        return new self('Groups of conditions may stand in a group, and no deeper.');
    }
}
