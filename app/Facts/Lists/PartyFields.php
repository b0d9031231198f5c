<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Field;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use Almanac\Records\OfficeList;
use Almanac\Records\PartyKind;
use App\Database\Ids;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Collection;
use Symfony\Component\Intl\Languages;

/**
 * The register of what is known of each record, the most telling first: the directory's columns and sorts, its filters,
 * what search finds by and says of a match. A field of a detail sheet joins by itself.
 */
final class PartyFields
{
    /** @return Collection<string, ListedField<Party>> by key */
    public static function all(): Collection
    {
        return once(fn () => SearchedFields::all()->values()->concat([
            self::kind(),
            ListedField::of('role', 'Role', FieldType::Choices, self::roles(...), new Roles)->chosenFrom(fn () => ['client', 'vendor']),
            ListedField::of(
                'archived',
                'Archived',
                FieldType::YesNo,
                fn (Party $party) => Value::yesNo($party->isArchived()),
                new Archived,
            ),
            self::ofColumn('archived-on', 'Archived on', FieldType::Day, 'archived_on'),
            self::ofColumn('deceased', 'Deceased', FieldType::YesNo, 'is_deceased'),
            self::worded('legal-form', 'Legal form', 'legal_form', OfficeList::LegalForms),
            self::worded('industry', 'Industry', 'industry', OfficeList::Industries),
            self::worded('source', 'Where they came from', 'source', OfficeList::Sources),
            ListedField::of(
                'language',
                'Language of letters',
                FieldType::Choice,
                fn (Party $party) => Value::choice($party->language === '' ? '' : Languages::getName($party->language, 'en')),
                new Column('v.language'),
            )->chosenFrom(fn () => array_values(Languages::getNames('en'))),
            self::ofColumn('grade', 'Grade', FieldType::Number, 'grade'),
            self::ofColumn('no-letters-on', 'Wants no letters since', FieldType::Day, 'no_letters_on'),
            self::ofColumn('form-on', 'Form W-9 came in on', FieldType::Day, 'form_on'),
            self::colleague('owner', 'Owner', 'owner_id', fn (Party $party) => $party->owner?->name, ['owner']),
            self::colleague(
                'account-manager',
                'Account manager',
                'account_manager_id',
                fn (Party $party) => $party->accountManager?->name,
                ['accountManager'],
            ),
            self::colleague('buyer', 'Buyer', 'buyer_id', fn (Party $party) => $party->buyer?->name, ['buyer']),
            ...HistoryFields::all(),
            ...BookFields::all(),
            ...EngagementFields::all(),
            ListedField::ofPrivate('birth-date', 'Date of birth', FieldType::Day, fn (Party $party) => Value::day($party->birthDay()), new Rows(
                'select id as party_id from parties where born_on is not null',
                'null',
                '',
            )),
        ])->keyBy(fn (ListedField $one) => $one->field->key));
    }

    /**
     * @return ListedField<Party>
     * @throws \OutOfBoundsException when there is none
     */
    public static function of(string $key): ListedField
    {
        return self::all()->get($key) ?? throw new \OutOfBoundsException("There is no field $key.");
    }

    /**
     * @param ListedField<Party> ...$fields
     *
     * @return list<string> the relations of a party that some of the fields, or all, are read from
     */
    public static function reads(ListedField ...$fields): array
    {
        $fields = $fields === [] ? self::all()->all() : $fields;

        return array_values(array_unique(array_merge([], ...array_values(array_map(fn (ListedField $one) => $one->reads, $fields)))));
    }

    /**
     * @param string|null $kept the column of record_values, where it is called otherwise there
     *
     * @return ListedField<Party>
     */
    public static function ofColumn(string $key, string $title, FieldType $type, string $column, ?string $kept = null): ListedField
    {
        $value = function (Party $party) use ($type, $column): Value {
            $held = $party->getAttribute($column);

            return match ($type) {
                FieldType::Number => Value::number(is_numeric($held) ? (int) $held : null),
                FieldType::YesNo => Value::yesNo((bool) $held),
                FieldType::Day => Value::day($held instanceof Day ? $held : null),
                default => Value::text(is_string($held) ? $held : ''),
            };
        };

        return ListedField::of($key, $title, $type, $value, new Column('v.'.($kept ?? $column)));
    }

    /**
     * @param \Closure(Party): ?string $name
     * @param list<string> $reads
     *
     * @return ListedField<Party>
     */
    public static function colleague(string $key, string $title, string $column, \Closure $name, array $reads): ListedField
    {
        // In the order of their names: there are few, asked once for all that tell a colleague.
        $order = 'case v.'.$column;
        foreach (once(fn () => Ids::of(User::query()->orderByRaw('fold(name)')->pluck('id'))) as $rank => $id) {
            $order .= sprintf(' when %d then %d', $id, $rank);
        }

        return ListedField::of(
            $key,
            $title,
            FieldType::Choice,
            fn (Party $party) => Value::choice($name($party) ?? ''),
            new Rows(
                "select v2.party_id from record_values as v2 join users on users.id = v2.$column where true",
                'fold(users.name)',
                "$order when 0 then 0 end",
            ),
            $reads,
        )->chosenFrom(Colleagues::names(...));
    }

    /**
     * A word of a list of the office's, or any other.
     *
     * @return ListedField<Party>
     */
    private static function worded(string $key, string $title, string $column, OfficeList $list): ListedField
    {
        return ListedField::of(
            $key,
            $title,
            FieldType::Choice,
            fn (Party $party) => Value::choice((string) $party->getAttribute($column)),
            new Column("v.$column"),
        )->offering($list->value);
    }

    /** @return ListedField<Party> */
    private static function kind(): ListedField
    {
        return ListedField::of(
            'kind',
            'Kind',
            FieldType::Choice,
            fn (Party $party) => Value::choice($party->kind->value),
            new Column('v.kind'),
        )->chosenFrom(fn () => array_column(PartyKind::cases(), 'value'));
    }

    private static function roles(Party $party): Value
    {
        return Value::choices([...$party->is_client ? ['client'] : [], ...$party->is_vendor ? ['vendor'] : []]);
    }
}
