<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\CountryNames;
use Almanac\Banking\BankState;
use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Lists\Collation;
use Almanac\Lists\Point;
use Almanac\Readiness\Purpose as ReadyFor;
use Almanac\Readiness\Readiness;
use Almanac\Records\OfficeList;
use App\Facts\Records\RecordRow;
use App\Facts\Records\ZipPlaces;
use App\Models\Address;
use App\Models\BankDetail;
use App\Models\Party;
use App\Models\Position;
use Symfony\Component\Intl\Languages;

/**
 * The row of record_values of a record: what lists ask of it and sort it by. What changes with others' writing the
 * database keeps itself.
 */
final class KeptValues
{
    /** Bank details that are there, be they confirmed yet or not. */
    public const BANK = [BankState::Confirmed, BankState::OnHold, BankState::Ending];

    /**
     * Load the party with RecordLine::READS and RecordFacts::RELATIONS.
     *
     * @param RecordRow $row as lists show it
     * @param list<Readiness> $readiness
     *
     * @return array<string, scalar|null>
     */
    public static function of(Party $party, RecordRow $row, array $readiness, Day $today): array
    {
        $address = $party->addressFor(Purpose::Postal, $today)?->address;
        $point = self::point($address);

        return [
            'is_in_use' => ! $party->isArchived(),
            'kind' => $party->kind->value,
            'is_client' => $party->is_client,
            'is_vendor' => $party->is_vendor,
            'collated' => Collation::key($party->file_as),
            'letter' => Collation::letter($party->file_as),
            'number' => $party->number,
            'archived_on' => $party->archived_on?->toIso(),
            'form_on' => $party->form_on?->toIso(),
            'no_letters_on' => $party->no_letters_on?->toIso(),
            'added_at' => $party->created_at?->toDateTimeString(),
            'grade' => $party->grade,
            'is_deceased' => $party->is_deceased,
            ...self::classified($party),
            ...self::lacking($party, $readiness),
            'latitude' => $point?->latitude,
            'longitude' => $point?->longitude,
            ...array_map(self::text(...), [
                'country' => $address === null ? '' : CountryNames::of($address->country),
                'region' => $address->region ?? '',
                'locality' => $address->locality ?? '',
                'postcode' => $address->postcode ?? '',
                'industry' => $party->industry,
                'legal_form' => $party->legal_form,
                'types' => implode("\n", $party->listed(OfficeList::Types)),
                'tags' => implode("\n", $party->listed(OfficeList::Tags)),
                'name' => $party->display_name,
                'place' => $row->place,
                'phone' => $row->phone,
                'email' => $row->email,
                'position' => $row->position,
                'works_at' => implode("\n", self::employers($party)),
                'legal_name' => $party->legal_name,
                'preferred' => $party->preferred,
                'payee_name' => $party->payee_name,
                'registration_number' => $party->registration_number,
            ]),
        ];
    }

    /** @return array<string, scalar|null> what the single values of its classification say: nobody is found by them */
    public static function classified(Party $party): array
    {
        return [
            'owner_id' => $party->owner_id,
            'account_manager_id' => $party->account_manager_id,
            'buyer_id' => $party->buyer_id,
            'source' => self::text($party->source),
            'language' => self::text($party->language === '' ? '' : Languages::getName($party->language, 'en')),
        ];
    }

    /**
     * What it has or lacks, which others than its own sections change too.
     *
     * @param list<Readiness> $readiness
     *
     * @return array<string, bool|null>
     */
    public static function lacking(Party $party, array $readiness): array
    {
        $ready = ['has_tax_number' => $party->taxNumbers->isNotEmpty(), 'has_bank' => self::hasBank($party)];
        foreach (ReadyFor::cases() as $purpose) {
            $ready[self::readyColumn($purpose)] = null;
        }
        foreach ($readiness as $one) {
            $ready[self::readyColumn($one->purpose)] = $one->gaps() === [];
        }

        return $ready;
    }

    public static function readyColumn(ReadyFor $purpose): string
    {
        return 'ready_'.strtr($purpose->value, '-', '_');
    }

    /** @return list<string> where somebody works or worked, in an order that no change at the company's other people disturbs */
    public static function employers(Party $party): array
    {
        return $party->isPerson()
            ? array_values($party->heldPositions->sortBy('id')->map(fn (Position $held) => $held->company->display_name)->all())
            : [];
    }

    public static function hasBank(Party $party): bool
    {
        return $party->bankDetails->contains(
            fn (BankDetail $detail) => $detail->kind !== BankDetail::PAYEE && in_array($detail->state, self::BANK, true),
        );
    }

    public static function point(?Address $address): ?Point
    {
        return $address === null || $address->country !== 'US' ? null : ZipPlaces::find($address->postcode);
    }

    private static function text(string $text): ?string
    {
        return $text === '' ? null : Fold::text($text);
    }
}
