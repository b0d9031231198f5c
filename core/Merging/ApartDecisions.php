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
}
