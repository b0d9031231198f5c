<?php

declare(strict_types=1);

namespace App\Facts\LookAlikes;

use Almanac\LookAlikes\Likeness;
use Almanac\Reach\ContactKind;
use App\Models\AddressUse;
use App\Models\ContactPoint;
use App\Models\Party;
use App\Models\TaxNumber;

/** What is compared of a kept record. Load the party with RELATIONS. */
final class PartyLikeness
{
    public const RELATIONS = ['contactPoints', 'addressUses.address', 'heldPositions.company', 'taxNumbers'];

    public static function of(Party $party): Likeness
    {
        $values = fn (ContactKind $kind) => array_values($party->contactPoints
            ->filter(fn (ContactPoint $point) => $point->kind === $kind)
            ->map(fn (ContactPoint $point) => $point->value)->all());
        $places = array_values($party->addressUses->map(fn (AddressUse $use) => [
            $use->address->postcode,
            explode("\n", $use->address->lines)[0],
        ])->all());

        $numbers = array_values($party->taxNumbers->map(fn (TaxNumber $number) => $number->token())->all());

        return $party->isPerson()
            ? Likeness::person($party->given, $party->family, $values(ContactKind::Phone), $values(ContactKind::Email), $places, $numbers)
            : Likeness::company($party->company_name, $values(ContactKind::Phone), $values(ContactKind::Email), $places, $numbers);
    }
}
