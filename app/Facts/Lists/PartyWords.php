<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Access\Permission;
use Almanac\Calendar\TypedDay;
use Almanac\Finding\Fold;
use Almanac\Lists\Field;
use Almanac\Lists\Operands;
use Almanac\Lists\Operator;
use Almanac\Lists\Phrase;
use Almanac\Lists\Value;
use Almanac\Lists\Vocabulary;
use Almanac\Records\OfficeList;
use App\Facts\Records\ZipPlaces;
use App\Models\Address;
use App\Models\ListItem;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** The words in which a list of records is asked for: the fields of the register, and how an office says the usual things. */
final class PartyWords
{
    /** How many of what the book has are proposed. */
    private const OFFERED = 12;

    /** @param  User  $reader  who may see what is private, or not */
    public static function of(User $reader, TypedDay $dates): Vocabulary
    {
        $office = Office::current();

        return new Vocabulary(
            self::fields($reader),
            self::phrases($reader),
            new Operands(
                $dates,
                $office->currency(),
                $office->decimalSign(),
                fn (Field $field) => PartyFields::of($field->key)->choices(),
                ZipPlaces::find(...),
                self::offered(...),
                self::has(...),
            ),
        );
    }

    /** @return list<Field> */
    private static function fields(User $reader): array
    {
        $fields = $taken = [];
        foreach (PartyFields::all() as $one) {
            if ($one->field->isPrivate && ! $reader->can(Permission::SeePrivate->value)) {
                continue;
            }
            // A field of the office's own may be called as another is: a sentence tells them apart by a number.
            $title = $one->field->title;
            for ($n = 2; isset($taken[Fold::text($title)]); $n++) {
                $title = "{$one->field->title} ($n)";
            }
            $taken[Fold::text($title)] = true;
            $fields[] = $one->field->titled($title);
        }

        return $fields;
    }

    /** @return list<Phrase> */
    private static function phrases(User $reader): array
    {
        $of = fn (string $key) => PartyFields::of($key)->field;
        [$yes, $no] = [Value::yesNo(true), Value::yesNo(false)];

        return [
            Phrase::usual('clients', $of('role'), Operator::AnyOf, Value::choice('client')),
            Phrase::usual('vendors', $of('role'), Operator::AnyOf, Value::choice('vendor')),
            Phrase::usual('people', $of('kind'), Operator::Is, Value::choice('person')),
            Phrase::usual('companies', $of('kind'), Operator::Is, Value::choice('company')),
            Phrase::also('my', $of('owner'), Operator::Is, Value::choice($reader->name)),
            Phrase::also('mine', $of('owner'), Operator::Is, Value::choice($reader->name)),
            Phrase::usual('looked after by', $of('owner'), Operator::Is),
            Phrase::usual('looked after by nobody', $of('owner'), Operator::Lacks),
            Phrase::usual('in', $of('region'), Operator::Is),
            Phrase::usual('in', $of('country'), Operator::Is),
            Phrase::usual('in', $of('locality'), Operator::Is),
            Phrase::usual('within', $of('distance'), Operator::Within),
            Phrase::usual('tagged', $of('tags'), Operator::AnyOf),
            Phrase::usual('not tagged', $of('tags'), Operator::NoneOf),
            Phrase::usual('of type', $of('types'), Operator::AnyOf),
            Phrase::usual('not of type', $of('types'), Operator::NoneOf),
            Phrase::usual('working at', $of('works-at'), Operator::AnyOf),
            Phrase::usual('owing nothing', $of('receivable'), Operator::Lacks),
            Phrase::usual('owing something', $of('receivable'), Operator::Has),
            Phrase::usual('owing more than', $of('receivable'), Operator::Above),
            Phrase::usual('owing less than', $of('receivable'), Operator::Below),
            Phrase::usual('owing at least', $of('receivable'), Operator::AtLeast),
            Phrase::usual('owed nothing', $of('payable'), Operator::Lacks),
            Phrase::usual('owed something', $of('payable'), Operator::Has),
            Phrase::usual('owed more than', $of('payable'), Operator::Above),
            Phrase::usual('owed less than', $of('payable'), Operator::Below),
            Phrase::usual('owed at least', $of('payable'), Operator::AtLeast),
            Phrase::usual('with something overdue', $of('overdue'), Operator::Has),
            Phrase::usual('with nothing overdue', $of('overdue'), Operator::Lacks),
            Phrase::usual('over the limit', $of('over-limit'), Operator::Is, $yes),
            Phrase::usual('without a tax number', $of('tax-number-known'), Operator::Is, $no),
            Phrase::usual('with a tax number', $of('tax-number-known'), Operator::Is, $yes),
            Phrase::usual('without bank details', $of('bank-known'), Operator::Is, $no),
            Phrase::usual('with bank details', $of('bank-known'), Operator::Is, $yes),
            Phrase::usual('without a form W-9', $of('form-on'), Operator::Lacks),
            Phrase::usual('with a form W-9', $of('form-on'), Operator::Has),
            Phrase::usual('without an address', $of('country'), Operator::Lacks),
            Phrase::usual('with an address', $of('country'), Operator::Has),
            Phrase::usual('without a caution', $of('caution'), Operator::Is, $no),
            Phrase::usual('with a caution', $of('caution'), Operator::Is, $yes),
            Phrase::usual('not billed since', $of('billed'), Operator::NotSince),
            Phrase::usual('not paid since', $of('paid'), Operator::NotSince),
            Phrase::usual('in a case or project as', $of('engagement-role'), Operator::AnyOf),
            Phrase::usual('in no case or project', $of('engagement'), Operator::Lacks),
        ];
    }

    /** @return list<string> */
    private static function offered(Field $field, string $begun): array
    {
        $column = PartyFields::of($field->key)->offered;
        $like = addcslashes($begun, '%_\\').'%';
        $list = OfficeList::tryFrom($column);

        $found = match (true) {
            $list !== null => ListItem::in($list)->whereRaw("name like ? escape '\\'", [$like])->limit(self::OFFERED)->pluck('name'),
            $column === 'company' => Party::query()->where('kind', 'company')->where('sort_key', 'like', Fold::text($like))
                ->orderBy('sort_key')->limit(self::OFFERED)->pluck('display_name'),
            $column === '' => collect(),
            default => DB::table((new Address)->getTable())->whereRaw("$column like ? escape '\\' and $column <> ''", [$like])
                ->distinct()->limit(self::OFFERED)->pluck($column),
        };

        return array_values(array_filter($found->all(), is_string(...)));
    }

    /** Of places, of which a sentence does not say whether they are a region or a city; the rest is taken as it is typed. */
    private static function has(Field $field, string $typed): bool
    {
        $column = PartyFields::of($field->key)->offered;
        if (! in_array($column, ['region', 'locality'], true)) {
            return true;
        }
        $text = Fold::text($typed);

        return once(fn (): bool => DB::table('record_values')->whereRaw("$column = ?", [$text])->exists());
    }
}
