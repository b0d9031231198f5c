<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use App\Models\Party;
use Illuminate\Support\Collection;

/**
 * The register of what is known of each record, the most telling first: the directory's columns and sorts, what search
 * finds by and says of a match. A field of a detail sheet joins by itself.
 */
final class PartyFields
{
    /** The relations of a party that the fields are read from. */
    public const READS = [...SearchedFields::READS, 'owner', 'accountManager', 'buyer', 'balance', 'taxNumbers'];

    /** @return Collection<string, PartyField> by key */
    public static function all(): Collection
    {
        return once(fn () => SearchedFields::all()->values()->concat([
            self::role(),
            self::ofColumn('archived-on', 'Archived on', FieldType::Day, 'archived_on'),
            self::ofColumn('deceased', 'Deceased', FieldType::YesNo, 'is_deceased'),
            self::ofColumn('legal-form', 'Legal form', FieldType::Text, 'legal_form'),
            self::ofColumn('industry', 'Industry', FieldType::Text, 'industry'),
            self::ofColumn('source', 'Where they came from', FieldType::Text, 'source'),
            self::ofColumn('language', 'Language of letters', FieldType::Text, 'language'),
            self::ofColumn('grade', 'Grade', FieldType::Number, 'grade'),
            self::ofColumn('form-on', 'Form W-9 came in on', FieldType::Day, 'form_on'),
            self::colleague('owner', 'Owner', 'owner_id', fn (Party $party) => $party->owner?->name),
            self::colleague('account-manager', 'Account manager', 'account_manager_id', fn (Party $party) => $party->accountManager?->name),
            self::colleague('buyer', 'Buyer', 'buyer_id', fn (Party $party) => $party->buyer?->name),
            self::ofBalance('receivable', 'Receivable'),
            self::ofBalance('overdue', 'Overdue'),
            self::ofBalance('payable', 'Payable'),
            PartyField::ofBalance(
                'days-to-pay',
                'Days to pay',
                FieldType::Number,
                fn (Party $party) => Value::number($party->balance?->daysToPay()),
                'days_to_pay_tenths',
                'days_to_pay_tenths / 10.0',
            ),
            PartyField::of(
                'over-limit',
                'Over the credit limit',
                FieldType::YesNo,
                fn (Party $party) => Value::yesNo($party->balance->is_over_limit ?? false),
                'ifnull((select is_over_limit from balances where party_id = parties.id), 0)',
            ),
            PartyField::of(
                'tax-number-known',
                'Tax number known',
                FieldType::YesNo,
                fn (Party $party) => Value::yesNo($party->taxNumbers->isNotEmpty()),
                'exists (select 1 from tax_numbers where party_id = parties.id)',
            ),
            PartyField::ofPrivate('birth-date', 'Date of birth', FieldType::Day, fn (Party $party) => Value::day($party->birthDay())),
        ])->keyBy(fn (PartyField $one) => $one->field->key));
    }

    /** @throws \OutOfBoundsException when there is none */
    public static function of(string $key): PartyField
    {
        return self::all()->get($key) ?? throw new \OutOfBoundsException("There is no field $key.");
    }

    public static function ofColumn(string $key, string $title, FieldType $type, string $column): PartyField
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
        $sql = $type === FieldType::Text ? "fold(nullif(parties.$column, ''))" : "parties.$column";

        return PartyField::of($key, $title, $type, $value, $sql);
    }

    /** @param  \Closure(Party): ?string  $name */
    private static function colleague(string $key, string $title, string $column, \Closure $name): PartyField
    {
        return PartyField::of(
            $key,
            $title,
            FieldType::Choice,
            fn (Party $party) => Value::choice($name($party) ?? ''),
            "(select fold(name) from users where id = parties.$column)",
        );
    }

    private static function ofBalance(string $column, string $title): PartyField
    {
        $value = fn (Party $party) => Value::amount($party->balance?->amount($column));

        return PartyField::ofBalance($column, $title, FieldType::Amount, $value, "{$column}_minor", "nullif({$column}_minor, 0)");
    }

    /** Client, vendor, both or neither. */
    private static function role(): PartyField
    {
        $value = fn (Party $party) => Value::choices([...$party->is_client ? ['client'] : [], ...$party->is_vendor ? ['vendor'] : []]);
        $sql = "case when is_client and is_vendor then 'client' || char(10) || 'vendor' when is_client then 'client'"
            ." when is_vendor then 'vendor' end";

        return PartyField::of('role', 'Role', FieldType::Choices, $value, "($sql)");
    }
}
