<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Calendar\Day;
use Almanac\Lists\Box;
use Almanac\Lists\Condition;
use Almanac\Lists\Field;
use Almanac\Lists\FieldType;
use Almanac\Lists\Filter;
use Almanac\Lists\ListOf;
use Almanac\Lists\Near;
use Almanac\Lists\Operator;
use Almanac\Lists\Point;
use Almanac\Lists\Span;
use Almanac\Lists\Value;
use Almanac\Money\Money;
use App\Database\Ids;
use App\Facts\Lists\FilterQuery;
use App\Facts\Lists\ListedField;
use App\Facts\Lists\PartyFields;
use App\Facts\Lists\Registers;
use App\Models\DetailField;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Party;
use App\Time\Clock;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** The register of fields: two ways to one value, and everything that lists, sorts, finds and filters by it. */
final class FieldsTest extends TestCase
{
    /** @param  list<string>  $mayBeEmpty  what nothing in the demo office has */
    #[TestWith([ListOf::Records, 64, ['made-one-from']])]
    // Nobody writes a note on a document, and nobody is graded, in the demo office.
    #[TestWith([ListOf::Documents, 24, ['note', 'party-grade', 'party-industry', 'party-buyer', 'party-account-manager']])]
    #[TestWith([ListOf::Engagements, 16, ['archived-on', 'private', 'site-country', 'site-region', 'site-locality', 'site-postcode']])]
    public function test_the_database_sorts_and_asks_as_the_record_says(ListOf $list, int $least, array $mayBeEmpty): void
    {
        $this->demo();
        mt_srand(11);
        $everything = $this->everything($list);
        $today = $this->app->make(Clock::class)->today();
        $filled = $found = [];
        foreach (Registers::of($list)->fields() as $key => $field) {
            $this->assertSame($key, $field->field->key);
            $values = [];
            foreach ($everything as $one) {
                $values[$one->getKey()] = $field->value($one, $today);
                $this->assertSame($field->field->type, $values[$one->getKey()]->type, $key);
            }
            $filled[$key] = count(array_filter($values, fn (Value $value) => ! $value->isEmpty()));
            $this->assertSorted($list, $field, $values);
            foreach ($field->field->isPrivate ? [Operator::Has, Operator::Lacks] : $field->field->type->operators() as $operator) {
                for ($n = 0; $n < ($operator->operands() === 0 ? 1 : 6); $n++) {
                    $condition = $this->random($field->field, $operator, array_values($values));
                    $holds = array_keys(array_filter($values, fn (Value $value) => $condition->holds($value, $today)));
                    $this->assertEqualsCanonicalizing($holds, $this->asked($list, Filter::all($condition), $today), "$key {$operator->value} ".json_encode(
                        array_map(fn (Value $one) => $one->toText(), $condition->operands),
                    ));
                    $found[$key] = ($found[$key] ?? 0) + (int) ($holds !== []);
                }
            }
        }
        $this->assertSame([], array_diff(array_keys($filled, 0, true), $mayBeEmpty), 'nothing is equal only because it is empty');
        $this->assertSame([], array_diff(array_keys($found, 0, true), $mayBeEmpty), 'somebody is found by each');
        $this->assertGreaterThanOrEqual($least, count($filled));
    }

    /** Groups of random conditions: the database and a plain walk over the records find the same ones. */
    public function test_random_filters_find_whom_a_walk_finds(): void
    {
        $this->demo();
        mt_srand(12);
        $parties = $this->everybody();
        $today = $this->app->make(Clock::class)->today();
        $fields = PartyFields::all()->reject(fn (ListedField $one) => $one->field->isPrivate)->values();
        $values = [];
        foreach ($parties as $party) {
            foreach ($fields as $field) {
                $values[$field->field->key][$party->id] = $field->value($party, $today);
            }
        }
        $condition = function () use ($fields, $values): Condition {
            $field = $fields[mt_rand(0, $fields->count() - 1)]->field ?? throw new \LogicException('No field.');
            $operators = $field->type->operators();

            return $this->random($field, $operators[mt_rand(0, count($operators) - 1)], array_values($values[$field->key]));
        };
        $some = fn () => array_map(fn () => $condition(), range(1, mt_rand(1, 3)));
        $hits = 0;
        for ($n = 0; $n < 150; $n++) {
            $groups = mt_rand(0, 1) === 0 ? [] : [mt_rand(0, 1) === 0 ? Filter::all(...$some()) : Filter::any(...$some())];
            $filter = mt_rand(0, 1) === 0 ? Filter::all(...$some(), ...$groups) : Filter::any(...$some(), ...$groups);
            $holds = $parties->modelKeys();
            $holds = array_values(array_filter(
                $holds,
                fn (int $id) => $filter->holds(fn (Field $field) => $values[$field->key][$id], $today),
            ));
            $this->assertEqualsCanonicalizing($holds, $this->asked(ListOf::Records, $filter, $today));
            $hits += (int) ($holds !== [] && count($holds) < $parties->count());
        }
        $this->assertGreaterThan(60, $hits, 'most tell some from others');
    }

    public function test_what_is_private_is_asked_only_whether_it_is_there_and_sorts_nothing(): void
    {
        $this->demo();
        $secret = DetailField::query()->where('kind', 'secret')->firstOrFail();
        $private = PartyFields::all()->filter(fn (ListedField $one) => $one->field->isPrivate);
        $this->assertEqualsCanonicalizing(['birth-date', "detail-{$secret->id}"], $private->keys()->all());
        foreach ($private as $field) {
            $this->assertFalse($field->isListed());
            $this->assertNull($field->searched);
        }
        $this->assertSame(0, DB::table('detail_values')->where('field_id', $secret->id)->whereNotNull('sort')->count());
        $this->assertGreaterThan(0, DB::table('detail_values')->where('field_id', $secret->id)->count());
    }

    public function test_the_directory_is_sorted_by_any_field_and_what_is_empty_comes_last(): void
    {
        $this->asAdministrator();
        [$a, $b, $c] = array_map(fn (string $name) => $this->addCompany($name), ['Aster', 'Bell', 'Cedar']);
        foreach ([[$a, '10'], [$b, '9.5']] as [$party, $keys]) {
            $this->fillSheet($party, $keys);
        }
        $field = 'detail-'.DetailField::query()->where('name', 'Keys')->value('id');
        $of = fn (string $query) => $this->getJson("/api/parties?$query")->assertOk()->json('rows.*.id');

        $this->assertSame([$a->id, $b->id, $c->id], $of("sort=$field"));
        $this->assertSame([$b->id, $a->id, $c->id], $of("sort=-$field"));
        $this->assertSame([$a->id, $b->id, $c->id], $of('sort=birth-date'), 'what is private sorts nothing');
        $this->assertSame([$a->id, $b->id, $c->id], $of('sort[]=name'));
        $this->assertSame([$c->id, $b->id, $a->id], $of('sort=-name'));
        $this->assertSame([$c->id, $b->id, $a->id], $of('sort=role,-name'));
        $this->getJson("/api/parties?columns=name,$field,nonsuch,birth-date")
            ->assertJsonPath('columns.*.key', ['name', $field])
            ->assertJsonPath('cells', [['Aster', '10'], ['Bell', '9.5'], ['Cedar', '']]);
        $this->getJson('/api/find?q=9.5')->assertJsonPath('results.0.reasons', ['keys 9.5']);
    }

    /** @return Collection<int, Party> the demo office, with what it leaves empty filled in here and there */
    private function everybody(): Collection
    {
        $companies = Party::query()->where('kind', 'company')->orderBy('id')->get();
        $this->asAdministrator();
        foreach ($companies->take(3) as $n => $company) {
            $company->update([
                'payee_name' => 'Ånsgar’s', 'registration_number' => "HRB $n", 'legal_form' => 'GmbH',
                'industry' => 'Bells', 'grade' => $n + 1,
                'form_on' => '2026-11-0'.($n + 1), 'language' => ['de', 'fr', ''][$n], 'source' => 'trade fair',
            ]);
        }
        foreach (['client', 'vendor'] as $side) {
            DB::table("{$side}_terms")
                ->whereNotNull('party_id')->limit(2)
                ->update(['delivery' => 'post', 'currency' => 'EUR', 'shorthand' => 'net 7']);
        }
        DB::table('vendor_terms')->whereNotNull('party_id')->limit(3)->update(['pay_by' => 'cheque', 'account_number' => 'OV-7']);
        foreach ($companies->take(2) as $company) {
            $this->putJson("/api/parties/{$company->id}/opened")->assertNoContent();
        }
        Artisan::call('almanac:index');

        return Party::query()->with(PartyFields::reads())->get();
    }

    /** @return Collection<int, covariant Model> */
    private function everything(ListOf $list): Collection
    {
        DB::table('documents')->whereNotNull('number')->limit(4)->update(['sent_at' => '2026-11-20 12:00:00']);
        $reads = array_values(array_unique(array_merge(
            [],
            ...Registers::of($list)->fields()->map(fn (ListedField $one) => $one->reads)->values()->all(),
        )));

        return match ($list) {
            ListOf::Records => $this->everybody(),
            ListOf::Documents => Document::query()->with($reads)->get(),
            ListOf::Engagements => Engagement::query()->with($reads)->get(),
        };
    }

    private function rows(ListOf $list): Builder
    {
        return DB::table($list === ListOf::Records ? 'record_values as v' : $list->value);
    }

    /** @return list<int> */
    private function asked(ListOf $list, Filter $filter, Day $today): array
    {
        $asked = FilterQuery::of($filter, Registers::of($list), $today);

        return Ids::of($this->rows($list)->whereRaw($asked->sql, $asked->bindings)->pluck($list === ListOf::Records ? 'party_id' : 'id'));
    }

    /**
     * @param ListedField<covariant Model> $field
     * @param array<int, Value> $values
     */
    private function assertSorted(ListOf $list, ListedField $field, array $values): void
    {
        $order = $field->source->order();
        if ($order === '' || ! $field->isListed()) {
            return;
        }
        $ids = Ids::of($this->rows($list)->orderByRaw("($order) is null")->orderByRaw("$order asc")
            ->pluck($list === ListOf::Records ? 'party_id' : 'id'));
        $this->assertCount(count($values), $ids);
        $sorted = array_map(fn (int $id) => $values[$id]->toSort(), $ids);
        $expected = array_map(fn (Value $value) => $value->toSort(), array_values($values));
        // These are put in an order of their own.
        if (in_array($field->field->key, ['role', 'name', 'party', 'stage', 'party-role', 'overdue', 'party-owner', 'party-account-manager', 'party-buyer'], true)) {
            $this->assertSame(array_filter($sorted, is_null(...)), array_filter($sorted, is_null(...)));

            return;
        }
        usort(
            $expected,
            fn (mixed $a, mixed $b) => [$a === null, is_string($a) && is_string($b) ? strcmp($a, $b) : $a <=> $b] <=> [$b === null, 0],
        );
        $this->assertEquals($expected, $sorted, "sorted by {$field->field->key}");
    }

    /** @param  list<Value>  $values  what records have in the field: most of what is asked is of somebody */
    private function random(Field $field, Operator $operator, array $values): Condition
    {
        $held = array_values(array_filter($values, fn (Value $value) => ! $value->isEmpty()));
        $of = fn () => $held === [] || mt_rand(0, 5) === 0 ? null : $held[mt_rand(0, count($held) - 1)];
        $isSpan = $operator === Operator::During || $operator === Operator::NotDuring;
        $spans = [...Span::usual(), '2026', '2025'];
        $operand = function () use ($field, $of, $isSpan, $spans, $operator): Value {
            $value = $of();
            $one = is_array($value?->held) ? ($value->held[mt_rand(0, count($value->held) - 1)] ?? null) : $value?->held;

            return match ($field->type->operand()) {
                FieldType::Number => Value::number($one instanceof BigDecimal ? $one : mt_rand(0, 40)),
                FieldType::Amount => Value::amount(
                    $one instanceof Money ? $one : Money::ofMinor(mt_rand(0, 500000), ['USD', 'EUR'][mt_rand(0, 1)]),
                ),
                FieldType::Day => $isSpan
                    ? Value::span(Span::read($spans[mt_rand(0, count($spans) - 1)]) ?? throw new \LogicException('No span.'))
                    : Value::day($one instanceof Day ? $one : Day::of(2026, mt_rand(1, 12), mt_rand(1, 28))),
                FieldType::YesNo => Value::yesNo(mt_rand(0, 1) === 1),
                FieldType::Choice => Value::choice(is_string($one) ? mb_strtoupper($one) : 'nobody’s'),
                FieldType::Place => $operator === Operator::Inside
                    ? Value::box(Box::of(Point::of(mt_rand(20, 42), -mt_rand(80, 120)), Point::of(mt_rand(43, 60), -mt_rand(20, 72))))
                    : Value::near(Near::of(BigDecimal::of(mt_rand(1, 300)), 'km', '05301', Point::of(42.8574, -72.5933))),
                default => Value::text(is_string($one) ? mb_substr(
                    mb_strtoupper($one),
                    0,
                    $operator === Operator::Begins || $operator === Operator::Contains ? 4 : null,
                ) : 'zz'),
            };
        };
        $operands = array_map(fn () => $operand(), $operator->operands() === 0 ? [] : range(1, $operator->operands() ?? mt_rand(1, 3)));
        if ($operator === Operator::Between) {
            [$first, $second] = [$operands[0]->toSort(), $operands[1]->toSort()];
            // "8001" and "10115" are no numbers.
            if ((is_string($first) && is_string($second) ? strcmp($first, $second) : $first <=> $second) > 0) {
                $operands = array_reverse($operands);
            }
            if (
                $operands[0]->held instanceof Money
                && $operands[1]->held instanceof Money
                && $operands[0]->held->currency !== $operands[1]->held->currency
            ) {
                $operands[1] = $operands[0];
            }
        }

        return Condition::of($field, $operator, ...$operands);
    }

    private function fillSheet(Party $party, string $keys): void
    {
        $field = DetailField::query()->where('name', 'Keys')->first();
        if ($field === null) {
            $this->postJson('/api/sheets', [
                'name' => 'Building',
                'partyKind' => 'company',
                'type' => '',
                'isRetired' => false,
                'fields' => [[
                    'id' => null, 'name' => 'Keys', 'kind' => 'number', 'options' => [], 'help' => '', 'requiredFor' => null,
                    'isRetired' => false,
                ]],
            ])->assertCreated();
            $field = DetailField::query()->where('name', 'Keys')->firstOrFail();
        }
        $this->assertSame(FieldType::Number, $field->kind->type());
        $this->saveSection($party, 'details', ['values' => [['fieldId' => $field->id, 'value' => $keys]]])->assertOk();
    }
}
