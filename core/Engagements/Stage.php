<?php

declare(strict_types=1);

namespace Almanac\Engagements;

/** Where a case or a project stands, in the firm's own words. */
final readonly class Stage
{
    private const MOST_DAYS = 3650;

    private function __construct(public int $id, public string $name, public StageKind $kind, public ?int $mostDays)
    {
    }

    /**
     * @param int|null $mostDays after which it has stood too long; null where that does not matter
     *
     * @throws EngagementRefused when there are no such days
     */
    public static function of(int $id, string $name, StageKind $kind, ?int $mostDays = null): self
    {
        if ($mostDays !== null && ($mostDays < 1 || $mostDays > self::MOST_DAYS)) {
            throw EngagementRefused::noSuchDays(self::MOST_DAYS);
        }

        return new self($id, $name, $kind, $mostDays);
    }
}
