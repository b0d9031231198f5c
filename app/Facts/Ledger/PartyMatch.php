<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

/** Whose a document of a file is: the one, or what is in the way and who it may be. */
final readonly class PartyMatch
{
    /** @param  list<int>  $candidates  the likeliest first */
    private function __construct(public ?int $partyId, public string $problem, public array $candidates)
    {
    }

    public static function is(int $partyId): self
    {
        return new self($partyId, '', []);
    }

    /** @param  list<int>  $candidates */
    public static function doubtful(string $problem, array $candidates): self
    {
        return new self(null, $problem, $candidates);
    }
}
