<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use App\Models\Office;
use OpenApi\Attributes as OA;

/** The office whose book this is. */
#[OA\Schema(schema: 'Office')]
final readonly class OfficeData
{
    private function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $country,
        #[OA\Property]
        public string $lines,
        #[OA\Property]
        public string $locality,
        #[OA\Property]
        public string $region,
        #[OA\Property]
        public string $postcode,
        #[OA\Property(description: 'Whether 3/4 is typed for March 4.')]
        public bool $monthFirst,
        #[OA\Property(description: 'Of amounts that are typed without one: ISO 4217, by the country.')]
        public string $currency,
    ) {
    }

    public static function of(Office $office): self
    {
        return new self(
            $office->name,
            $office->country,
            $office->lines,
            $office->locality,
            $office->region,
            $office->postcode,
            $office->writesMonthFirst(),
            $office->currency(),
        );
    }
}
