<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use Almanac\Banking\AccountKind;
use Almanac\Banking\BankState;
use Almanac\Interchange\PartyColumns;
use Almanac\Interchange\PartyRow;
use Almanac\Ledger\DocumentState;
use Almanac\Money\Money;
use Almanac\Reach\PhoneNumber;
use Almanac\Records\OfficeList;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Facts\Terms\SideDefaults;
use App\Models\AddressUse;
use App\Models\BankDetail;
use App\Models\ContactPoint;
use App\Models\Document;
use App\Models\LogEntry;
use App\Models\Office;
use App\Models\Party;
use App\Models\PartyCode;
use App\Models\Position;
use App\Models\TaxNumber;

/** A record as a line of a table holds it. */
final class RowOfParty
{
    /** What a party is loaded with for of(). */
    public const RELATIONS = [
        'contactPoints', 'addressUses.address', 'heldPositions.company', 'listItems', 'codes', 'owner', 'accountManager', 'buyer',
        'clientTerms.listed', 'vendorTerms.listed', 'taxNumbers', 'bankDetails', 'detailValues.field', 'openings', 'logEntries',
    ];

    /** @param  array<string, string>  $terms  shorthand of the office's listed terms, by their names */
    public static function of(Party $party, array $terms): PartyRow
    {
        return new PartyRow(
            $party->kind,
            self::values($party, $terms),
            array_values($party->contactPoints->map(fn (ContactPoint $point) => [
                'kind' => $point->kind->value,
                'value' => PhoneNumber::inFullOf($point->value, $point->extension), 'typed' => $point->typed,
                'label' => $point->label,
            ])->all()),
            array_values($party->addressUses->map(fn (AddressUse $use) => [
                ...$use->address->only('country', 'lines', 'locality', 'region', 'postcode'),
                'attention' => $use->attention, 'careOf' => $use->care_of,
                'uses' => array_values($use->uses->map(fn ($one) => $one->value)->all()),
            ])->all()),
            $party->isPerson() ? array_values($party->heldPositions->map(fn (Position $held) => [
                'company' => $held->company->display_name, 'title' => $held->title, 'department' => $held->department,
            ])->all()) : [],
            $party->listed(OfficeList::Types),
            $party->listed(OfficeList::Tags),
            array_values($party->codes->map(fn (PartyCode $code) => $code->only('system', 'value'))->all()),
            array_values($party->taxNumbers->map(
                fn (TaxNumber $number) => ['kind' => $number->kind->value] + $number->only('country', 'value'),
            )->all()),
            self::accounts($party),
            $party->logEntries->map(fn (LogEntry $entry) => $entry->text)->implode("\n\n"),
        );
    }

    /**
     * @param array<string, string> $terms
     *
     * @return array<string, string>
     */
    private static function values(Party $party, array $terms): array
    {
        $names = $party->isPerson() ? [
            'prefix' => $party->prefix, 'given' => $party->given, 'middle' => $party->middle, 'family' => $party->family,
            'suffix' => $party->suffix,
            'post-nominals' => $party->post_nominals, 'preferred' => $party->preferred, 'pronouns' => $party->pronouns,
            'informal' => self::yes($party->is_informal), 'birth-date' => $party->born_on ?? '',
            'deceased' => $party->deceased_on?->toIso() ?? self::yes($party->is_deceased),
        ] : [
            'name' => $party->company_name, 'legal-name' => $party->legal_name, 'payee' => $party->payee_name,
            'legal-form' => $party->legal_form,
            'registration-number' => $party->registration_number, 'industry' => $party->industry,
        ];
        $values = $names + [
            'number' => (string) $party->number, 'client' => self::yes($party->is_client), 'vendor' => self::yes($party->is_vendor),
            'owner' => $party->owner->name ?? '', 'account-manager' => $party->accountManager->name ?? '',
            'buyer' => $party->buyer->name ?? '',
            'source' => $party->source, 'language' => $party->language, 'grade' => (string) $party->grade,
            'no-letters' => $party->no_letters_on?->toIso() ?? '', 'no-letters-how' => $party->no_letters_how,
            'form-on' => $party->form_on?->toIso() ?? '',
        ];
        foreach (Side::cases() as $side) {
            $values += self::side($party, $side, $terms);
        }
        foreach ($party->detailValues as $value) {
            $values["detail:$value->field_id"] = $value->text($value->field);
        }

        return $values;
    }

    /**
     * @param array<string, string> $terms
     *
     * @return array<string, string>
     */
    private static function side(Party $party, Side $side, array $terms): array
    {
        $own = $side === Side::Client ? $party->clientTerms : $party->vendorTerms;
        $shorthand = $own?->listed === null ? $own->shorthand ?? '' : '';
        $named = $shorthand === '' ? false : array_search($shorthand, $terms, true);
        $values = ["$side->value-terms" => $own->listed->name ?? (is_string($named) ? $named : $shorthand)];
        foreach (array_intersect(array_column(PartyColumns::SIDE_FIELDS, 'value'), array_column(SideField::of($side), 'value')) as $name) {
            $value = $own?->getAttribute(SideDefaults::column(SideField::from($name)));
            $values["$side->value-$name"] = match (true) {
                $value instanceof \BackedEnum => (string) $value->value,
                $name === SideField::Limit->value && is_int($value) => Money::ofMinor(
                    $value,
                    $own->currency ?? Office::current()->currency(),
                )->toDecimal(),
                is_scalar($value) => (string) $value,
                default => '',
            };
        }
        $opening = $party->openings->first(fn (Document $one) => $one->kind->side() === $side && $one->state !== DocumentState::Void);
        $values[$side === Side::Client ? 'receivable' : 'payable'] = $opening instanceof Document ? $opening->total()->toDecimal() : '';

        return $values;
    }

    /** @return list<array{kind: string, iban: string, bic: string, routing: string, sortCode: string, account: string, use: string, holder: string, bankName: string}> in force, or on hold */
    private static function accounts(Party $party): array
    {
        $accounts = [];
        foreach ($party->bankDetails->sortBy(fn (BankDetail $detail) => $detail->state === BankState::OnHold) as $detail) {
            $account = in_array($detail->state, [BankState::Confirmed, ...BankDetail::WAITING], true) ? $detail->account() : null;
            if ($account !== null) {
                $isIban = $account->kind === AccountKind::Iban;
                $accounts[] = [
                    'kind' => $account->kind->value, 'iban' => $isIban ? $account->account : '', 'bic' => $isIban ? $account->bank : '',
                    'routing' => $account->kind === AccountKind::UsAccount ? $account->bank : '',
                    'sortCode' => $account->kind === AccountKind::UkAccount ? $account->bank : '',
                    'account' => $isIban ? '' : $account->account, 'use' => $account->use->value ?? '',
                    'holder' => $detail->holder, 'bankName' => $detail->bank_name,
                ];
            }
        }

        return $accounts;
    }

    private static function yes(bool $is): string
    {
        return $is ? 'yes' : 'no';
    }
}
