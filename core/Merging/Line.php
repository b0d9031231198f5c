<?php

declare(strict_types=1);

namespace Almanac\Merging;

/** A line of one of the records that become one. */
final readonly class Line
{
    /**
     * @param string $key as in the change log
     * @param array<string, mixed> $row as the state of its section has it
     * @param string|null $doubleOf the key of the line that says the same
     */
    public function __construct(public string $key, public int $partyId, public array $row, public ?string $doubleOf = null)
    {
    }

    /** @param  array<string, mixed>  $row */
    public function with(array $row): self
    {
        return new self($this->key, $this->partyId, $row, $this->doubleOf);
    }
}
