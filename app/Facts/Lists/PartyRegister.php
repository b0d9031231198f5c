<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Lists\Operator;
use Almanac\Lists\Phrase;
use Almanac\Lists\Value;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Collection;

/**
 * The directory: every record.
 *
 * @implements ListRegister<Party>
 */
final class PartyRegister implements ListRegister
{
    public function fields(): Collection
    {
        return PartyFields::all();
    }

    public function columns(): array
    {
        return ['name', 'role', 'place', 'phone', 'receivable', 'overdue', 'payable', 'days-to-pay'];
    }

    public function sort(): array
    {
        return ['name'];
    }

    public function phrases(User $reader): array
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
            Phrase::usual('inside', $of('distance'), Operator::Inside),
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
            Phrase::usual('without a look-alike', $of('look-alike'), Operator::Is, $no),
            Phrase::usual('with a look-alike', $of('look-alike'), Operator::Is, $yes),
            Phrase::usual('not billed since', $of('billed'), Operator::NotSince),
            Phrase::usual('not paid since', $of('paid'), Operator::NotSince),
            Phrase::usual('in a case or project as', $of('engagement-role'), Operator::AnyOf),
            Phrase::usual('in no case or project', $of('engagement'), Operator::Lacks),
        ];
    }
}
