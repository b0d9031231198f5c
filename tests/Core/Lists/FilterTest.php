<?php

declare(strict_types=1);

namespace Tests\Core\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\ConditionRefused;
use Almanac\Lists\Field;
use Almanac\Lists\FieldType;
use Almanac\Lists\Filter;
use Almanac\Lists\Operator;
use Almanac\Lists\Point;
use Almanac\Lists\Value;
use Almanac\Money\Money;
use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FilterTest extends TestCase
{
    /** @return iterable<string, array{Operator, list<Value>, list<array{Value, bool}>}> */
    public static function conditions(): iterable
    {
        $usd = fn (string $amount) => Value::amount(Money::of($amount, 'USD'));
        $day = fn (string $iso) => Value::day(Day::fromIso($iso));
        $tags = Value::choices(['Museum', 'Ångström']);
        yield 'text, without case and accents' => [Operator::Is, [Value::text('muller')], [
            [Value::text('MÜLLER'), true], [Value::text('Müllers'), false], [Value::text(''), false],
        ]];
        yield 'not that text, or none' => [Operator::IsNot, [Value::text('Müller')], [
            [Value::text('muller'), false], [Value::text('Meyer'), true], [Value::text(''), true],
        ]];
        yield 'how text begins' => [Operator::Begins, [Value::text('São')], [
            [Value::text('sao Paulo'), true], [Value::text('Paulo São'), false],
        ]];
        yield 'what it holds' => [Operator::Contains, [Value::text('paul')], [
            [Value::text('São Paulo'), true], [Value::text(''), false],
        ]];
        yield 'an amount between, the ends with it' => [Operator::Between, [$usd('1'), $usd('2')], [
            [$usd('1'), true], [$usd('2'), true], [$usd('2.01'), false], [$usd('0.99'), false],
            [Value::amount(Money::of('1.50', 'EUR')), false], [Value::amount(null), false],
        ]];
        yield 'more, in the same currency only' => [Operator::Above, [$usd('10')], [
            [$usd('10.01'), true], [$usd('10'), false], [Value::amount(Money::of('99', 'EUR')), false],
        ]];
        yield 'text between, letter by letter' => [Operator::Between, [Value::text('10115'), Value::text('20')], [
            [Value::text('11'), true], [Value::text('8001'), false], [Value::text('2'), true],
        ]];
        yield 'a number at most' => [Operator::AtMost, [Value::number(3)], [
            [Value::number(BigDecimal::of('3.0')), true], [Value::number(BigDecimal::of('3.01')), false], [Value::number(null), false],
        ]];
        yield 'a number at least' => [Operator::AtLeast, [Value::number(3)], [[Value::number(3), true], [Value::number(2), false]]];
        yield 'before a day' => [Operator::Below, [$day('2026-03-01')], [
            [$day('2026-02-28'), true], [$day('2026-03-01'), false], [Value::day(null), false],
        ]];
        yield 'yes' => [Operator::Is, [Value::yesNo(true)], [
            [Value::yesNo(true), true], [Value::yesNo(false), false], [Value::yesNo(null), false],
        ]];
        yield 'any of several' => [Operator::AnyOf, [Value::choice('museum'), Value::choice('Parish')], [
            [$tags, true], [Value::choices(['Parish']), true], [Value::choices([]), false], [Value::choices(['Town']), false],
        ]];
        yield 'all of several' => [Operator::AllOf, [Value::choice('museum'), Value::choice('angstrom')], [
            [$tags, true], [Value::choices(['Museum']), false],
        ]];
        yield 'none of several, or nothing' => [Operator::NoneOf, [Value::choice('museum')], [
            [$tags, false], [Value::choices(['Town']), true], [Value::choices([]), true],
        ]];
        yield 'something' => [Operator::Has, [], [[Value::text('x'), true], [Value::text(''), false]]];
        yield 'nothing' => [Operator::Lacks, [], [[Value::text('x'), false], [Value::text(''), true]]];
    }

    /**
     * @param list<Value> $operands
     * @param list<array{Value, bool}> $examples
     */
    #[DataProvider('conditions')]
    public function test_a_condition_holds_of_what_it_says(Operator $operator, array $operands, array $examples): void
    {
        foreach ($examples as [$value, $isSo]) {
            $condition = Condition::of(Field::of('it', 'It', $value->type), $operator, ...$operands);
            $this->assertSame($isSo, $condition->holds($value, self::today()), $value->toText());
        }
    }

    public function test_what_cannot_be_asked_is_refused(): void
    {
        $number = Field::of('grade', 'Grade', FieldType::Number);
        $five = Value::number(5);
        $refused = [
            [$number, Operator::Begins, [$five], 'Grade cannot be asked “begins”. It can be asked: is, is not, above,'],
            [$number, Operator::Between, [$five], 'Grade: “between” takes 2 to compare with, not 1.'],
            [$number, Operator::Has, [$five], 'Grade: “has” takes 0 to compare with, not 1.'],
            [$number, Operator::Between, [$five, Value::number(4)], 'the first of the two must not be above the second'],
            [$number, Operator::Is, [Value::text('5')], 'Grade is compared with a number, not with a text.'],
            [$number, Operator::Is, [Value::number(null)], 'Grade: “is” needs something to compare with.'],
            [
                Field::ofPrivate('born', 'Date of birth', FieldType::Day), Operator::Is, [Value::day(Day::of(1950, 1, 1))],
                'Date of birth is private: a list can only ask whether it is there',
            ],
            [Field::of('tags', 'Tags', FieldType::Choices), Operator::AnyOf, [], '“any of” takes one or more to compare with, not 0.'],
        ];
        foreach ($refused as [$field, $operator, $operands, $message]) {
            try {
                Condition::of($field, $operator, ...$operands);
                $this->fail("Not refused: $message");
            } catch (ConditionRefused $refusal) {
                $this->assertStringContainsString($message, $refusal->getMessage());
            }
        }
    }

    public function test_every_type_can_be_asked_something_and_denials_are_opposites(): void
    {
        $opposites = [[Operator::Is, Operator::IsNot], [Operator::AnyOf, Operator::NoneOf], [Operator::Has, Operator::Lacks]];
        foreach (FieldType::cases() as $type) {
            $this->assertNotEmpty($type->operators());
            foreach ($opposites as [$operator, $denial]) {
                if (! $type->allows($operator) || ! $type->allows($denial)) {
                    continue;
                }
                foreach ([self::sample($type, 1), self::sample($type, 2), self::sample($type, null)] as $value) {
                    $operand = self::sample($type->operand(), 1);
                    $operands = $operator->operands() === 0 ? [] : [$operand];
                    $field = Field::of('it', 'It', $type);
                    $this->assertNotSame(
                        Condition::of($field, $operator, ...$operands)->holds($value, self::today()),
                        Condition::of($field, $denial, ...$operands)->holds($value, self::today()),
                        "{$type->value} {$operator->value} {$value->toText()}",
                    );
                }
            }
        }
    }

    public function test_groups_hold_as_all_or_any_and_stand_in_a_group_once(): void
    {
        [$name, $grade] = [Field::of('name', 'Name', FieldType::Text), Field::of('grade', 'Grade', FieldType::Number)];
        $isMuller = Condition::of($name, Operator::Is, Value::text('Müller'));
        $isGood = Condition::of($grade, Operator::AtMost, Value::number(2));
        $of = fn (string $text, int $number) => fn (Field $field) => $field->key === 'name' ? Value::text($text) : Value::number($number);
        $either = Filter::any($isMuller, $isGood);
        $filter = Filter::all($either, Condition::of($name, Operator::Has));

        $this->assertTrue(Filter::all()->holds($of('', 1), self::today()));
        $this->assertTrue(Filter::any()->holds($of('', 1), self::today()));
        $this->assertTrue($either->holds($of('', 1), self::today()));
        $this->assertFalse($filter->holds($of('', 1), self::today()));
        $this->assertTrue($filter->holds($of('muller', 5), self::today()));
        $this->assertFalse($filter->holds($of('Meyer', 5), self::today()));
        $this->assertSame(['name', 'grade'], array_column($filter->fields(), 'key'));
        $this->expectExceptionMessage('Groups of conditions may stand in a group, and no deeper.');
        Filter::any($filter, $isGood);
    }

    public function test_values_sort_by_their_type(): void
    {
        $sorted = fn (Value ...$values) => array_map(fn (Value $value) => $value->toSort(), $values);
        $this->assertSame(['muller', null], $sorted(Value::text('Müller'), Value::text('')));
        $this->assertSame([2.5, 10.0], $sorted(Value::number(BigDecimal::of('2.50')), Value::number(10)));
        $this->assertSame([1050, null], $sorted(Value::amount(Money::of('10.50', 'USD')), Value::amount(null)));
        $this->assertSame(['2026-02-09'], $sorted(Value::day(Day::fromIso('2026-02-09'))));
        $this->assertSame([0, 1, null], $sorted(Value::yesNo(false), Value::yesNo(true), Value::yesNo(null)));
        $this->assertSame(["angstrom\nmuseum"], $sorted(Value::choices(['Ångström', 'Museum'])));
    }

    private static function today(): Day
    {
        return Day::of(2026, 11, 25);
    }

    private static function sample(FieldType $type, ?int $number): Value
    {
        return match ($type) {
            FieldType::Text => Value::text((string) $number),
            FieldType::Number => Value::number($number),
            FieldType::Amount => Value::amount($number === null ? null : Money::ofMinor($number, 'USD')),
            FieldType::Day => Value::day($number === null ? null : Day::of(2026, 1, $number)),
            FieldType::YesNo => Value::yesNo($number === null ? null : $number === 1),
            FieldType::Choice => Value::choice((string) $number),
            FieldType::Choices => Value::choices($number === null ? [] : [(string) $number]),
            FieldType::Days => Value::days($number === null ? [] : [Day::of(2026, 1, $number)]),
            FieldType::Place => Value::point($number === null ? null : Point::of($number, $number)),
        };
    }
}
