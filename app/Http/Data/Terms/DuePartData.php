<?php

declare(strict_types=1);

namespace App\Http\Data\Terms;

use Almanac\Terms\DuePart;
use OpenApi\Attributes as OA;

/** What is due on one day. */
#[OA\Schema(schema: 'DuePart')]
final readonly class DuePartData
{
    private function __construct(
        #[OA\Property(description: 'As in "30%".')]
        public string $percent,
        #[OA\Property(format: 'date')]
        public string $due,
        #[OA\Property]
        public string $dueText,
        #[OA\Property]
        public string $sentence,
    ) {
    }

    public static function of(DuePart $part): self
    {
        return new self($part->percent->toText(), $part->due->toIso(), $part->due->toTextWithWeekday(), $part->sentence);
    }
}
