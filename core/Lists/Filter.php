<?php

declare(strict_types=1);

namespace Almanac\Lists;

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
     */
    public function holds(\Closure $of): bool
    {
        foreach ($this->parts as $part) {
            $isSo = $part instanceof self ? $part->holds($of) : $part->holds($of($part->field));
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

    /** @param  list<Condition|Filter>  $parts */
    private static function group(bool $isAll, array $parts): self
    {
        foreach ($parts as $part) {
            if ($part instanceof self && array_filter($part->parts, fn (Condition|self $inner) => $inner instanceof self) !== []) {
                throw ConditionRefused::nestedTwice();
            }
        }

        return new self($isAll, $parts);
    }
}
