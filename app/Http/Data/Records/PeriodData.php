<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Calendar\Day;
use Almanac\Records\Period;
use OpenApi\Attributes as OA;

/** From when until when something holds; either end may be open. */
#[OA\Schema(schema: 'Period')]
final readonly class PeriodData
{
    private function __construct(
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $since,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $until,
        #[OA\Property(description: 'As it is typed again when it is edited; empty when the end is open.')]
        public string $sinceText,
        #[OA\Property]
        public string $untilText,
        #[OA\Property(description: 'For reading; empty when both ends are open.')]
        public string $text,
        #[OA\Property]
        public bool $isInForce,
    ) {
    }

    public static function of(Period $period, Day $today): self
    {
        return new self(
            $period->since?->toIso(),
            $period->until?->toIso(),
            $period->since?->toText() ?? '',
            $period->until?->toText() ?? '',
            $period->toText(),
            $period->includes($today),
        );
    }
}
