<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

/** Who has to do with whom. */
final readonly class Ties
{
    /** @param  array<int, list<Step>>  $from by the party that they lead away from */
    private function __construct(private array $from)
    {
    }

    /** @param  list<Tie>  $ties */
    public static function of(array $ties): self
    {
        $from = [];
        foreach ($ties as $tie) {
            $from[$tie->from][] = new Step($tie->words, $tie->to);
            $from[$tie->to][] = new Step($tie->inverse, $tie->from);
        }

        return new self($from);
    }

    /**
     * Everybody within so many steps of a party, itself included, each by a shortest way; of ways of one length the one
     * whose ties were named first. A walk in breadth (E. F. Moore, "The shortest path through a maze", 1959).
     *
     * @return array<int, list<Step>> the way, by party, the nearest first
     */
    public function within(int $steps, int $partyId): array
    {
        $ways = [$partyId => []];
        $edge = [$partyId];
        for ($step = 1; $step <= $steps; $step++) {
            $reached = [];
            foreach ($edge as $at) {
                foreach ($this->from[$at] ?? [] as $next) {
                    if (! isset($ways[$next->partyId])) {
                        $ways[$next->partyId] = [...$ways[$at], $next];
                        $reached[] = $next->partyId;
                    }
                }
            }
            $edge = $reached;
        }

        return $ways;
    }
}
