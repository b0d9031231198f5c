<?php

declare(strict_types=1);

namespace App\Facts\Records;

use Almanac\Addresses\AddressUse;
use Almanac\Calendar\Day;
use Almanac\Reach\ContactKind;
use App\Models\Office;
use App\Models\Party;
use App\Models\Position;

/** A record as lists show it. */
final readonly class RecordRow
{
    /** The relations of a party that it is read from. */
    public const READS = ['contactPoints', 'addressUses.address', 'heldPositions.company'];

    /** @param  string  $position  where a person works, as in "Director, Brass & Sons" */
    public function __construct(
        public int $id,
        public string $kind,
        public int $number,
        public string $displayName,
        public string $fileAs,
        public bool $isClient,
        public bool $isVendor,
        public bool $isArchived,
        public string $position,
        public string $place,
        public string $phone,
        public string $email,
    ) {
    }

    /** Where it is and works on that day: neither where it was, nor where it will be. Load the party with READS. */
    public static function of(Party $party, Day $today): self
    {
        $address = $party->addressFor(AddressUse::Postal, $today)?->address;
        $position = $party->isPerson() ? $party->heldPositions->first(fn (Position $held) => $held->period()->includes($today)) : null;

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
        return $party->contactPoints
            ->first(fn ($point) => $point->kind === $kind && $point->is_primary)
            ?->display(Office::current()->country) ?? '';
    }
}
