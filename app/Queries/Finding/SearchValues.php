<?php

declare(strict_types=1);

namespace App\Queries\Finding;

use Almanac\Addresses\CountryNames;
use Almanac\Finding\MatchField;
use Almanac\Reach\ContactKind;
use App\Models\ContactPoint;
use App\Models\DetailValue;
use App\Models\File;
use App\Models\ListItem;
use App\Models\Party;
use App\Models\PartyCode;

/** Everything a record is found by, the most telling first. */
final class SearchValues
{
    public const RELATIONS = ['contactPoints', 'addressUses.address', 'heldPositions.company', 'listItems', 'codes', 'files', 'vendorTerms', 'detailValues.field'];

    /** @return list<array{MatchField, string}> */
    public static function of(Party $party): array
    {
        return array_values(array_filter(
            [...self::names($party), ...self::employers($party), ...self::reach($party), ...self::places($party), ...self::others($party)],
            fn (array $pair) => $pair[1] !== '',
        ));
    }

    /** @return list<array{MatchField, string}> */
    private static function names(Party $party): array
    {
        return [
            [MatchField::Name, $party->display_name],
            [MatchField::AlsoKnownAs, $party->legal_name],
            [MatchField::AlsoKnownAs, $party->preferred],
            [MatchField::AlsoKnownAs, $party->payee_name],
            [MatchField::Code, (string) $party->number],
            [MatchField::Code, $party->registration_number],
            [MatchField::Code, $party->vendorTerms->account_number ?? ''],
            ...array_values($party->codes->map(fn (PartyCode $code) => [MatchField::Code, $code->value])->all()),
            ...array_values($party->listItems->map(fn (ListItem $item) => [MatchField::Tag, $item->name])->all()),
        ];
    }

    /** @return list<array{MatchField, string}> */
    private static function employers(Party $party): array
    {
        if (! $party->isPerson()) {
            return [];
        }

        // In an order that no change at the company's other people disturbs.
        return array_values($party->heldPositions->sortBy('id')
            ->map(fn ($position) => [MatchField::WorksAt, $position->company->display_name])->all());
    }

    /** @return list<array{MatchField, string}> */
    private static function reach(Party $party): array
    {
        return array_values($party->contactPoints->flatMap(fn (ContactPoint $point) => match ($point->kind) {
            // As it is dialled at home and from abroad.
            ContactKind::Phone => [
                [MatchField::Phone, $point->display($point->homeRegion())],
                [MatchField::Phone, $point->display('')],
            ],
            default => [[MatchField::Email, $point->display('')]],
        })->all());
    }

    /** @return list<array{MatchField, string}> what the firm’s own sheets say, unless it is secret, and the names of files that everybody may open */
    private static function others(Party $party): array
    {
        return [
            ...array_values($party->detailValues->reject(fn (DetailValue $value) => $value->field->isSecret())->map(fn (DetailValue $value) => [MatchField::Detail, str_replace("\n", ' ', $value->text($value->field))])->all()),
            ...array_values($party->files->reject(fn (File $file) => $file->is_private)->map(fn (File $file) => [MatchField::File, $file->name])->all()),
        ];
    }

    /** @return list<array{MatchField, string}> */
    private static function places(Party $party): array
    {
        return array_values($party->addressUses->map(fn ($use) => [MatchField::Place, implode(' ', array_filter([
            $use->address->locality,
            $use->address->region,
            $use->address->postcode,
            CountryNames::of($use->address->country),
        ]))])->all());
    }
}
