<?php

declare(strict_types=1);

namespace App\Facts\LookAlikes;

use Almanac\LookAlikes\Likeness;
use Almanac\Reach\ContactKind;
use Almanac\Records\PartyKind;
use App\Models\AddressUse;
use App\Models\ContactPoint;
use App\Models\Party;
use App\Models\TaxNumber;
use Illuminate\Support\Facades\DB;

/** What is compared of a kept record. */
final class PartyLikeness
{
    /** What a party is loaded with for of(). */
    public const RELATIONS = ['contactPoints', 'addressUses.address', 'taxNumbers'];

    public static function of(Party $party): Likeness
    {
        return self::from(
            $party->kind,
            [$party->given, $party->family, $party->company_name],
            array_values($party->contactPoints->map(fn (ContactPoint $point) => [$point->kind->value, $point->value])->all()),
            array_values($party->addressUses->map(fn (AddressUse $use) => [$use->address->postcode, $use->address->lines])->all()),
            array_values($party->taxNumbers->map(fn (TaxNumber $number) => $number->token())->all()),
        );
    }

    /**
     * The same of many, without making a record of each.
     *
     * @param list<int> $ids
     *
     * @return array<int, Likeness> by the number of the party
     */
    public static function ofKept(array $ids): array
    {
        $points = $places = $numbers = $found = [];
        foreach (DB::table('contact_points')->whereIn('party_id', $ids)->orderBy('rank')->get(['party_id', 'kind', 'value']) as $point) {
            $points[$point->party_id][] = [(string) $point->kind, (string) $point->value];
        }
        $uses = DB::table('address_uses')->join('addresses', 'addresses.id', 'address_id')->whereIn('party_id', $ids)->orderBy('rank');
        foreach ($uses->get(['party_id', 'postcode', 'lines']) as $place) {
            $places[$place->party_id][] = [(string) $place->postcode, (string) $place->lines];
        }
        $taxNumbers = DB::table('tax_numbers')->whereIn('party_id', $ids)->orderBy('rank');
        foreach ($taxNumbers->get(['party_id', 'kind', 'fingerprint']) as $number) {
            $numbers[$number->party_id][] = TaxNumber::tokenOf((string) $number->kind, (string) $number->fingerprint);
        }
        foreach (DB::table('parties')->whereIn('id', $ids)->get(['id', 'kind', 'given', 'family', 'company_name']) as $party) {
            $found[(int) $party->id] = self::from(
                PartyKind::from($party->kind),
                [(string) $party->given, (string) $party->family, (string) $party->company_name],
                $points[$party->id] ?? [],
                $places[$party->id] ?? [],
                $numbers[$party->id] ?? [],
            );
        }

        return $found;
    }

    /**
     * @param array{string, string, string} $name given, family and of a company
     * @param list<array{string, string}> $points kind and value
     * @param list<array{string, string}> $places postcode and lines
     * @param list<string> $numbers
     */
    private static function from(PartyKind $kind, array $name, array $points, array $places, array $numbers): Likeness
    {
        [$given, $family, $company] = $name;
        $values = fn (ContactKind $kind) => array_column(array_filter($points, fn (array $point) => $point[0] === $kind->value), 1);
        $at = array_map(fn (array $place) => [$place[0], explode("\n", $place[1])[0]], $places);

        return $kind === PartyKind::Person
            ? Likeness::person($given, $family, $values(ContactKind::Phone), $values(ContactKind::Email), $at, $numbers)
            : Likeness::company($company, $values(ContactKind::Phone), $values(ContactKind::Email), $at, $numbers);
    }
}
