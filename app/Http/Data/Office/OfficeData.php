<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use Almanac\Access\Role;
use App\Models\Office;
use OpenApi\Attributes as OA;

/** The office whose book this is. */
#[OA\Schema(schema: 'Office')]
final readonly class OfficeData
{
    /**
     * @param list<string> $zones
     * @param list<string> $secondFactorRoles
     */
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
        #[OA\Property(description: 'Whether 12,50 is typed for twelve and a half; null for as the country does.', nullable: true)]
        public ?bool $decimalComma,
        #[OA\Property(description: 'Of the IANA database; empty for that of the address.')]
        public string $timeZone,
        #[OA\Property(description: 'The zone that holds.')]
        public string $zone,
        #[OA\Property]
        public string $phone,
        #[OA\Property]
        public string $email,
        #[OA\Property(description: 'What papers say of how to pay the office.')]
        public string $howToPay,
        #[OA\Property(description: 'Whether clerks make records one, rather than propose it.')]
        public bool $clerksMakeOne,
        #[OA\Property(description: 'Where address books elsewhere may be read, one place on a line.')]
        public string $cardPlaces,
        #[OA\Property(description: 'Where the picture of its logo is read; null for none.', nullable: true)]
        public ?string $logo,
        #[OA\Property(description: 'Time zones to choose from.', items: new OA\Items(type: 'string'))]
        public array $zones,
        #[OA\Property(description: 'Of amounts that are typed without one: ISO 4217, by the country.')]
        public string $currency,
        #[OA\Property(description: 'Roles that sign in with a second factor.', items: new OA\Items(type: 'string', enum: Role::class))]
        public array $secondFactorRoles,
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
            $office->decimal_comma,
            $office->time_zone,
            $office->zone()->getName(),
            $office->phone,
            $office->email,
            (string) $office->how_to_pay,
            $office->clerks_make_one,
            $office->card_places,
            $office->logo_path === null ? null : '/api/office/logo?'.substr(basename($office->logo_path), 0, 12),
            \DateTimeZone::listIdentifiers(),
            $office->currency(),
            $office->second_factor_roles,
        );
    }
}
