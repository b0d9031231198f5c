<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\CountryNames;
use Almanac\Addresses\Formatter;
use Almanac\Calendar\Day;
use App\Facts\Records\SharedAddresses;
use App\Models\AddressUse;
use OpenApi\Attributes as OA;

/** An address as a party uses it. */
#[OA\Schema(schema: 'Address')]
final readonly class AddressData
{
    /**
     * @param list<string> $uses
     * @param list<string> $text
     * @param list<string> $missing
     * @param list<PartyLinkData> $sharedWith
     * @param list<string> $envelope
     * @param list<string> $label
     */
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $addressId,
        #[
            OA\Property(
                description: 'Whose address it is, when it is used here by link.',
                ref: '#/components/schemas/PartyLink',
                nullable: true,
            ),
        ]
        public ?PartyLinkData $sameAs,
        #[
            OA\Property(
                description: 'Who else uses it, now or later, while this one does: the first of them.',
                items: new OA\Items(ref: '#/components/schemas/PartyLink'),
            ),
        ]
        public array $sharedWith,
        #[OA\Property(description: 'How many more there are who do.')]
        public int $sharedWithMore,
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
        #[OA\Property(description: 'The name it has, where different people share it; else empty.')]
        public string $lineName,
        #[OA\Property(description: 'For a map.')]
        public string $countryName,
        #[OA\Property(description: 'For a map; empty where the region has no code.')]
        public string $regionName,
        #[OA\Property(description: 'A desk or a person whom post is for.')]
        public string $attention,
        #[OA\Property(description: 'Who takes it in for them.')]
        public string $careOf,
        #[OA\Property(items: new OA\Items(type: 'string', enum: Purpose::class))]
        public array $uses,
        #[OA\Property]
        public bool $isPrimary,
        #[OA\Property(ref: '#/components/schemas/Period')]
        public PeriodData $period,
        #[OA\Property(description: 'The lines as they are laid out in its country.', items: new OA\Items(type: 'string'))]
        public array $text,
        #[OA\Property(description: 'Parts without which post does not arrive.', items: new OA\Items(type: 'string'))]
        public array $missing,
        #[OA\Property(description: 'As it stands on an envelope.', items: new OA\Items(type: 'string'))]
        public array $envelope,
        #[OA\Property(description: 'As it prints on a label of 8 lines of 41 characters.', items: new OA\Items(type: 'string'))]
        public array $label,
    ) {
    }

    /** @param  list<string>  $envelope */
    public static function of(AddressUse $use, array $envelope, SharedAddresses $shared, string $homeCountry, Day $today): self
    {
        $postal = $use->address->postal();
        $layout = $postal->layout();

        return new self(
            $use->id,
            $use->address_id,
            $use->isLinked() ? PartyLinkData::of($use->address->owner) : null,
            array_map(PartyLinkData::of(...), $shared->named($use)),
            $shared->more($use),
            $postal->country,
            implode("\n", $postal->lines),
            $postal->locality,
            $postal->region,
            $postal->postcode,
            $use->address->line->name ?? '',
            CountryNames::of($postal->country),
            $layout->regions[$postal->region] ?? '',
            $use->attention,
            $use->care_of,
            array_values($use->uses->map(fn ($purpose) => $purpose->value)->all()),
            $use->is_primary,
            PeriodData::of($use->period(), $today),
            Formatter::onScreen($postal, $homeCountry),
            array_map($layout->nameOf(...), $postal->missing()),
            $envelope,
            Formatter::onLabel($envelope),
        );
    }
}
