<?php

declare(strict_types=1);

namespace Almanac\Merging;

/** What somebody has decided of what came, and changed, while records were one; of the rest what is proposed holds. */
final readonly class ApartDecisions
{
    /**
     * @param array<string, int> $belongs to whom something goes that came since, by what it is: "documents:12"
     * @param array<string, list<int>> $has who has a value as it is now, by section and part; the others have what they had
     */
    public function __construct(public array $belongs = [], public array $has = [])
    {
    }

    /**
     * To whom something goes: as it is decided, where that is one of them.
     *
     * @param array<int, mixed> $names of the records, by their numbers
     */
    public function goesTo(string $item, int $proposed, array $names): int
    {
        $chosen = $this->belongs[$item] ?? $proposed;

        return isset($names[$chosen]) ? $chosen : $proposed;
    }
}
