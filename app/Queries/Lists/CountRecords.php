<?php

declare(strict_types=1);

namespace App\Queries\Lists;

use Almanac\Calendar\Month;
use Almanac\Finding\Fold;
use Almanac\Interchange\CsvTable;
use Almanac\Lists\Condition;
use Almanac\Lists\FieldType;
use Almanac\Lists\Filter;
use Almanac\Lists\Operator;
use Almanac\Lists\SentenceWriter;
use Almanac\Lists\Span;
use Almanac\Lists\Value;
use Almanac\Money\Money;
use App\Facts\Lists\PartyField;
use App\Facts\Lists\PartyFields;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Wanted;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Lists\CountData;
use App\Http\Data\Lists\CountsData;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/**
 * Counts the records of a list by one field or two, with what they owe and are owed. Days are counted by their months; a
 * record that has several choices is counted for each, and said to be.
 */
final readonly class CountRecords
{
    private const MOST = 500;

    private const SUMS = ['receivable_minor', 'overdue_minor', 'payable_minor'];

    public function __construct(private Clock $clock)
    {
    }

    /** @param  list<string>  $by  keys of fields, at most two */
    public function handle(Wanted $wanted, array $by, User $reader): CountsData
    {
        $list = new PartyList($this->clock, $wanted, $reader);
        $fields = $this->fields($by);
        $rows = $this->rows($list, $fields);
        $counted = array_slice($rows, 0, self::MOST);

        return new CountsData(
            array_map(fn (PartyField $one) => $one->field->title, $fields),
            array_map(fn (\stdClass $row) => $this->count($row, $fields, $list), $counted),
            $this->total($list),
            Office::current()->currency(),
            count($rows) > self::MOST,
            $list->rows()->count() !== array_sum(array_map(fn (\stdClass $row) => (int) $row->many, $rows)),
        );
    }

    /** @param  list<string>  $by */
    public function csv(Wanted $wanted, array $by, User $reader): string
    {
        $counts = $this->handle($wanted, $by, $reader);

        return CsvTable::write([
            [...$counts->by, 'Records', 'Receivable', 'Overdue', 'Payable', 'Days to pay'],
            ...array_map(fn (CountData $one) => [
                ...$one->labels, $one->count, $one->receivable->amount, $one->overdue->amount, $one->payable->amount, $one->daysToPay,
            ], $counts->rows),
        ]);
    }

    /**
     * @param list<string> $by
     *
     * @return non-empty-list<PartyField>
     */
    private function fields(array $by): array
    {
        $fields = array_values(array_filter(
            array_map(fn (string $key) => PartyFields::all()->get($key), array_slice($by, 0, 2)),
            fn (?PartyField $one) => $one !== null && $one->isListed() && $one->field->type !== FieldType::Days,
        ));

        return $fields === [] ? [PartyFields::of('role')] : $fields;
    }

    /**
     * @param list<PartyField> $fields
     *
     * @return list<\stdClass> the most first
     */
    private function rows(PartyList $list, array $fields): array
    {
        $today = $this->clock->today();
        $asked = $list->asked();
        $joins = $groups = [];
        foreach ($fields as $at => $field) {
            [$join, $group] = $field->source->grouped("by$at", $today);
            $joins[] = $join;
            $groups[] = $field->field->type === FieldType::Day ? "substr($group, 1, 7)" : $group;
        }
        $columns = implode(', ', array_map(fn (string $group, int $at) => "$group as g$at", $groups, array_keys($groups)));
        $places = implode(', ', array_map(fn (int $at) => (string) ($at + 1), array_keys($groups)));

        return array_values(DB::select(
            "select $columns, count(*) as many, min(v.party_id) as one, {$this->sums()} from record_values as v ".implode(' ', $joins)
                ." where $asked->sql group by $places order by many desc, $places",
            $asked->bindings,
        ));
    }

    private function sums(): string
    {
        return implode(', ', array_map(fn (string $column) => "ifnull(sum(v.$column), 0) as $column", self::SUMS))
            .', avg(v.days_to_pay_tenths) as days';
    }

    private function total(PartyList $list): CountData
    {
        $asked = $list->asked();
        $row = DB::select("select count(*) as many, {$this->sums()} from record_values as v where $asked->sql", $asked->bindings)[0];

        return $this->data($row, [], SentenceWriter::write($list->words, $list->reading->filter));
    }

    /** @param  non-empty-list<PartyField>  $fields */
    private function count(\stdClass $row, array $fields, PartyList $list): CountData
    {
        $labels = $conditions = [];
        foreach ($fields as $at => $field) {
            [$labels[], $conditions[]] = $this->group($field, $row->{"g$at"}, (int) $row->one);
        }
        $filter = Filter::all($list->reading->filter, ...$conditions);

        return $this->data($row, $labels, SentenceWriter::write($list->words, $filter));
    }

    /** @return array{string, Condition} what those are called that belong together, and what asks for them */
    private function group(PartyField $one, mixed $group, int $partyId): array
    {
        $field = $one->field;
        if ($group === null) {
            return ['', Condition::of($field, Operator::Lacks)];
        }
        if ($field->type === FieldType::Day) {
            [$year, $month] = array_map(intval(...), explode('-', is_string($group) ? $group : '2000-01'));

            return [Month::NAMES[$month].' '.$year, Condition::of($field, Operator::During, Value::span(Span::month($year, $month)))];
        }
        $value = $this->valueOf($one, $group, $partyId);

        return [$value->toText(), Condition::of(
            $field,
            $field->type === FieldType::Choices ? Operator::AnyOf : Operator::Is,
            $value,
        )];
    }

    /** As a record has it that is among them: the database compares without case and accents. */
    private function valueOf(PartyField $one, mixed $group, int $partyId): Value
    {
        $party = Party::query()->with($one->reads)->findOrFail($partyId);
        $value = $one->value($party, $this->clock->today());
        if (! is_array($value->held)) {
            return $value;
        }
        foreach ($value->texts() as $text) {
            if (Fold::text($text) === $group) {
                return Value::choice($text);
            }
        }

        return Value::choice(is_scalar($group) ? (string) $group : '');
    }

    /** @param  list<string>  $labels */
    private function data(\stdClass $row, array $labels, string $sentence): CountData
    {
        $currency = Office::current()->currency();
        $amount = fn (string $column) => MoneyData::of(Money::ofMinor((int) $row->{$column}, $currency));

        return new CountData(
            $labels,
            $sentence,
            (int) $row->many,
            $amount('receivable_minor'),
            $amount('overdue_minor'),
            $amount('payable_minor'),
            $row->days === null ? '' : number_format(((float) $row->days) / 10, 1),
        );
    }
}
