<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Models\Party;
use OpenApi\Attributes as OA;

/** The section "Reach". */
#[OA\Schema(schema: 'Reach')]
final readonly class ReachData
{
    /** @param  list<ContactPointData>  $contactPoints */
    private function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ContactPoint'))]
        public array $contactPoints,
        #[OA\Property(ref: '#/components/schemas/LocalTime', nullable: true)]
        public ?LocalTimeData $localTime,
    ) {
    }

    public static function of(Party $party, int $version, string $homeCountry, ?LocalTimeData $localTime): self
    {
        return new self($version, array_values(
            $party->contactPoints->map(fn ($point) => ContactPointData::of($point, $homeCountry))->all(),
        ), $localTime);
    }
}
