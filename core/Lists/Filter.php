<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Calendar\Day;

/** Conditions of which all hold, or any; groups of them may stand among them, once. */
final readonly class Filter
{
    /** @param  list<Condition|Filter>  $parts */
    private function __construct(public bool $isAll, public array $parts)
    {
    }

    /** @throws ConditionRefused when a group in it holds groups */
    public static function all(Condition|self ...$parts): self
    {
        return self::group(true, array_values($parts));
    }

    /** @throws ConditionRefused when a group in it holds groups */
    public static function any(Condition|self ...$parts): self
    {
        return self::group(false, array_values($parts));
    }

    /**
     * Nothing asked is nothing left out.
     *
     * @param \Closure(Field): Value $of what the record has in a field
     * @param Day $today what "this week" is counted from
     */
    public function holds(\Closure $of, Day $today): bool
    {
        foreach ($this->parts as $part) {
            $isSo = $part instanceof self ? $part->holds($of, $today) : $part->holds($of($part->field), $today);
            if ($isSo !== $this->isAll) {
                return $isSo;
            }
        }

        return $this->isAll || $this->parts === [];
    }

    /**
     * Those that are asked for, each once: what is private among them takes its right.
     *
     * @return list<Field>
     */
    public function fields(): array
    {
        $fields = [];
        foreach ($this->parts as $part) {
            foreach ($part instanceof self ? $part->fields() : [$part->field] as $field) {
                $fields[$field->key] = $field;
            }
        }

        return array_values($fields);
    }

    /** Whether it asks the same in the same order. */
    public function equals(self $other): bool
    {
        if ($this->isAll !== $other->isAll || count($this->parts) !== count($other->parts)) {
            return false;
        }
        foreach ($this->parts as $at => $part) {
            $theirs = $other->parts[$at];
            $isSame = match (true) {
                $part instanceof self => $theirs instanceof self && $part->equals($theirs),
                default => $theirs instanceof Condition && $part->equals($theirs),
            };
            if (! $isSame) {
                return false;
            }
        }

        return true;
    }

    /** Of everything. */
    public function isEmpty(): bool
    {
        return $this->parts === [];
    }

    /**
     * A group of one is that one, and a group of a kind in one of the same kind is no group: what asks the same is equal.
     *
     * @param list<Condition|Filter> $parts
     */
    private static function group(bool $isAll, array $parts): self
    {
        $flat = [];
        foreach ($parts as $part) {
            array_push($flat, ...$part instanceof self && ($part->isAll === $isAll || count($part->parts) < 2) ? $part->parts : [$part]);
        }
        $parts = $flat;
        if (count($parts) === 1 && $parts[0] instanceof self) {
            return $parts[0];
        }
        foreach ($parts as $part) {
            if ($part instanceof self && array_filter($part->parts, fn (Condition|self $inner) => $inner instanceof self) !== []) {
                throw ConditionRefused::nestedTwice();
            }
        }

        return new self($isAll || count($parts) < 2, $parts);
    }
}
