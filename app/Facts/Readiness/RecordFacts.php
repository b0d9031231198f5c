<?php

declare(strict_types=1);

namespace App\Facts\Readiness;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\PostalAddress;
use Almanac\Banking\BankState;
use Almanac\Calendar\Day;
use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use Almanac\Reach\ContactKind;
use Almanac\Readiness\Facts;
use Almanac\Relations\RelationKind;
use Almanac\TaxIds\TaxReporting;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Facts\Details\Sheets;
use App\Facts\Terms\SideDefaults;
use App\Models\AddressUse;
use App\Models\BankDetail;
use App\Models\Caution;
use App\Models\ContactPoint;
use App\Models\ListedTerms;
use App\Models\Office;
use App\Models\Party;
use App\Models\Relation;
use App\Models\TaxNumber;

/** Gathers from a record what its readiness is judged by. */
final class RecordFacts
{
    public const RELATIONS = [
        'contactPoints',
        'addressUses.address',
        'clientTerms',
        'vendorTerms',
        'cautions',
        'listItems',
        'detailValues',
        'taxNumbers',
        'bankDetails',
        'balance',
    ];

    public static function of(Party $party, Day $today): Facts
    {
        $standIn = $party->is_deceased ? self::standIn($party, $today)?->otherThan($party) : null;
        $reader = $standIn?->load('addressUses.address') ?? $party;

        return new Facts(
            $reader->kind,
            $reader->prefix !== '',
            $reader->is_informal,
            $party->is_deceased,
            $party->isArchived(),
            $party->is_client,
            $party->is_vendor,
            self::hasTerms($party, Side::Client, 'is_client_default', $today),
            self::hasTerms($party, Side::Vendor, 'is_vendor_default', $today),
            $party->contactPoints->contains(fn (ContactPoint $point) => $point->kind === ContactKind::Email),
            $reader->addressFor(Purpose::Postal, $today)?->address->postal(),
            $party->addressFor(Purpose::Billing, $today)?->address->postal(),
            self::addressSetFor($party, Purpose::RemitTo, $today),
            self::stops($party, $today),
            $standIn !== null,
            self::missingDetails($party),
            self::reporting($party, $today)->isReportable,
            $party->taxNumbers->contains(fn (TaxNumber $number) => $number->kind->isForForm()),
            $party->form_on !== null,
            $party->clientTerms?->tax_treatment !== null || SideDefaults::ofOffice(Side::Client)->tax_treatment !== null
                || SideDefaults::of($party, Side::Client, $today)->get(SideField::Treatment)->value !== null,
            $party->balance->is_over_limit ?? false,
            $party->payee() !== '',
            $party->bankDetails->contains(
                fn (BankDetail $detail) => $detail->state === BankState::Confirmed && $detail->kind !== BankDetail::PAYEE,
            ),
            $party->bankDetails->contains(fn (BankDetail $detail) => in_array($detail->state, BankDetail::WAITING, true)),
        );
    }

    /** Whether what it is paid goes into the tax report, and why. */
    public static function reporting(Party $party, Day $today): TaxReporting
    {
        return TaxReporting::of(
            Office::current()->country,
            $party->countryOn($today) ?? '',
            $party->legal_form,
            $party->company_name.' '.$party->legal_name,
            $party->is_attorney,
            $party->report_choice,
        );
    }

    /** @return array<string, list<string>> by purpose */
    private static function missingDetails(Party $party): array
    {
        $missing = [];
        foreach (Sheets::of($party)->missing() as $field) {
            $missing[$field->required_for->value ?? ''][] = $field->name;
        }

        return $missing;
    }

    private static function hasTerms(Party $party, Side $side, string $default, Day $today): bool
    {
        $own = $party->sideTerms($side);

        return $own?->payment_terms_id !== null || $own?->shorthand !== null
            || once(fn () => ListedTerms::query()->where($default, true)->exists())
            || SideDefaults::of($party, $side, $today)->terms()->value !== null;
    }

    private static function addressSetFor(Party $party, Purpose $use, Day $today): ?PostalAddress
    {
        return $party->addressUses
            ->first(fn (AddressUse $one) => $one->uses->contains($use) && $one->period()->includes($today))
            ?->address->postal();
    }

    /** Who is written to in place of somebody who has died: the executor, else the next of kin, else the spouse who is left. */
    public static function standIn(Party $party, Day $today): ?Relation
    {
        return Relation::of($party)
            ->with('from', 'to')
            ->get()
            ->filter(
                fn (Relation $one) => $one->seenFrom($party)->standsInAs() !== null &&
                    ! $one->otherThan($party)->is_deceased &&
                    ! $one->otherThan($party)->isArchived() &&
                    ($one->period()->includes($today) ||
                        ($one->seenFrom($party)->kind === RelationKind::Spouse &&
                            $party->deceased_on !== null &&
                            $one->period()->includes($party->deceased_on))),
            )
            ->sortBy(fn (Relation $one) => $one->seenFrom($party)->standsInAs())
            ->first();
    }

    /** @return list<CautionUse> */
    private static function stops(Party $party, Day $today): array
    {
        return array_values($party->cautions
            ->filter(fn (Caution $caution) => $caution->level === CautionLevel::Stop && $caution->value()->period->includes($today))
            ->map(fn (Caution $caution) => $caution->use)->all());
    }
}
