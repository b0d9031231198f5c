<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

/** Which roles oppose each other, as the firm has it. The same word means the same in every kind of case. */
final readonly class Opposition
{
    /** @param  array<string, true>  $pairs */
    private function __construct(private array $pairs)
    {
    }

    /** @param  list<array{string, string}>  $pairs names of roles */
    public static function of(array $pairs): self
    {
        $kept = [];
        foreach ($pairs as [$one, $other]) {
            $kept[self::key($one, $other)] = true;
        }

        return new self($kept);
    }

    public function oppose(string $one, string $other): bool
    {
        return isset($this->pairs[self::key($one, $other)]);
    }

    private static function key(string $one, string $other): string
    {
        $pair = [mb_strtolower(trim($one)), mb_strtolower(trim($other))];
        sort($pair);

        return implode("\n", $pair);
    }
}
