<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Banking\PayBy;
use Almanac\Calendar\Day;
use Almanac\Ledger\Delivery;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use Almanac\Readiness\Purpose;
use Almanac\Readiness\Readiness;
use Almanac\Terms\Side;
use Almanac\Titled;
use App\Facts\Readiness\RecordFacts;
use App\Models\ListedTerms;
use App\Models\Office;
use App\Models\Party;

/** The part of the register that the books are about: what is owed, the terms, what a record lacks for a purpose. */
final class BookFields
{
    /** @return list<ListedField<Party>> */
    public static function all(): array
    {
        return [
            self::balance('receivable', 'Receivable'),
            self::balance('overdue', 'Overdue'),
            self::balance('payable', 'Payable'),
            ListedField::of(
                'days-to-pay',
                'Days to pay',
                FieldType::Number,
                fn (Party $party) => Value::number($party->balance?->daysToPay()),
                new Column('(v.days_to_pay_tenths / 10.0)'),
                ['balance'],
            ),
            self::limit('limit', 'Credit limit'),
            self::limit('left', 'Left of the credit limit'),
            ListedField::of(
                'over-limit',
                'Over the credit limit',
                FieldType::YesNo,
                fn (Party $party) => Value::yesNo($party->balance->is_over_limit ?? false),
                new Column('v.is_over_limit'),
                ['balance'],
            ),
            ...self::side(Side::Client),
            ...self::side(Side::Vendor),
            ListedField::of(
                'tax-number-known',
                'Tax number known',
                FieldType::YesNo,
                fn (Party $party) => Value::yesNo($party->taxNumbers->isNotEmpty()),
                new Column('v.has_tax_number'),
                ['taxNumbers'],
            ),
            ListedField::of(
                'bank-known',
                'Bank details known',
                FieldType::YesNo,
                fn (Party $party) => Value::yesNo(KeptValues::hasBank($party)),
                new Column('v.has_bank'),
                ['bankDetails'],
            ),
            ...array_map(self::ready(...), Purpose::cases()),
        ];
    }

    /** @return ListedField<Party> */
    private static function balance(string $column, string $title): ListedField
    {
        return ListedField::of(
            $column,
            $title,
            FieldType::Amount,
            fn (Party $party) => Value::amount($party->balance?->amount($column)),
            new Column("v.{$column}_minor", "'".Office::current()->currency()."'"),
            ['balance'],
        );
    }

    /** @return ListedField<Party> */
    private static function limit(string $column, string $title): ListedField
    {
        return ListedField::of(
            $column,
            $title,
            FieldType::Amount,
            fn (Party $party) => Value::amount($party->balance?->ofLimit($column)),
            new Column("v.{$column}_minor", 'v.limit_currency'),
            ['balance'],
        );
    }

    /** @return list<ListedField<Party>> what a record has of its own; what it has from its parent company or the office is theirs */
    private static function side(Side $side): array
    {
        $table = "{$side->value}_terms";
        $own = $side === Side::Client ? 'when we bill them' : 'when we pay them';
        $relation = "{$side->value}Terms";
        $titled = fn (string $column, string $key, string $title, array $cases) => ListedField::of(
            "{$side->value}-$key",
            $title,
            FieldType::Choice,
            function (Party $party) use ($side, $column): Value {
                $held = $party->sideTerms($side)?->getAttribute($column);

                return Value::choice($held instanceof Titled ? $held->title() : (is_string($held) ? $held : ''));
            },
            self::ofTerms($table, $column, self::titles($column, $cases)),
            [$relation],
        );

        return [
            ListedField::of(
                "{$side->value}-terms",
                "Terms $own",
                FieldType::Text,
                function (Party $party) use ($side): Value {
                    $terms = $party->sideTerms($side);

                    return Value::text($terms?->listed instanceof ListedTerms ? $terms->listed->shorthand : $terms->shorthand ?? '');
                },
                self::ofTerms(
                    $table,
                    'shorthand',
                    "fold(coalesce((select shorthand from payment_terms where payment_terms.id = payment_terms_id), nullif($table.shorthand, '')))",
                    'coalesce(payment_terms_id, shorthand)',
                ),
                ["$relation.listed"],
            ),
            $titled('currency', 'currency', "Currency $own", []),
            $titled('delivery', 'delivery', $side === Side::Client ? 'How invoices reach them' : 'How orders reach them', Delivery::cases())
                ->chosenFrom(fn () => array_map(fn (Delivery $one) => $one->title(), Delivery::cases())),
            ...$side === Side::Client ? [] : [
                $titled('pay_by', 'pay-by', 'How we pay them', PayBy::cases())
                    ->chosenFrom(fn () => array_map(fn (PayBy $one) => $one->title(), PayBy::cases())),
            ],
        ];
    }

    private static function ofTerms(string $table, string $column, string $value, string $isThere = ''): Rows
    {
        $isThere = $isThere === '' ? $column : $isThere;

        return new Rows(
            "select party_id from $table where party_id is not null and nullif($isThere, '') is not null",
            $value,
            "(select $value from $table where party_id = v.party_id)",
        );
    }

    /** @param  array<\BackedEnum&Titled>  $cases */
    private static function titles(string $column, array $cases): string
    {
        return $cases === []
            ? "fold(nullif($column, ''))"
            : Coded::of($column, array_values($cases), fn (\BackedEnum&Titled $case) => $case->title())->order();
    }

    /** @return ListedField<Party> */
    private static function ready(Purpose $purpose): ListedField
    {
        return ListedField::of(
            "ready-{$purpose->value}",
            'Ready '.$purpose->words(),
            FieldType::YesNo,
            function (Party $party, Day $today) use ($purpose): Value {
                foreach (Readiness::of(RecordFacts::of($party, $today)) as $readiness) {
                    if ($readiness->purpose === $purpose) {
                        return Value::yesNo($readiness->gaps() === []);
                    }
                }

                return Value::yesNo(null);
            },
            new Column('v.'.KeptValues::readyColumn($purpose)),
            RecordFacts::RELATIONS,
        );
    }
}
