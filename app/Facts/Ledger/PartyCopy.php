<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\Formatter;
use Almanac\Addresses\Recipient;
use Almanac\Calendar\Day;
use Almanac\TaxIds\TaxIdKind;
use Almanac\Terms\Side;
use App\Models\AddressUse;
use App\Models\Office;
use App\Models\Party;
use App\Models\TaxNumber;

/** The details of a party that a document carries, as they are when it is written. */
final class PartyCopy
{
    /** What each of them is called, for whoever is asked about them. */
    public const TITLES = ['name' => 'name', 'payee' => 'payee', 'address' => 'address', 'taxNumber' => 'tax number'];

    /** @return array{name: string, payee: string, address: list<string>, taxNumber: string} */
    public static function of(Party $party, Side $side, Day $today): array
    {
        // Asked for tens of thousands of a file, most of which are read together.
        $isRead = $party->relationLoaded('addressUses') && $party->relationLoaded('taxNumbers')
            && $party->addressUses->every(fn (AddressUse $use) => $use->relationLoaded('address'));
        if (! $isRead) {
            $party->loadMissing('addressUses.address', 'taxNumbers');
        }
        $use = $party->addressFor($side === Side::Client ? Purpose::Billing : Purpose::RemitTo, $today);
        $name = $party->legal_name ?: $party->display_name;
        $vat = $party->taxNumbers->first(fn (TaxNumber $number) => $number->kind === TaxIdKind::Vat);

        return [
            'name' => $name,
            'payee' => $side === Side::Vendor ? $party->payeeInForce() : '',
            'address' => $use === null ? [] : Formatter::onEnvelope(
                $use->address->postal(),
                ($party->isPerson() ? Recipient::person($party->addressing()->envelopeLine()) : Recipient::organisation($name))
                    ->attention($use->attention)->inCareOf($use->care_of),
                Office::current()->country,
            ),
            // Numbers for the value added tax stand on documents; those of the tax office stay in the record.
            'taxNumber' => $vat === null ? '' : $vat->number()->display(),
        ];
    }
}
