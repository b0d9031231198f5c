<?php

declare(strict_types=1);

namespace Almanac\Merging;

/** Why records cannot become one as they are, and what would clear it. */
final readonly class Hindrance
{
    /**
     * @param string $what a whole sentence
     * @param string $remedy a whole sentence
     * @param int|null $partyId the record on which it is cleared
     * @param bool $isWaived whether it is enough to say that one knows
     */
    public function __construct(public string $what, public string $remedy, public ?int $partyId = null, public bool $isWaived = false)
    {
    }

    public function toText(): string
    {
        return "$this->what $this->remedy";
    }
}
