<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Reach\ContactKind;
use App\Models\Office;
use App\Models\Party;
use App\Models\Position;
use OpenApi\Attributes as OA;

/** A record in a list. Load the party with RELATIONS. */
#[OA\Schema(schema: 'PartyRow')]
final readonly class PartyRowData
{
    public const RELATIONS = ['contactPoints', 'addressUses.address', 'heldPositions.company'];

    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: ['person', 'company'])]
        public string $kind,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $displayName,
        #[OA\Property]
        public string $fileAs,
        #[OA\Property]
        public bool $isClient,
        #[OA\Property]
        public bool $isVendor,
        #[OA\Property]
        public bool $isArchived,
        #[OA\Property(description: 'Where a person works, as in "Director, Brass & Sons".')]
        public string $position,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $phone,
        #[OA\Property]
        public string $email,
    ) {
    }

    public static function of(Party $party): self
    {
        $address = ($party->addressUses->firstWhere('is_primary', true) ?? $party->addressUses->first())?->address;
        $position = $party->isPerson() ? $party->heldPositions->first() : null;

        return new self(
            $party->id,
            $party->kind->value,
            $party->number,
            $party->display_name,
            $party->file_as,
            $party->is_client,
            $party->is_vendor,
            $party->isArchived(),
            $position instanceof Position ? implode(', ', array_filter([$position->title, $position->company->display_name])) : '',
            $address === null ? '' : implode(', ', array_filter([$address->locality, $address->region ?: $address->country])),
            self::primary($party, ContactKind::Phone),
            self::primary($party, ContactKind::Email),
        );
    }

    private static function primary(Party $party, ContactKind $kind): string
    {
        $point = $party->contactPoints->first(fn ($point) => $point->kind === $kind && $point->is_primary);

        return $point?->display(Office::current()->country) ?? '';
    }
}
