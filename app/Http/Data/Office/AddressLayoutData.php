<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use Almanac\Addresses\Layouts;
use OpenApi\Attributes as OA;

/** How an address of a country is typed. The layout with an empty country is every other country's. */
#[OA\Schema(schema: 'AddressLayout')]
final readonly class AddressLayoutData
{
    /**
     * @param list<string> $order
     * @param list<string> $required
     * @param list<NamedCodeData> $regions
     */
    private function __construct(
        #[OA\Property]
        public string $country,
        #[OA\Property(items: new OA\Items(type: 'string', enum: ['lines', 'locality', 'region', 'postcode']))]
        public array $order,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $required,
        #[OA\Property]
        public string $localityName,
        #[OA\Property]
        public string $regionName,
        #[OA\Property]
        public string $postcodeName,
        #[OA\Property]
        public string $postcodeExample,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/NamedCode'))]
        public array $regions,
    ) {
    }

    public static function of(string $country): self
    {
        $layout = Layouts::for($country);

        return new self(
            $country,
            array_column($layout->order(), 'value'),
            array_column($layout->required, 'value'),
            $layout->localityName,
            $layout->regionName,
            $layout->postcodeName,
            $layout->postcodeExample,
            NamedCodeData::list($layout->regions),
        );
    }
}
