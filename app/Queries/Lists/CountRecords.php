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
use App\Facts\Lists\ListedField;
use App\Facts\Lists\PartyFields;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Turnover;
use App\Facts\Lists\Wanted;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Lists\CountData;
use App\Http\Data\Lists\CountsData;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Counts the records of a list by one field or two, with what they owe and are owed, and what was billed and paid within a
 * time. Days are counted by their months, what happens on many days by the years; a record that has several choices is
 * counted for each, and said to be.
 */
final readonly class CountRecords
{
    private const MOST = 500;

    private const SUMS = ['receivable_minor', 'overdue_minor', 'payable_minor'];

    public function __construct(private Clock $clock)
    {
    }

    /** @param  list<string>  $by  keys of fields, at most two */
    public function handle(Wanted $wanted, array $by, Span $period, User $reader): CountsData
    {
        $list = new PartyList($this->clock, $wanted, $reader);
        $fields = $this->fields($by);
        [$first, $last] = $period->on($this->clock->today());
        $turnover = new Turnover($first, $last, Office::current()->currency());
        $rows = $this->rows($list, $fields, $turnover);
        $counted = array_slice($rows, 0, self::MOST);
        $ones = $this->ones($counted, $fields);
        $total = $this->total($list, $fields, $rows, $turnover);

        return new CountsData(
            array_map(fn (ListedField $one) => $one->field->title, $fields),
            array_map(fn (\stdClass $row) => $this->count($row, $fields, $list, $ones), $counted),
            $this->data($total, [], SentenceWriter::write($list->words, $list->reading->filter)),
            $period->toText(),
            "{$first->toText()} to {$last->toText()}",
            array_values(array_filter(
                Span::usual(),
                fn (string $one) => preg_match('/month|quarter|year|90/', $one) === 1 && ! str_starts_with($one, 'next'),
            )),
            self::isOverTime($fields),
            Office::current()->currency(),
            count($rows) > self::MOST,
            (int) $total->many !== array_sum(array_map(fn (\stdClass $row) => (int) $row->many, $rows)),
        );
    }

    /** @param  list<string>  $by */
    public function csv(Wanted $wanted, array $by, Span $period, User $reader): string
    {
        $counts = $this->handle($wanted, $by, $period, $reader);
        $amounts = fn (CountData $one) => array_map(
            fn (MoneyData $amount) => $amount->amount,
            [$one->receivable, $one->overdue, $one->payable, $one->billed, $one->received, $one->bills, $one->paid],
        );

        return CsvTable::write([
            [
                ...$counts->by, 'Records', 'Receivable', 'Overdue', 'Payable', "Billed, $counts->periodText", 'They paid us',
                'They billed us',
                'We paid them', 'Days to pay',
            ],
            ...array_map(fn (CountData $one) => [...$one->labels, $one->count, ...$amounts($one), $one->daysToPay], $counts->rows),
        ]);
    }

    /**
     * @param list<string> $by
     *
     * @return non-empty-list<ListedField<Party>>
     */
    private function fields(array $by): array
    {
        $fields = array_values(array_filter(
            array_map(fn (string $key) => PartyFields::all()->get($key), array_slice($by, 0, 2)),
            fn (?ListedField $one) => $one !== null && $one->isListed(),
        ));

        return $fields === [] ? [PartyFields::of('role')] : $fields;
    }

    /** @param  non-empty-list<ListedField<Party>>  $fields */
    private static function isOverTime(array $fields): bool
    {
        return count($fields) === 1 && in_array($fields[0]->field->type, [FieldType::Day, FieldType::Days], true);
    }

    /**
     * @param non-empty-list<ListedField<Party>> $fields
     *
     * @return list<\stdClass> the most first, or what is latest
     */
    private function rows(PartyList $list, array $fields, Turnover $turnover): array
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
        $order = self::isOverTime($fields) ? 'g0 is null, g0 desc' : "many desc, $places";

        return array_values(DB::select(
            "select $columns, count(*) as many, min(v.party_id) as one, {$this->sums()} from record_values as v {$this->turned($turnover)} "
                .implode(' ', $joins)." where $asked->sql group by $places order by $order",
            $asked->bindings,
        ));
    }

    private function turned(Turnover $turnover): string
    {
        return 'left join (select party_id, '.Turnover::sums('rows')." from ({$turnover->sql()}) as rows group by party_id) as t on t.party_id = v.party_id";
    }

    private function sums(): string
    {
        return implode(', ', array_map(fn (string $column) => "ifnull(sum(v.$column), 0) as $column", self::SUMS))
            .', ifnull(sum(v.days_to_pay_tenths), 0) as days, count(v.days_to_pay_tenths) as payers, '.Turnover::sums('t');
    }

    /**
     * @param non-empty-list<ListedField<Party>> $fields
     * @param list<\stdClass> $rows
     */
    private function total(PartyList $list, array $fields, array $rows, Turnover $turnover): \stdClass
    {
        if (! $this->mayBeSeveral($fields) && $rows !== []) {
            // Each record stands in one line: the lines add up to the whole.
            $total = new \stdClass;
            foreach (['many', 'days', 'payers', ...self::SUMS, ...Turnover::SUMS] as $sum) {
                $total->{$sum} = array_sum(array_map(fn (\stdClass $row) => (int) $row->{$sum}, $rows));
            }

            return $total;
        }
        $asked = $list->asked();

        return DB::select(
            "select count(*) as many, {$this->sums()} from record_values as v {$this->turned($turnover)} where $asked->sql",
            $asked->bindings,
        )[0];
    }

    /** @param  non-empty-list<ListedField<Party>>  $fields */
    private function mayBeSeveral(array $fields): bool
    {
        $today = $this->clock->today();

        return array_filter($fields, fn (ListedField $field) => $field->source->grouped('of', $today)[0] !== '') !== [];
    }

    /**
     * @param list<\stdClass> $rows
     * @param non-empty-list<ListedField<Party>> $fields
     *
     * @return Collection<int, Party> one of each line, by its number, to say how what it is counted by is written
     */
    private function ones(array $rows, array $fields): Collection
    {
        return Party::query()
            ->with(PartyFields::reads(...$fields))->findMany(array_map(fn (\stdClass $row) => (int) $row->one, $rows))
            ->keyBy('id');
    }

    /**
     * @param non-empty-list<ListedField<Party>> $fields
     * @param Collection<int, Party> $ones
     */
    private function count(\stdClass $row, array $fields, PartyList $list, Collection $ones): CountData
    {
        $labels = $conditions = [];
        foreach ($fields as $at => $field) {
            [$labels[], $conditions[]] = $this->group($field, $row->{"g$at"}, $ones->get((int) $row->one));
        }
        $filter = Filter::all($list->reading->filter, ...$conditions);

        return $this->data($row, $labels, SentenceWriter::write($list->words, $filter));
    }

    /**
     * @param ListedField<Party> $one
     *
     * @return array{string, Condition} what those are called that belong together, and what asks for them
     */
    private function group(ListedField $one, mixed $group, ?Party $party): array
    {
        $field = $one->field;
        if ($group === null || $party === null) {
            return ['', Condition::of($field, Operator::Lacks)];
        }
        if ($field->type === FieldType::Day || $field->type === FieldType::Days) {
            [$label, $span] = self::span(is_scalar($group) ? (string) $group : '');

            return [$label, Condition::of($field, Operator::During, Value::span($span))];
        }
        $value = $this->valueOf($one, $group, $party);

        return [$value->toText(), Condition::of(
            $field,
            $field->type === FieldType::Choices ? Operator::AnyOf : Operator::Is,
            $value,
        )];
    }

    /** @return array{string, Span} of "2026-03" or "2026", and how it is called */
    private static function span(string $group): array
    {
        $parts = array_map(intval(...), explode('-', $group));
        $month = $parts[1] ?? null;

        return $month === null
            ? [(string) $parts[0], Span::year($parts[0])]
            : [(Month::NAMES[$month] ?? '').' '.$parts[0], Span::month($parts[0], $month)];
    }

    /**
     * As a record has it that is among them: the database compares without case and accents.
     *
     * @param ListedField<Party> $one
     */
    private function valueOf(ListedField $one, mixed $group, Party $party): Value
    {
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
            $amount('billed_minor'),
            $amount('received_minor'),
            $amount('bills_minor'),
            $amount('paid_minor'),
            (int) $row->payers === 0 ? '' : number_format(((int) $row->days) / (int) $row->payers / 10, 1),
        );
    }
}
