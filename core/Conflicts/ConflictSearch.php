<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

/**
 * Who of the names in a new case or project is known, and on which side they stood: whoever is alike by name, those they
 * have to do with in one step or two, and the roles that any of them has or had. That a firm looks back before it takes
 * somebody on, and at whom those are tied to, is common practice, no published source.
 */
final readonly class ConflictSearch
{
    private const STEPS = 2;

    /** @param  array<int, list<PastRole>>  $roles by party */
    private function __construct(private Ties $ties, private array $roles, private Opposition $opposition, private int $close)
    {
    }

    /**
     * @param list<PastRole> $roles of everybody within two steps of any name
     * @param int $close steps within which a tie to the other side counts as being on it
     */
    public static function of(Ties $ties, array $roles, Opposition $opposition, int $close = 1): self
    {
        $by = [];
        foreach ($roles as $role) {
            $by[$role->partyId][] = $role;
        }

        return new self($ties, $by, $opposition, max(0, min(self::STEPS, $close)));
    }

    /**
     * @param list<int> $alike parties that may be meant by the name
     * @param string $role that the name has in the new case or project
     *
     * @return list<Finding> what weighs most first, of equal weight the nearest
     */
    public function findings(array $alike, string $role): array
    {
        $findings = [];
        foreach ($alike as $partyId) {
            $roles = [];
            foreach ($this->ties->within(self::STEPS, $partyId) as $reachedId => $way) {
                foreach ($this->roles[$reachedId] ?? [] as $past) {
                    $degree = $this->degree($role, $past, count($way));
                    if ($way === [] || $degree !== Degree::Known) {
                        $roles[] = Finding::ofRole($degree, $partyId, $way, $past);
                    }
                }
            }
            array_push($findings, ...$roles === [] ? [Finding::known($partyId)] : $roles);
        }
        usort($findings, fn (Finding $one, Finding $other) => [$other->degree->weight(), count($one->way)]
            <=> [$one->degree->weight(), count($other->way)]);

        return $findings;
    }

    private function degree(string $role, PastRole $past, int $steps): Degree
    {
        return match (true) {
            ! $this->opposition->oppose($role, $past->role) => Degree::Known,
            $steps <= $this->close => Degree::Opposes,
            default => Degree::Near,
        };
    }
}
