<?php

declare(strict_types=1);

namespace Almanac\Records;

/**
 * A value that a record has of its own, or takes over from another while it has none.
 *
 * @template T
 */
final readonly class Inherited
{
    /** @param  T|null  $value */
    private function __construct(public mixed $value, public string $from)
    {
    }

    /**
     * The nearest wins: the record's own, then those of the others in their order.
     *
     * @template V
     *
     * @param V|null $own
     * @param list<array{string, V|null}> $others from whom, and what it is there
     *
     * @return self<V>
     */
    public static function nearest(mixed $own, array $others): self
    {
        if ($own !== null) {
            return new self($own, '');
        }
        foreach ($others as [$from, $value]) {
            if ($value !== null) {
                return new self($value, $from);
            }
        }

        return new self(null, '');
    }

    public function isInherited(): bool
    {
        return $this->from !== '';
    }
}
