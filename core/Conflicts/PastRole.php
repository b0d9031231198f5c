<?php

declare(strict_types=1);

namespace Almanac\Conflicts;

/** What somebody is or was in a case or a project. */
final readonly class PastRole
{
    private function __construct(
        public int $partyId,
        public int $engagementId,
        public string $role,
        public string $engagement,
        public ?string $ask,
    ) {
    }

    /** @param  string  $engagement "case 2024-007, closed 2025" */
    public static function of(int $partyId, int $engagementId, string $role, string $engagement): self
    {
        return new self($partyId, $engagementId, $role, $engagement, null);
    }

    /**
     * In one that whoever searches may not open: it counts, and nothing of it is said.
     *
     * @param string $kind what the firm calls it: "case"
     * @param string $ask who may open it
     */
    public static function hidden(int $partyId, int $engagementId, string $role, string $kind, string $ask): self
    {
        return new self($partyId, $engagementId, $role, $kind, $ask);
    }
}
