<?php

declare(strict_types=1);

namespace Tests\Core\Lists;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Lists\Box;
use Almanac\Lists\Condition;
use Almanac\Lists\ConditionRefused;
use Almanac\Lists\Field;
use Almanac\Lists\FieldType;
use Almanac\Lists\Filter;
use Almanac\Lists\Misread;
use Almanac\Lists\Near;
use Almanac\Lists\Operands;
use Almanac\Lists\Operator;
use Almanac\Lists\Phrase;
use Almanac\Lists\Point;
use Almanac\Lists\SentenceReader;
use Almanac\Lists\SentenceWriter;
use Almanac\Lists\Span;
use Almanac\Lists\Suggestion;
use Almanac\Lists\Suggestions;
use Almanac\Lists\Value;
use Almanac\Lists\Vocabulary;
use Almanac\Money\DecimalSign;
use Almanac\Money\Money;
use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A filter as a sentence: what it is read as, how it is written back, what is said of what is not understood. */
final class SentenceTest extends TestCase
{
    private const TAGS = ['museum', 'parish', 'Smith and Sons', 'in the attic', 'clients', 'a "quoted" one', 'is', 'Ångström, Ø'];

    /** @return iterable<string, array{string, string}> the sentence, and how it is written back */
    public static function sentences(): iterable
    {
        yield 'of the trade' => [
            'vendors in VT without a tax number, paid this year, owed more than 500',
            'vendors in VT, without a tax number, paid this year, owed more than 500.00',
        ];
        yield 'nothing' => ['  ', ''];
        yield 'signs between clauses' => ['Vendors; archived ,, and with email', 'vendors, archived, with an email'];
        yield 'either' => ['in VT or NH or in MA', 'in VT or NH or in MA'];
        yield 'the field that knows it' => ['in bath or in vt', 'in bath or in VT'];
        yield 'either, of two fields' => ['archived or without email', 'archived or without an email'];
        yield 'either binds closer' => [
            'vendors, archived or with email, paid last year',
            'vendors, (archived or with an email), paid last year',
        ];
        yield 'a group' => ['(vendors, in VT) or (archived, in NH)', '(vendors in VT) or (archived in NH)'];
        yield 'both of two choices' => ['tagged museum and parish', 'tagged museum and parish'];
        yield 'a choice with an and in it' => ['tagged Smith and Sons or parish', 'tagged Smith and Sons or parish'];
        yield 'a choice that is a word of the sentence' => ['tagged "clients" or museum', 'tagged clients or museum'];
        yield 'none of them' => ['not tagged museum or parish', 'not tagged museum or parish'];
        yield 'a title and what is asked' => ['Days to pay at least 12,5', 'days to pay at least 12.5'];
        yield 'an amount of another currency' => ['owed more than 1,250.5 EUR', 'owed more than 1250.50 EUR'];
        yield 'between' => ['days to pay between 10 and 20, vendors', 'days to pay between 10 and 20, vendors'];
        yield 'days' => ['added after 31 jan 2026 and added until 3/2', 'added after 31 Jan 2026, added until 2 Mar 2026'];
        yield 'times' => [
            'added this week, not paid in 2025, not paid since 1 Mar 2026',
            'added this week, not paid in 2025, not paid since 1 Mar 2026',
        ];
        yield 'a month' => ['added in march 2026', 'added in Mar 2026'];
        yield 'yes and no' => ['not archived', 'not archived'];
        yield 'text of several words' => ['name begins with de la Tour and without email', 'name begins with de la Tour, without an email'];
        yield 'text with words of the sentence' => ['name contains "bells with email"', 'name contains "bells with email"'];
        yield 'bare' => ['vendors, not "vendors in kind", added not last month', 'vendors, not vendors in kind, not added last month'];
        yield 'near' => ['within 20 mi of 05301', 'within 20 miles of 05301'];
        yield 'a field with signs in its title' => ['"Size (cm), outside" above 3', '"Size (cm), outside" above 3'];
    }

    #[DataProvider('sentences')]
    public function test_a_sentence_is_read_and_written_back(string $sentence, string $written): void
    {
        $words = self::vocabulary();
        $reading = SentenceReader::read($words, $sentence);
        $this->assertSame([], array_map(fn (Misread $one) => $one->message, $reading->misread));
        $this->assertSame($written, SentenceWriter::write($words, $reading->filter));
    }

    public function test_what_is_not_understood_is_said_with_its_place_and_the_rest_holds(): void
    {
        $said = function (string $sentence): array {
            $reading = SentenceReader::read(self::vocabulary(), $sentence);

            return [
                SentenceWriter::write(self::vocabulary(), $reading->filter),
                ...array_map(fn (Misread $one) => mb_substr($sentence, $one->at, $one->length).' — '.$one->message, $reading->misread),
            ];
        };
        $this->assertSame(
            ['vendors, archived', 'vendorz — “vendorz” is not understood. Do you mean “vendors”?'],
            $said('vendorz, vendors, archived'),
        );
        $this->assertSame(
            ['vendors', 'days to pay above lots — “lots” is not a number. Write it like 1250.00.'],
            $said('vendors, days to pay above lots'),
        );
        $this->assertSame(
            ['', 'days to pay — What about “Days to pay”? It can be asked: is not, is, above, more than, over, at least.'],
            $said('days to pay'),
        );
        $this->assertSame(
            ['tagged nonsuch', 'tagged nonsuch — Tags: there is no “nonsuch”, or no longer. Nobody has it.'],
            $said('tagged nonsuch'),
        );
        $this->assertSame(['archived', '( — This bracket is not closed again.'], $said('(archived'));
        $this->assertSame(['archived', ') — This bracket closes nothing. Take it out.'], $said('archived)'));
        $this->assertSame(
            ['', 'within 20 miles of nowhere — The table of ZIP codes does not have “nowhere”. Type five figures, such as 05301.'],
            $said('within 20 miles of nowhere'),
        );
        $this->assertSame(['', 'owed more than — Payable: say what it is compared with after “above”.'], $said('owed more than'));
        foreach (['مرحبا بالعالم', "'; drop table parties; --", '" OR "" = ""', '((((((((((', 'NEAR(a b)*^', str_repeat('x', 1999)] as $nonsense) {
            $reading = SentenceReader::read(self::vocabulary(), $nonsense);
            $this->assertFalse($reading->isWhole(), $nonsense);
            $this->assertTrue($reading->filter->isEmpty());
        }
        $this->assertStringContainsString(
            'too long',
            SentenceReader::read(self::vocabulary(), str_repeat('vendors, ', 600))->misread[0]->message,
        );
    }

    /** Writing then reading gives the same filter, for every field and every operator, alone and together. */
    public function test_what_is_written_is_read_as_the_same(): void
    {
        mt_srand(2026);
        $words = self::vocabulary();
        $conditions = [];
        foreach ($words->fields() as $field) {
            foreach ($field->type->operators() as $operator) {
                for ($n = 0; $n < 12; $n++) {
                    $conditions[] = self::random($field, $operator);
                }
            }
        }
        foreach ($conditions as $condition) {
            $this->sameAgain($words, Filter::all($condition));
        }
        for ($n = 0; $n < 400; $n++) {
            $some = fn (int $most) => array_map(fn () => $conditions[array_rand($conditions)], range(1, mt_rand(1, $most)));
            $groups = array_map(
                fn () => mt_rand(0, 1) === 0 ? Filter::any(...$some(3)) : Filter::all(...$some(3)),
                range(1, mt_rand(1, 3)),
            );
            $parts = [...$some(3), ...mt_rand(0, 1) === 0 ? $groups : []];
            $this->sameAgain($words, mt_rand(0, 1) === 0 ? Filter::any(...$parts) : Filter::all(...$parts));
        }
    }

    public function test_what_may_come_next_is_suggested(): void
    {
        $next = fn (string $typed) => array_map(
            fn (Suggestion $one) => mb_substr($typed, 0, $one->at).$one->text,
            Suggestions::of(self::vocabulary(), $typed),
        );
        $this->assertContains('vendors', $next(''));
        $this->assertSame(['vendors', 'vendors in kind '], $next('ven'));
        $this->assertContains('vendors, tagged museum', $next('vendors, tagged mus'));
        $this->assertContains('tagged museum or parish', $next('tagged museum or p'));
        $this->assertContains('added this week', $next('added this'));
        $this->assertContains('days to pay at least ', $next('days to pay at'));
        $this->assertContains('in VT', $next('in '));
        $this->assertSame([], $next('frobnicate '));
        $this->assertLessThanOrEqual(8, count($next('a')));
    }

    public function test_times_that_move_are_counted_from_today(): void
    {
        $days = fn (string $text, string $today) => implode(' to ', array_map(
            fn (Day $day) => $day->toIso(),
            (Span::read($text) ?? throw new \LogicException("$text is not read."))->on(Day::fromIso($today)),
        ));
        // The leap year of 2028, and weeks that begin on Monday (ISO 8601).
        $this->assertSame('2028-02-28 to 2028-03-05', $days('this week', '2028-03-01'));
        $this->assertSame('2028-02-01 to 2028-02-29', $days('last month', '2028-03-31'));
        $this->assertSame('2028-01-01 to 2028-03-31', $days('this quarter', '2028-02-29'));
        $this->assertSame('2027-10-01 to 2027-12-31', $days('last quarter', '2028-02-29'));
        $this->assertSame('2027-01-01 to 2027-12-31', $days('last year', '2028-02-29'));
        $this->assertSame('2028-01-31 to 2028-02-29', $days('last 30 days', '2028-02-29'));
        $this->assertSame('2028-02-29 to 2028-03-29', $days('next 30 days', '2028-02-29'));
        $this->assertSame('2028-03-01 to 2028-03-01', $days('tomorrow', '2028-02-29'));
        $this->assertSame('2026-03-01 to 2026-03-31', $days('March 2026', '2028-02-29'));
        foreach ([...Span::usual(), '2025', 'Mar 2026'] as $text) {
            $this->assertSame($text, Span::read($text)?->toText());
        }
        $this->assertNull(Span::read('last 0 days'));
        $this->assertNull(Span::read('last 99999 days'));
        $this->assertNull(Span::read('whenever'));
    }

    /** Great circles between airports, as published: in kilometres, to within the flattening of the earth (0.5 %). */
    public function test_distances_are_great_circles(): void
    {
        // From memory: New York (JFK) to London (LHR) 5,540 km; Paris (CDG) to Tokyo (NRT) 9,713 km; Sydney (SYD) to
        // Los Angeles (LAX) 12,051 km.
        foreach ([
            [40.6398, -73.7789, 51.4706, -0.4619, 5540], [49.0097, 2.5479, 35.7647, 140.3864, 9713],
            [-33.9461, 151.1772, 33.9425, -118.4081, 12051],
        ] as [$a, $b, $c, $d, $kilometres]) {
            $this->assertEqualsWithDelta($kilometres, Point::of($a, $b)->distanceTo(Point::of($c, $d)), $kilometres * 0.005);
        }
        $this->assertSame(0.0, Point::of(10, 20)->distanceTo(Point::of(10, 20)));
        // A quarter of a meridian, and one degree across the line where the days begin.
        $this->assertEqualsWithDelta(M_PI / 2 * Point::RADIUS, Point::of(0, 0)->distanceTo(Point::of(90, 0)), 1e-6);
        $this->assertEqualsWithDelta(M_PI / 180 * Point::RADIUS, Point::of(0, 179.5)->distanceTo(Point::of(0, -179.5)), 1e-6);
    }

    public function test_a_rectangle_holds_what_lies_in_it_over_the_date_line_too(): void
    {
        $vermont = Box::read('42.7N 73.5W to 45.02N 71.45W');
        $this->assertTrue($vermont->holds(Point::of(42.8574, -72.5933)));
        $this->assertFalse($vermont->holds(Point::of(42.3601, -71.0589)));
        $this->assertSame('42.7N 73.5W to 45.02N 71.45W', $vermont->toText());
        $pacific = Box::read('20s 170e to 10N 170 W');
        $this->assertSame('20S 170E to 10N 170W', $pacific->toText());
        foreach ([[0, 175, true], [0, -175, true], [0, 0, false], [15, 175, false]] as [$latitude, $longitude, $holds]) {
            $this->assertSame($holds, $pacific->holds(Point::of($latitude, $longitude)));
        }
        foreach (['', 'nonsense', '45N 73W to 42N 71W', '42N 73W to 42N 71W', '91N 0E to 92N 1E', '1N 2E to 3N 4E'.str_repeat('0', 400)] as $text) {
            try {
                Box::read($text);
                $this->fail("“{$text}” is no rectangle.");
            } catch (ConditionRefused $refused) {
                $this->assertNotSame('', $refused->getMessage());
            }
        }
    }

    private function sameAgain(Vocabulary $words, Filter $filter): void
    {
        $sentence = SentenceWriter::write($words, $filter);
        $reading = SentenceReader::read($words, $sentence);
        $this->assertTrue(
            $reading->isWhole() && $reading->filter->equals($filter),
            $sentence.' is read as '.SentenceWriter::write($words, $reading->filter),
        );
    }

    private static function random(Field $field, Operator $operator): Condition
    {
        $text = fn () => implode(' ', array_map(fn () => [
            'bell', 'and', 'or', 'with', 'email', 'is', 'not', '12', ',', '(', '"', 'Åse', 'vendors', 'in', 'this week',
            'a', 'de la', 'tagged',
        ][mt_rand(0, 17)], range(1, mt_rand(1, 4))));
        $operand = fn () => match ($field->type->operand()) {
            FieldType::Number => Value::number(BigDecimal::of(mt_rand(-999, 99999))->dividedBy(100, 2)),
            FieldType::Amount => Value::amount(Money::ofMinor(mt_rand(-9999, 9999999), ['USD', 'EUR', 'JPY'][mt_rand(0, 2)])),
            FieldType::Day => $operator === Operator::During || $operator === Operator::NotDuring
                ? Value::span(Span::read(
                    [...Span::usual(), '2024', 'Feb 2024'][mt_rand(0, count(Span::usual()) + 1)],
                ) ?? throw new \LogicException('No span.'))
                : Value::day(Day::of(mt_rand(1, 9999), mt_rand(1, 12), mt_rand(1, 28))),
            FieldType::YesNo => Value::yesNo(mt_rand(0, 1) === 1),
            FieldType::Choice => Value::choice(mt_rand(0, 2) > 0 ? self::TAGS[array_rand(self::TAGS)] : $text()),
            FieldType::Place => $operator === Operator::Inside ? Value::box(self::box()) : Value::near(Near::of(
                BigDecimal::of(mt_rand(1, 500)), ['miles', 'km'][mt_rand(0, 1)], '05301', Point::of(42.8, -72.6),
            )),
            default => Value::text($text()),
        };
        $operands = array_map(fn () => $operand(), $operator->operands() === 0 ? [] : range(1, $operator->operands() ?? mt_rand(1, 3)));
        if ($operator === Operator::Between) {
            [$a, $b] = $operands;
            if ($a->held instanceof Money) {
                $b = Value::amount($a->held);
            } elseif ($a->toSort() > $b->toSort()) {
                [$a, $b] = [$b, $a];
            }
            $operands = [$a, $b];
        }

        return Condition::of($field, $operator, ...$operands);
    }

    private static function box(): Box
    {
        $degrees = fn (int $most) => mt_rand(-$most * 100, $most * 100) / 100;
        [$south, $west] = [$degrees(80), $degrees(180)];

        return Box::of(Point::of($south, $west), Point::of($south + mt_rand(1, 900) / 100, $west > 0 ? $west - 12.3456789 : $west + 0.5));
    }

    private static function vocabulary(): Vocabulary
    {
        $of = fn (string $key, string $title, FieldType $type) => Field::of($key, $title, $type);
        $fields = [];
        foreach ([
            $of('name', 'Name', FieldType::Text), $of('email', 'Email', FieldType::Text), $of('role', 'Role', FieldType::Choices),
            $of('tags', 'Tags', FieldType::Choices), $of('region', 'State', FieldType::Choice),
            $of('city', 'City', FieldType::Choice), $of('payable', 'Payable', FieldType::Amount),
            $of('days-to-pay', 'Days to pay', FieldType::Number), $of('added', 'Added', FieldType::Day),
            $of('paid', 'Paid', FieldType::Days),
            $of('archived', 'Archived', FieldType::YesNo), $of('tax-number', 'Tax number', FieldType::Text),
            $of('near', 'Place', FieldType::Place),
            // Fields of the office's own may be called anything.
            $of('odd-1', 'Size (cm), outside', FieldType::Number), $of('odd-2', 'And', FieldType::Text),
            $of('odd-3', 'Without', FieldType::Choice),
            $of('odd-4', 'vendors in kind', FieldType::YesNo), $of('odd-5', 'Is not', FieldType::Day),
            $of('odd-6', 'The "best"', FieldType::Choices),
        ] as $field) {
            $fields[$field->key] = $field;
        }
        $yes = Value::yesNo(true);

        return new Vocabulary(array_values($fields), [
            Phrase::usual('vendors', $fields['role'], Operator::AnyOf, Value::choice('vendor')),
            Phrase::usual('in', $fields['region'], Operator::Is),
            Phrase::usual('in', $fields['city'], Operator::Is),
            Phrase::usual('tagged', $fields['tags'], Operator::AnyOf),
            Phrase::usual('not tagged', $fields['tags'], Operator::NoneOf),
            Phrase::usual('owed more than', $fields['payable'], Operator::Above),
            Phrase::also('owing more than', $fields['payable'], Operator::Above),
            Phrase::usual('not paid since', $fields['paid'], Operator::NotSince),
            Phrase::usual('not paid in', $fields['paid'], Operator::NotDuring),
            Phrase::usual('archived', $fields['archived'], Operator::Is, $yes),
            Phrase::usual('not archived', $fields['archived'], Operator::Is, Value::yesNo(false)),
            Phrase::usual('within', $fields['near'], Operator::Within),
            Phrase::usual('inside', $fields['near'], Operator::Inside),
        ], new Operands(
            TypedDay::reader(Day::of(2026, 11, 25), true),
            'USD',
            DecimalSign::Point,
            fn (Field $field) => match ($field->key) {
                'tags' => self::TAGS,
                'region' => ['VT', 'NH', 'MA'],
                'role' => ['client', 'vendor'],
                default => null,
            },
            fn (string $place) => $place === '05301' ? Point::of(42.8, -72.6) : null,
            fn (Field $field, string $begun) => $field->key === 'city' && str_starts_with('bath', mb_strtolower($begun)) ? ['Bath'] : [],
            fn (Field $field, string $typed) => $field->key !== 'city' || mb_strtolower($typed) === 'bath',
        ));
    }
}
