<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

/** That two parties have to do with each other: by a relation, a position, or as clients together. */
final readonly class Tie
{
    private function __construct(public int $from, public int $to, public string $words, public string $inverse)
    {
    }

    /**
     * @param string $words what the first is to the other: "branch of"
     * @param string $inverse what the other is to the first: "head office of"
     */
    public static function of(int $from, int $to, string $words, string $inverse): self
    {
        return new self($from, $to, $words, $inverse);
    }
}
