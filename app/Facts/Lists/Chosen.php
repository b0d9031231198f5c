<?php

declare(strict_types=1);

namespace App\Facts\Lists;

/** The records that somebody chose: some by their numbers, or all of a list but for a few. */
final readonly class Chosen
{
    /**
     * @param bool $isAll all that the sentence asks for
     * @param list<int> $ids those that are chosen; of all of a list those that are not
     */
    public function __construct(public bool $isAll, public string $sentence, public bool $withArchived, public array $ids)
    {
    }

    /** The list that they are chosen from. */
    public function wanted(): Wanted
    {
        return new Wanted($this->sentence, withArchived: $this->withArchived);
    }
}
