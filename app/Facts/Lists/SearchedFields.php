<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Addresses\CountryNames;
use Almanac\Calendar\Day;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use Almanac\Reach\ContactKind;
use Almanac\Records\OfficeList;
use App\Facts\Records\RecordRow;
use App\Models\Address;
use App\Models\AddressUse;
use App\Models\ContactPoint;
use App\Models\File;
use App\Models\FormerRecord;
use App\Models\ListItem;
use App\Models\Party;
use App\Models\PartyCode;
use App\Models\Position;
use Illuminate\Support\Collection;
use Symfony\Component\Intl\Countries;

/** The part of the register by which records are found, the most telling first. */
final class SearchedFields
{
    /** The relations of a party that they are read from. */
    public const READS = [
        ...RecordRow::READS, 'contactPoints.line', 'addressUses.address.line', 'listItems', 'codes', 'files',
        'vendorTerms', 'detailValues.field', 'formerRecords',
    ];

    /** @return Collection<string, ListedField<Party>> by key; made once, also for a whole run over many records */
    public static function all(): Collection
    {
        return once(fn () => collect([...self::names(), ...self::reach(), ...self::places(), ...DetailFields::ofRecords(), self::files()])
            ->keyBy(fn (ListedField $one) => $one->field->key));
    }

    /** @return list<ListedField<Party>> */
    private static function names(): array
    {
        return [
            ListedField::of(
                'name',
                'Name',
                FieldType::Text,
                fn (Party $party) => Value::text($party->display_name),
                new Column('v.name', order: 'v.collated'),
            )->searched(SearchColumn::Name, ''),
            PartyFields::ofColumn('legal-name', 'Legal name', FieldType::Text, 'legal_name')->searched(SearchColumn::Also, 'legal name'),
            PartyFields::ofColumn('preferred', 'Preferred name', FieldType::Text, 'preferred')->searched(SearchColumn::Also, 'called'),
            PartyFields::ofColumn('payee-name', 'Name on payments', FieldType::Text, 'payee_name')
                ->searched(SearchColumn::Also, 'paid as'),
            PartyFields::ofColumn('number', 'Number', FieldType::Number, 'number')->searched(SearchColumn::Number, 'number'),
            PartyFields::ofColumn('registration-number', 'Registration number', FieldType::Text, 'registration_number')
                ->searched(SearchColumn::Number, 'registration number'),
            ListedField::of(
                'made-one-from',
                'Made one from',
                FieldType::Choices,
                fn (Party $party) => Value::choices(self::texts($party->formerRecords, fn (FormerRecord $one) => $one->name)),
                new Rows('select kept_id as party_id from former_records where true', 'fold(name)', ''),
                ['formerRecords'],
            )->searched(
                SearchColumn::Also,
                'made one from',
                // Its own name may have been another too.
                fn (Party $party) => self::texts(
                    $party->formerRecords,
                    fn (FormerRecord $one) => "$one->name $one->number".($one->kept_was === $party->display_name ? '' : " $one->kept_was"),
                ),
            ),
            ListedField::of(
                'account-number',
                'Our account number',
                FieldType::Text,
                fn (Party $party) => Value::text($party->vendorTerms->account_number ?? ''),
                new Rows(
                    "select party_id from vendor_terms where party_id is not null and ifnull(account_number, '') <> ''",
                    'fold(account_number)',
                    "(select fold(nullif(account_number, '')) from vendor_terms where party_id = v.party_id)",
                ),
                ['vendorTerms'],
            )->searched(SearchColumn::Number, 'account number'),
            ListedField::of(
                'codes',
                'Numbers elsewhere',
                FieldType::Choices,
                fn (Party $party) => Value::choices(self::texts($party->codes, fn (PartyCode $code) => $code->value)),
                new Rows(
                    'select party_id from party_codes where true',
                    'fold(value)',
                    self::several('select value as name from party_codes where party_id = v.party_id order by rank'),
                ),
                ['codes'],
            )->searched(SearchColumn::Number, 'number elsewhere'),
            self::listed('types', 'Types', OfficeList::Types, 'type'),
            self::listed('tags', 'Tags', OfficeList::Tags, 'tag'),
            ListedField::of(
                'works-at',
                'Works at',
                FieldType::Choices,
                fn (Party $party) => Value::choices(KeptValues::employers($party)),
                new Rows(
                    'select person_id as party_id from positions join record_values as company on company.party_id = company_id where true',
                    'company.name',
                    'v.works_at',
                ),
                ['heldPositions.company'],
            )->searched(SearchColumn::WorksAt, 'works at')->offering('company'),
            ListedField::of(
                'people',
                'People there',
                FieldType::Choices,
                fn (Party $party) => Value::choices($party->isPerson() ? [] : self::texts(
                    $party->staffPositions->unique('person_id'),
                    fn (Position $held) => $held->person->display_name,
                )),
                new Rows(
                    'select company_id as party_id from positions join record_values as person on person.party_id = person_id where true',
                    'person.name',
                    '',
                ),
                ['staffPositions.person'],
            )->offering('party'),
        ];
    }

    /** @return list<ListedField<Party>> */
    private static function reach(): array
    {
        $points = fn (Party $party, bool $isPhone) => $party->contactPoints->filter(
            fn (ContactPoint $point) => ($point->kind === ContactKind::Phone) === $isPhone,
        );

        return [
            self::ofLine('phone', 'Phone', 'phone', fn (RecordRow $row) => $row->phone, true)->searched(
                SearchColumn::Phone,
                'phone',
                // As it is dialled at home and from abroad.
                fn (Party $party) => array_merge([], ...$points($party, true)->map(fn (ContactPoint $point) => [
                    $point->display($point->homeRegion()), $point->display(''),
                ])->all()),
            ),
            self::ofLine('email', 'Email', 'email', fn (RecordRow $row) => $row->email, true)->searched(
                SearchColumn::Email,
                'email',
                fn (Party $party) => self::texts($points($party, false), fn (ContactPoint $point) => $point->display('')),
            ),
            ListedField::of(
                'shared-line',
                'Shared line',
                FieldType::Choices,
                fn (Party $party) => Value::choices(self::lines($party)),
                new Rows(
                    'select party_id from (select party_id, value as known_by from contact_points'
                    .' union all select party_id, form from address_uses join addresses on addresses.id = address_id)'
                    .' join shared_lines on shared_lines.value = known_by where true',
                    'fold(shared_lines.name)',
                    '',
                ),
                ['contactPoints.line', 'addressUses.address.line'],
            )->searched(SearchColumn::Also, 'on the line of', fn (Party $party) => self::lines($party)),
        ];
    }

    /** @return list<string> what the shared lines are called on which it is reached */
    private static function lines(Party $party): array
    {
        return array_values(collect([
            ...$party->contactPoints->map(fn (ContactPoint $point) => $point->line->name ?? '')->all(),
            ...$party->addressUses->map(fn (AddressUse $use) => $use->address->line->name ?? '')->all(),
        ])
            ->filter(fn (string $name) => $name !== '')->unique()->all());
    }

    /** @return list<ListedField<Party>> */
    private static function places(): array
    {
        $part = fn (string $key, string $title, FieldType $type, \Closure $text) => ListedField::of(
            $key,
            $title,
            $type,
            function (Party $party, Day $today) use ($type, $text): Value {
                $address = $party->addressFor(Purpose::Postal, $today)?->address;
                $held = $address === null ? '' : $text($address);

                return $type === FieldType::Choice ? Value::choice($held) : Value::text($held);
            },
            // Few regions hold most records: with a plus their index, which tells whether there is such a region, is left alone.
            new Column(($key === 'region' ? '+' : '')."v.$key"),
            ['addressUses.address'],
        );

        return [
            self::ofLine('place', 'Place', 'place', fn (RecordRow $row) => $row->place)->searched(
                SearchColumn::Place,
                'place',
                fn (Party $party) => self::texts($party->addressUses, fn (AddressUse $use) => self::placeOf($use->address)),
            ),
            $part('country', 'Country', FieldType::Choice, fn (Address $address) => CountryNames::of($address->country))
                ->chosenFrom(fn () => array_values(Countries::getNames('en'))),
            $part('region', 'State or region', FieldType::Choice, fn (Address $address) => $address->region)->offering('region'),
            $part('locality', 'City', FieldType::Choice, fn (Address $address) => $address->locality)->offering('locality'),
            $part('postcode', 'Postcode', FieldType::Text, fn (Address $address) => $address->postcode)->offering('postcode'),
            ListedField::of(
                'distance',
                'Distance',
                FieldType::Place,
                fn (Party $party, Day $today) => Value::point(KeptValues::point($party->addressFor(Purpose::Postal, $today)?->address)),
                new Around,
                ['addressUses.address'],
            ),
            self::ofLine('position', 'Position', 'position', fn (RecordRow $row) => $row->position),
        ];
    }

    /**
     * Those that everybody may open.
     *
     * @return ListedField<Party>
     */
    private static function files(): ListedField
    {
        return ListedField::of(
            'files',
            'Files',
            FieldType::Choices,
            fn (Party $party) => Value::choices(self::texts($party->files->where('is_private', false), fn (File $file) => $file->name)),
            new Rows(
                'select subject_id as party_id from files where not is_private',
                'fold(files.name)',
                self::several('select name from files where subject_id = v.party_id and not is_private order by id desc'),
            ),
            ['files'],
        )->searched(SearchColumn::Also, 'file');
    }

    /** @return ListedField<Party> */
    private static function listed(string $key, string $title, OfficeList $list, string $matched): ListedField
    {
        return ListedField::of(
            $key,
            $title,
            FieldType::Choices,
            fn (Party $party) => Value::choices($party->listed($list)),
            new Rows(
                "select party_id from party_list_items join list_items on list_items.id = list_item_id and list = '{$list->value}' where true",
                'fold(list_items.name)',
                "v.$key",
            ),
            ['listItems'],
        )->searched(SearchColumn::Also, $matched)
            ->chosenFrom(fn () => array_values(ListItem::in($list)->get()->map(fn (ListItem $item) => $item->name)->all()));
    }

    /**
     * A text that stands in the record's kept line.
     *
     * @param \Closure(RecordRow): string $of
     * @param bool $isAsked whether its row tells in a word that there is one
     *
     * @return ListedField<Party>
     */
    private static function ofLine(string $key, string $title, string $column, \Closure $of, bool $isAsked = false): ListedField
    {
        return ListedField::of(
            $key,
            $title,
            FieldType::Text,
            fn (Party $party, Day $today) => Value::text($of(RecordRow::of($party, $today))),
            new Column("v.$column", known: $isAsked ? "v.has_$column" : ''),
            RecordRow::READS,
        );
    }

    private static function several(string $names): string
    {
        return "(select fold(group_concat(name, char(10))) from ($names))";
    }

    private static function placeOf(Address $address): string
    {
        return implode(' ', array_filter([
            $address->locality, $address->region, $address->postcode, CountryNames::of($address->country),
        ]));
    }

    /**
     * @template T
     *
     * @param Collection<int, T> $rows
     * @param \Closure(T): string $text
     *
     * @return list<string>
     */
    private static function texts(Collection $rows, \Closure $text): array
    {
        return array_values($rows->map($text)->all());
    }
}
