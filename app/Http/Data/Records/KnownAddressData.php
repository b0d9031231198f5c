<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Addresses\Formatter;
use App\Models\Address;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** An address that is in the book already, to be used by link or as a copy. */
#[OA\Schema(schema: 'KnownAddress')]
final readonly class KnownAddressData
{
    /**
     * @param list<string> $text
     * @param list<PartyLinkData> $usedBy
     */
    private function __construct(
        #[OA\Property]
        public int $addressId,
        #[OA\Property]
        public string $country,
        #[OA\Property(description: 'Street, building, floor: one to a line.')]
        public string $lines,
        #[OA\Property]
        public string $locality,
        #[OA\Property]
        public string $region,
        #[OA\Property]
        public string $postcode,
        #[OA\Property(description: 'The lines as they are laid out in its country.', items: new OA\Items(type: 'string'))]
        public array $text,
        #[
            OA\Property(
                description: 'Who is there; the one whose address it is first.',
                items: new OA\Items(ref: '#/components/schemas/PartyLink'),
            ),
        ]
        public array $usedBy,
    ) {
    }

    /** @param  list<Party>  $usedBy */
    public static function of(Address $address, array $usedBy, string $homeCountry): self
    {
        return new self(
            $address->id,
            $address->country,
            $address->lines,
            $address->locality,
            $address->region,
            $address->postcode,
            Formatter::onScreen($address->postal(), $homeCountry),
            array_map(PartyLinkData::of(...), $usedBy),
        );
    }
}
