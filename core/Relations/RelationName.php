<?php

declare(strict_types=1);

namespace Almanac\Relations;

use Almanac\Records\PartyKind;

/** What one party is to another, told from one end: a kind that every office knows, or one of the office's own. */
final readonly class RelationName
{
    private function __construct(public string $name, private string $inverseName, public ?RelationKind $kind)
    {
    }

    public static function of(RelationKind $kind): self
    {
        return new self($kind->value, $kind->inverse()->value, $kind);
    }

    /** @param  string  $inverse empty when it is the same from the other end */
    public static function own(string $name, string $inverse): self
    {
        return new self($name, $inverse === '' ? $name : $inverse, null);
    }

    /** The same, told from the other end. */
    public function inverse(): self
    {
        return new self($this->inverseName, $this->name, $this->kind?->inverse());
    }

    /** Whether a party of the first kind may have it to one of the second; what is the office's own fits anybody. */
    public function fits(PartyKind $from, PartyKind $to): bool
    {
        return $this->kind === null || $this->kind->fits($from, $to);
    }

    /** @return int|null who is written to in place of somebody who has died, the nearest first; null for who does not stand in */
    public function standsInAs(): ?int
    {
        return $this->kind?->standsInAs();
    }
}
