<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

/** From one party to the next, with what the one is to the other. */
final readonly class Step
{
    public function __construct(public string $words, public int $partyId)
    {
    }
}
