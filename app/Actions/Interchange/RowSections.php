<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Finding\Fold;
use Almanac\Interchange\PartyColumns;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\Places;
use Almanac\Reach\ContactKind;
use Almanac\Reach\PhoneNumber;
use Almanac\Reach\ReachRefused;
use Almanac\Records\OfficeList;
use Almanac\Records\SectionName;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Actions\Records\Sections;
use App\Facts\Interchange\MatchRows;
use App\Models\DetailField;
use App\Models\ListedTerms;
use App\Models\ListItem;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;

/**
 * What a line says, as the sections of a record take it in: what they are, with what comes to them. Sections of which the
 * line says nothing are left out.
 *
 * @phpstan-import-type Postal from PartyRow
 * @phpstan-import-type Held from PartyRow
 * @phpstan-import-type Point from PartyRow
 */
final readonly class RowSections
{
    private const IDENTITY = [
        'prefix' => 'prefix', 'given' => 'given', 'middle' => 'middle', 'family' => 'family', 'suffix' => 'suffix',
        'preferred' => 'preferred', 'pronouns' => 'pronouns',
        'post-nominals' => 'postNominals', 'birth-date' => 'birthDate', 'name' => 'name', 'legal-name' => 'legal',
        'payee' => 'payee', 'legal-form' => 'legalForm',
        'registration-number' => 'registrationNumber', 'industry' => 'industry',
    ];

    private const FLAGS = ['client' => 'isClient', 'vendor' => 'isVendor', 'informal' => 'isInformal'];

    private const COLLEAGUES = ['owner' => 'ownerId', 'account-manager' => 'accountManagerId', 'buyer' => 'buyerId'];

    public function __construct(private Sections $sections, private Clock $clock)
    {
    }

    /**
     * @param bool $takesNewWords whether types that are not in the list are added to it
     * @param array<int, Postal> $moved addresses that replace the one at that place
     * @param array<int, Held> $held positions that are other, by their place
     * @param array<string, int> $companies at which the line says that somebody works, by the keys of their names
     *
     * @return array<string, array<string, mixed>> by the name of the section, in the order in which they are written
     */
    public function of(Party $party, PartyRow $row, bool $takesNewWords, array $moved = [], array $held = [], array $companies = []): array
    {
        $state = function (SectionName $name) use ($party): array {
            $section = $this->sections->named($name);

            return $section === null ? [] : $section->state($party->exists ? $party->loadMissing($section->reads()) : $party);
        };
        $of = [
            SectionName::Identity->value => $this->identity($row, $state),
            SectionName::Addresses->value => $this->addresses($row, $moved, $state),
            SectionName::Reach->value => $this->reach($party, $row, $state),
            SectionName::Classification->value => $this->classification($row, $takesNewWords, $state),
            SectionName::Details->value => $this->details($row),
            SectionName::TaxNumbers->value => $this->taxNumbers($row, $state),
            SectionName::Positions->value => $this->positions($row, $held, $companies, $state),
        ];
        foreach (Side::cases() as $side) {
            $of["$side->value-terms"] = $this->terms($side, $row, $state);
        }

        return array_filter($of, fn (?array $input) => $input !== null);
    }

    /**
     * @param \Closure(SectionName): array<string, mixed> $state
     *
     * @return array<string, mixed>|null
     */
    private function identity(PartyRow $row, \Closure $state): ?array
    {
        $changes = [];
        foreach (array_intersect_key(self::IDENTITY, $row->values) as $key => $name) {
            $changes[$name] = $row->value($key);
        }
        foreach (array_intersect_key(self::FLAGS, $row->values) as $key => $name) {
            $changes[$name] = $row->value($key) === 'yes';
        }
        $died = $row->value('deceased');
        if ($died !== '') {
            $changes += ['isDeceased' => $died !== 'no', 'deceasedOn' => in_array($died, ['yes', 'no'], true) ? '' : $died];
        }

        return $changes === [] ? null : $changes + $state(SectionName::Identity);
    }

    /**
     * @param \Closure(SectionName): array<string, mixed> $state
     *
     * @return array<string, mixed>|null
     */
    private function reach(Party $party, PartyRow $row, \Closure $state): ?array
    {
        if ($row->points === []) {
            return null;
        }
        $countries = array_values(array_unique([
            $party->countryOn($this->clock->today()) ?? Office::current()->country, ...array_column($row->addresses, 'country'),
        ]));
        /** @var list<array<string, mixed>> $rows */
        $rows = $state(SectionName::Reach)['contactPoints'];
        foreach ($row->points as $point) {
            $rows[] = [
                'id' => null, 'kind' => $point['kind'], 'value' => self::typed($point, $countries), 'label' => $point['label'], 'uses' => [],
                'isPrimary' => false,
                'sameAsId' => null, 'addressUseId' => null,
            ];
        }

        return ['contactPoints' => $rows];
    }

    /**
     * As it was typed, where it is read again as it was when the line was checked; else the number in full: the record may be
     * of another country than the file.
     *
     * @param Point $point
     * @param list<string> $countries in which it may be read
     */
    private static function typed(array $point, array $countries): string
    {
        if ($point['kind'] !== ContactKind::Phone->value) {
            return $point['typed'];
        }
        foreach ($countries as $country) {
            try {
                if (PhoneNumber::fromTyped($point['typed'], $country)->inFull() !== $point['value']) {
                    return $point['value'];
                }
            } catch (ReachRefused) {
                return $point['value'];
            }
        }

        return $point['typed'];
    }

    /**
     * @param array<int, Postal> $moved
     * @param \Closure(SectionName): array<string, mixed> $state
     *
     * @return array<string, mixed>|null
     */
    private function addresses(PartyRow $row, array $moved, \Closure $state): ?array
    {
        if ($row->addresses === [] && $moved === []) {
            return null;
        }
        /** @var list<array<string, mixed>> $rows */
        $rows = $state(SectionName::Addresses)['addresses'];
        foreach ($moved as $at => $address) {
            // An address that others use too stays theirs; this one is typed anew.
            $rows[$at] = ['linkedAddressId' => null, 'addressId' => null] + $address + $rows[$at];
        }
        foreach ($row->addresses as $address) {
            $rows[] = ['id' => null, 'linkedAddressId' => null, 'isPrimary' => false, 'since' => '', 'until' => ''] + $address;
        }

        return ['addresses' => $rows];
    }

    /**
     * @param \Closure(SectionName): array<string, mixed> $state
     *
     * @return array<string, mixed>|null
     */
    private function classification(PartyRow $row, bool $takesNewWords, \Closure $state): ?array
    {
        $changes = array_intersect_key(['source' => $row->value('source'), 'language' => $row->value('language')], $row->values);
        foreach (array_intersect_key(self::COLLEAGUES, $row->values) as $key => $name) {
            $changes[$name] = User::query()->where('name', $row->value($key))->whereNull('retired_at')->orderBy('id')->value('id');
        }
        if ($row->value('grade') !== '') {
            $changes['grade'] = (int) $row->value('grade');
        }
        if ($row->value('no-letters') !== '') {
            $changes['noLettersOn'] = $row->value('no-letters') === 'yes' ? $this->clock->today()->toIso() : $row->value('no-letters');
        }
        if ($row->value('no-letters-how') !== '') {
            $changes['noLettersHow'] = $row->value('no-letters-how');
        }
        if ($changes === [] && $row->types === [] && $row->tags === [] && $row->codes === []) {
            return null;
        }
        /** @var array{types: list<string>, tags: list<string>, codes: list<array{id: int|null, system: string, value: string}>} $kept */
        $kept = $state(SectionName::Classification);
        if ($takesNewWords) {
            foreach ($row->types as $type) {
                ListItem::query()->firstOrCreate(['list' => OfficeList::Types, 'name' => $type]);
            }
        }
        $codes = self::placed($kept['codes'], $row->codes, fn (array $one) => Fold::text((string) $one['system']), fn (array $one) => Fold::text((string) $one['value']));

        return [
            'types' => array_values(array_unique([...$kept['types'], ...$row->types])),
            'tags' => array_values(array_unique([...$kept['tags'], ...$row->tags])),
            'codes' => $codes,
        ] + $changes + $kept;
    }

    /** @return array<string, mixed>|null */
    private function details(PartyRow $row): ?array
    {
        $values = [];
        foreach ($row->values as $key => $value) {
            if (str_starts_with($key, 'detail:') && $value !== '') {
                $id = (int) substr($key, strlen('detail:'));
                $kind = DetailField::query()->find($id)?->kind;
                // As the office would type it.
                $isFigure = in_array($kind?->value, ['number', 'amount'], true);
                $values[] = ['fieldId' => $id, 'value' => $isFigure ? Office::current()->decimalSign()->write($value) : $value];
            }
        }

        return $values === [] ? null : ['values' => $values];
    }

    /**
     * @param \Closure(SectionName): array<string, mixed> $state
     *
     * @return array<string, mixed>|null
     */
    private function taxNumbers(PartyRow $row, \Closure $state): ?array
    {
        $form = array_intersect_key(['form-on' => $row->value('form-on')], $row->values);
        if ($row->taxNumbers === [] && $form === []) {
            return null;
        }
        $kept = $state(SectionName::TaxNumbers);
        /** @var list<array{id: int|null, kind: string, country: string, value: string}> $rows */
        $rows = $kept['taxNumbers'];
        $rows = self::placed($rows, $row->taxNumbers, fn (array $one) => "$one[kind] $one[country]", fn (array $one) => (string) $one['value']);

        return ['taxNumbers' => $rows] + ($form === [] ? [] : ['formOn' => $form['form-on']]) + $kept;
    }

    /**
     * One that takes the place of another is that one, corrected.
     *
     * @param list<array<string, int|string|null>> $rows
     * @param list<array<string, int|string|null>> $read
     * @param \Closure(array<string, int|string|null>): string $kind
     * @param \Closure(array<string, int|string|null>): string $value
     *
     * @return list<array<string, int|string|null>>
     */
    private static function placed(array $rows, array $read, \Closure $kind, \Closure $value): array
    {
        foreach (Places::of($rows, $read, $kind, $value) as $at => $place) {
            $rows[$place ?? count($rows)] = $read[$at] + ['id' => $place === null ? null : $rows[$place]['id']];
        }

        return $rows;
    }

    /**
     * @param array<int, Held> $held
     * @param array<string, int> $companies
     * @param \Closure(SectionName): array<string, mixed> $state
     *
     * @return array<string, mixed>|null
     */
    private function positions(PartyRow $row, array $held, array $companies, \Closure $state): ?array
    {
        if ($row->positions === [] && $held === []) {
            return null;
        }
        /** @var list<array<string, mixed>> $rows */
        $rows = $state(SectionName::Positions)['positions'];
        foreach ($held as $at => $position) {
            $rows[$at] = ['title' => $position['title'], 'department' => $position['department']] + $rows[$at];
        }
        foreach ($row->positions as $position) {
            $rows[] = [
                'id' => null, 'partyId' => $companies[MatchRows::sortKey($position['company'])] ?? 0,
                'title' => $position['title'], 'department' => $position['department'],
                'duties' => [], 'firstFor' => [], 'isPrimary' => false, 'since' => '', 'until' => '',
            ];
        }

        return ['positions' => $rows];
    }

    /**
     * @param \Closure(SectionName): array<string, mixed> $state
     *
     * @return array<string, mixed>|null
     */
    private function terms(Side $side, PartyRow $row, \Closure $state): ?array
    {
        $typed = [];
        foreach (PartyColumns::SIDE_FIELDS as $field) {
            $value = $row->value("$side->value-$field->value");
            if ($value !== '' && in_array($field, SideField::of($side), true)) {
                $typed[$field->value] = $field === SideField::Limit ? Office::current()->decimalSign()->write($value) : $value;
            }
        }
        $terms = $row->value("$side->value-terms");
        if ($typed === [] && $terms === '') {
            return null;
        }
        /** @var array{listedId: int|null, shorthand: string|null, fields: list<array{name: string, value: string|null}>} $kept */
        $kept = $state($side === Side::Client ? SectionName::ClientTerms : SectionName::VendorTerms);
        if ($terms !== '') {
            $listed = ListedTerms::query()->where('name', $terms)->where('is_retired', false)->value('id');
            $kept = ['listedId' => $listed, 'shorthand' => $listed === null ? $terms : null] + $kept;
        }

        return ['fields' => array_map(
            fn (array $one) => ['value' => $typed[$one['name']] ?? $one['value']] + $one,
            $kept['fields'],
        )] + $kept;
    }
}
