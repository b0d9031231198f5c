<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

/** Something that a conflict search found of a name. */
final readonly class Finding
{
    /** @param  list<Step>  $way from the party of that name to the one whose role it is */
    private function __construct(public Degree $degree, public int $partyId, public array $way, public ?PastRole $role)
    {
    }

    /** That the name is in the book. */
    public static function known(int $partyId): self
    {
        return new self(Degree::Known, $partyId, [], null);
    }

    /** @param  list<Step>  $way */
    public static function ofRole(Degree $degree, int $partyId, array $way, PastRole $role): self
    {
        return new self($degree, $partyId, $way, $role);
    }

    /**
     * "Tarn & Whitlow — branch of Whitlow Holdings — opposing side in case 2024-007, closed 2025"; of a hidden one only
     * where it is and whom to ask.
     *
     * @param array<int, string> $names of parties
     */
    public function sentence(array $names): string
    {
        if ($this->role?->ask !== null) {
            return self::hidden($this->role->engagement, $this->role->ask);
        }
        $parts = [$names[$this->partyId]];
        foreach ($this->way as $step) {
            $parts[] = "$step->words {$names[$step->partyId]}";
        }
        if ($this->role !== null) {
            $parts[] = "{$this->role->role} in {$this->role->engagement}";
        }

        return implode(' — ', $parts);
    }

    /**
     * What is said of something in a case or a project to those who may not open it.
     *
     * @param string $kind what the firm calls it: "case"
     * @param string $ask who may open it
     */
    public static function hidden(string $kind, string $ask): string
    {
        return "In a $kind that you may not open; ask $ask";
    }
}
