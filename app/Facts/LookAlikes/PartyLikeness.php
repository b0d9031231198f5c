<?php

declare(strict_types=1);

namespace App\Facts\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Interchange\PartyRow;
use Almanac\LookAlikes\Likeness;
use Almanac\Reach\ContactKind;
use Almanac\Records\PartyKind;
use Almanac\TaxIds\TaxId;
use Almanac\TaxIds\TaxIdKind;
use App\Models\AddressUse;
use App\Models\Change;
use App\Models\ContactPoint;
use App\Models\FormerRecord;
use App\Models\Party;
use App\Models\PartyCode;
use App\Models\Position;
use App\Models\TaxNumber;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;

/** What is compared of a kept record. */
final class PartyLikeness
{
    /** What a party is loaded with for of(). */
    public const RELATIONS = [
        'contactPoints.line', 'addressUses.address.line', 'taxNumbers', 'codes', 'heldPositions', 'formerNames',
        'formerRecords',
    ];

    /** Columns of a party that are compared as they are. */
    private const NAMES = ['given', 'middle', 'family', 'suffix', 'preferred', 'company_name', 'legal_name'];

    public static function of(Party $party): Likeness
    {
        return self::from(
            $party->kind,
            $party->only(self::NAMES),
            $party->birthDay(),
            array_values($party->contactPoints->map(
                fn (ContactPoint $point) => [$point->kind->value, $point->value, $point->line !== null],
            )->all()),
            array_values($party->addressUses->map(
                fn (AddressUse $use) => [
                    $use->address->lines, $use->address->locality, $use->address->postcode,
                    $use->address->line === null ? '' : $use->address->form,
                ],
            )->all()),
            array_values($party->taxNumbers->map(fn (TaxNumber $number) => $number->token())->all()),
            array_values($party->codes->map(fn (PartyCode $code) => [$code->system, $code->value])->all()),
            array_values($party->heldPositions->map(fn (Position $held) => $held->company_id)->unique()->sort()->all()),
            [
                ...array_values($party->formerNames->map(fn (Change $change) => $change->from)->all()),
                ...$party->isPerson() ? [] : array_values($party->formerRecords->map(fn (FormerRecord $one) => $one->name)->all()),
            ],
        );
    }

    /**
     * The same of somebody who is read from a file.
     *
     * @param list<int> $employers companies that are in the book
     */
    public static function ofRow(PartyRow $row, array $employers): Likeness
    {
        $born = $row->value('birth-date');

        return self::from(
            $row->kind,
            [
                'given' => $row->value('given'), 'middle' => $row->value('middle'), 'family' => $row->value('family'),
                'suffix' => $row->value('suffix'),
                'preferred' => $row->value('preferred'), 'company_name' => $row->value('name'), 'legal_name' => $row->value('legal-name'),
            ],
            $born === '' ? null : Day::fromIso($born),
            array_map(fn (array $point) => [$point['kind'], explode(' x', $point['value'])[0], false], $row->points),
            array_map(fn (array $place) => [$place['lines'], $place['locality'], $place['postcode'], ''], $row->addresses),
            array_map(
                fn (array $number) => TaxNumber::tokenOfTyped(TaxId::of(
                    TaxIdKind::from($number['kind']),
                    $number['country'],
                    $number['value'],
                )),
                $row->taxNumbers,
            ),
            array_map(fn (array $code) => [$code['system'], $code['value']], $row->codes),
            $employers,
            [],
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
        $points = $places = $numbers = $codes = $employers = $former = $found = [];
        $of = fn (string $table) => DB::table($table)->whereIntegerInRaw('party_id', $ids);
        $lines = DB::table('shared_lines')->pluck('id', 'value');
        foreach ($of('contact_points')->orderBy('rank')->get(['party_id', 'kind', 'value']) as $point) {
            $points[$point->party_id][] = [(string) $point->kind, (string) $point->value, isset($lines[$point->value])];
        }
        $uses = $of('address_uses')->join('addresses', 'addresses.id', 'address_id')->orderBy('rank');
        foreach ($uses->get(['party_id', 'postcode', 'locality', 'lines', 'form']) as $place) {
            $places[$place->party_id][] = [
                (string) $place->lines, (string) $place->locality, (string) $place->postcode,
                isset($lines[$place->form]) ? (string) $place->form : '',
            ];
        }
        foreach ($of('tax_numbers')->orderBy('rank')->get(['party_id', 'kind', 'fingerprint']) as $number) {
            $numbers[$number->party_id][] = TaxNumber::tokenOf((string) $number->kind, (string) $number->fingerprint);
        }
        foreach ($of('party_codes')->orderBy('rank')->get(['party_id', 'system', 'value']) as $code) {
            $codes[$code->party_id][] = [(string) $code->system, (string) $code->value];
        }
        foreach (DB::table('positions')->whereIntegerInRaw('person_id', $ids)->distinct()->orderBy('company_id')->get(['person_id', 'company_id']) as $held) {
            $employers[$held->person_id][] = (int) $held->company_id;
        }
        foreach (Change::query()->whereIntegerInRaw('subject_id', $ids)->formerNames()->get(['subject_id', 'from']) as $change) {
            $former[$change->subject_id][] = $change->from;
        }
        // Of companies: what a person was entered as besides is no name that they gave up. Few are looked for among few.
        $others = DB::table('former_records')->whereIntegerInRaw('kept_id', $ids)->join('parties', 'parties.id', 'kept_id');
        foreach ($others->whereRaw('+parties.kind = ?', [PartyKind::Company->value])->orderBy('former_records.number')->get(['kept_id', 'name']) as $one) {
            $former[$one->kept_id][] = $one->name;
        }
        foreach (DB::table('parties')->whereIntegerInRaw('id', $ids)->get(['id', 'kind', 'born_on', ...self::NAMES]) as $party) {
            $id = (int) $party->id;
            $found[$id] = self::from(
                PartyKind::from($party->kind),
                (array) $party,
                $party->born_on === null ? null : Day::fromIso(Crypt::decryptString($party->born_on)),
                $points[$id] ?? [],
                $places[$id] ?? [],
                $numbers[$id] ?? [],
                $codes[$id] ?? [],
                $employers[$id] ?? [],
                $former[$id] ?? [],
            );
        }

        return $found;
    }

    /**
     * @param array<mixed> $names by column
     * @param list<array{string, string, bool}> $points kind, value, and whether it is a shared line
     * @param list<array{string, string, string, string}> $places lines, locality, postcode, and its form where it is shared
     * @param list<string> $numbers
     * @param list<array{string, string}> $codes system and value
     * @param list<int> $employers
     * @param list<string> $former names
     */
    private static function from(
        PartyKind $kind,
        array $names,
        ?Day $born,
        array $points,
        array $places,
        array $numbers,
        array $codes,
        array $employers,
        array $former,
    ): Likeness {
        $name = fn (string $column) => is_string($names[$column] ?? null) ? $names[$column] : '';
        $values = fn (ContactKind $of) => array_column(array_filter($points, fn (array $point) => $point[0] === $of->value), 1);
        $elsewhere = array_map(fn (array $code) => Fold::text($code[0]).'|'.Fold::text($code[1]), $codes);
        $former = array_values(array_unique($former));
        $shared = [
            ...array_column(array_filter($points, fn (array $point) => $point[2]), 1),
            ...array_values(array_filter(array_column($places, 3), fn (string $form) => $form !== '')),
        ];
        $places = array_map(fn (array $place) => array_slice($place, 0, 3), $places);

        return $kind === PartyKind::Person
            ? Likeness::person(
                $name('given'), $name('family'), $values(ContactKind::Phone), $values(ContactKind::Email), $places, $numbers,
                middle: $name('middle'), suffix: $name('suffix'), preferred: $name('preferred'), formerly: $former, born: $born,
                codes: $elsewhere, employers: $employers, shared: $shared,
            )
            : Likeness::company(
                $name('company_name'), $values(ContactKind::Phone), $values(ContactKind::Email), $places, $numbers,
                also: array_values(array_filter([$name('legal_name'), ...$former], fn (string $one) => $one !== '')),
                websites: $values(ContactKind::Website), codes: $elsewhere, shared: $shared,
            );
    }
}
