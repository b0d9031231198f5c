<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Reach\LocalTime;
use OpenApi\Attributes as OA;

/** What the clock shows where they are. */
#[OA\Schema(schema: 'LocalTime')]
final readonly class LocalTimeData
{
    private function __construct(
        #[OA\Property(description: 'For reading: Tue 15:30.')]
        public string $text,
        #[OA\Property(description: 'By whose time: Zurich.')]
        public string $place,
        #[OA\Property(description: 'From 9 to 17 there.')]
        public bool $isWorkingHours,
    ) {
    }

    public static function orNull(?LocalTime $time): ?self
    {
        return $time === null ? null : new self($time->toText(), $time->place(), $time->isWorkingHours());
    }
}
