<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Addresses\AddressPart;
use Almanac\Addresses\TypedAddress;
use OpenApi\Attributes as OA;

/** A whole address, taken apart. */
#[OA\Schema(schema: 'AddressParts')]
final readonly class AddressPartsData
{
    /** @param  list<string>  $doubtful */
    private function __construct(
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
        #[OA\Property(description: 'Parts to be looked at.', items: new OA\Items(type: 'string'))]
        public array $doubtful,
    ) {
    }

    public static function of(TypedAddress $typed): self
    {
        return new self(
            $typed->country,
            $typed->lines,
            $typed->locality,
            $typed->region,
            $typed->postcode,
            array_map(fn (AddressPart $part) => $part->value, $typed->doubtful),
        );
    }
}
