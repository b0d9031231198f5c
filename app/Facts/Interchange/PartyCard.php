<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\CountryNames;
use Almanac\Calendar\Day;
use Almanac\Interchange\ContactCard;
use Almanac\Reach\ContactKind;
use Almanac\Records\OfficeList;
use App\Models\AddressUse;
use App\Models\ContactPoint;
use App\Models\Party;
use App\Models\Position;
use App\Models\Values\Fingerprint;
use Ramsey\Uuid\Uuid;

/** A record as phones and mail programs keep it: how it is reached, where it is and where it works, and nothing private. */
final class PartyCard
{
    /** What a party is loaded with for of(). */
    public const RELATIONS = ['contactPoints', 'addressUses.address', 'heldPositions.company', 'listItems'];

    public static function of(Party $party, Day $today): ContactCard
    {
        $held = $party->isPerson() ? $party->heldPositions->first(fn (Position $one) => $one->period()->includes($today)) : null;
        $uses = $party->addressUses->filter(fn (AddressUse $use) => $use->period()->includes($today));

        return new ContactCard(
            'urn:uuid:'.self::uuid($party->id),
            $party->isPerson() ? $party->personName() : null,
            $party->display_name,
            $party->isPerson()
                ? array_values(array_filter([$held->company->display_name ?? '', $held->department ?? '']))
                : [$party->display_name],
            $held->title ?? '',
            array_values($party->contactPoints->map(
                fn (ContactPoint $point) => [$point->kind, self::value($point), $point->label, $point->is_primary],
            )->all()),
            array_values($uses->map(fn (AddressUse $use) => [
                $use->address->lines === '' ? [] : explode("\n", $use->address->lines), $use->address->locality, $use->address->region,
                $use->address->postcode, CountryNames::of($use->address->country), self::label($use), $use->is_primary,
            ])->all()),
            $party->listed(OfficeList::Tags),
            $party->language,
            ($party->updated_at ?? $party->created_at ?? now())->toDateTimeImmutable(),
        );
    }

    /** The same for the same record of this office, and telling nothing else (RFC 9562, 5.8). */
    private static function uuid(int $id): string
    {
        return Uuid::uuid8(substr((string) hex2bin(Fingerprint::of("record $id")), 0, 16))->toString();
    }

    private static function value(ContactPoint $point): string
    {
        return match (true) {
            $point->kind !== ContactKind::Phone => $point->kind === ContactKind::Email ? $point->value : $point->typed,
            $point->extension === '' => $point->value,
            default => "$point->value x$point->extension",
        };
    }

    private static function label(AddressUse $use): string
    {
        return match (true) {
            $use->uses->contains(Purpose::Home) => 'home',
            $use->uses->contains(Purpose::Office) => 'office',
            default => '',
        };
    }
}
