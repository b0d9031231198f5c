<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Calendar\Day;
use App\Facts\Records\SharedAddresses;
use App\Models\AddressUse;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** The section "Addresses". */
#[OA\Schema(schema: 'Addresses')]
final readonly class AddressesData
{
    /** @param  list<AddressData>  $addresses */
    private function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Address'))]
        public array $addresses,
    ) {
    }

    /** @param  \Closure(AddressUse): list<string>  $envelope */
    public static function of(Party $party, int $version, \Closure $envelope, string $homeCountry, Day $today): self
    {
        $shared = SharedAddresses::of($party, $today);

        return new self($version, array_values(
            $party->addressUses->map(fn (AddressUse $use) => AddressData::of($use, $envelope($use), $shared, $homeCountry, $today))->all(),
        ));
    }
}
