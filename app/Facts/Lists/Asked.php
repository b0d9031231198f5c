<?php

declare(strict_types=1);

namespace App\Facts\Lists;

/** A part of a query: what the database is asked, and what stands in the places of its question marks. */
final readonly class Asked
{
    /** @param  list<string>  $bindings */
    public function __construct(public string $sql, public array $bindings = [])
    {
    }

    /** @param  list<self>  $some */
    public static function together(array $some, bool $isAll): self
    {
        return match (count($some)) {
            0 => new self('1 = 1'),
            1 => $some[0],
            default => new self(
                '('.implode($isAll ? ' and ' : ' or ', array_map(fn (self $one) => $one->sql, $some)).')',
                array_merge(...array_map(fn (self $one) => $one->bindings, $some)),
            ),
        };
    }

    /** The same within other words, of which %s is what is asked. */
    public function within(string $words): self
    {
        return new self(sprintf($words, $this->sql), $this->bindings);
    }
}
