<?php

declare(strict_types=1);

namespace Tests\Core\Details;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Details\FieldKind;
use Almanac\Details\FieldReader;
use Almanac\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FieldReaderTest extends TestCase
{
    private const COLOURS = ['Blue', 'Dark green', 'Red'];

    /** @return iterable<string, array{FieldKind, string, string, string}> kind, typed, kept, shown */
    public static function typed(): iterable
    {
        yield 'text is tidied' => [FieldKind::Text, "  oak \n case ", 'oak case', 'oak case'];
        yield 'long text keeps its lines' => [FieldKind::LongText, "one\r\ntwo ", "one\ntwo", "one\ntwo"];
        yield 'a number' => [FieldKind::Number, '1,250.50', '1250.50', '1250.50'];
        yield 'a number set off by spaces' => [FieldKind::Number, '-12 345', '-12345', '-12345'];
        yield 'a date' => [FieldKind::Date, '3/1', '2026-03-01', '1 Mar 2026'];
        yield 'yes' => [FieldKind::YesNo, 'Y', 'yes', 'yes'];
        yield 'no' => [FieldKind::YesNo, 'NO', 'no', 'no'];
        yield 'a choice in other letters' => [FieldKind::Choice, 'dark GREEN', 'Dark green', 'Dark green'];
        yield 'several choices' => [FieldKind::Choices, "red\nblue\n\nred", "Red\nBlue", 'Red, Blue'];
        yield 'an amount of the office' => [FieldKind::Amount, '1,250.5', '1250.50 USD', '1,250.50 USD'];
        yield 'an amount of elsewhere' => [FieldKind::Amount, 'chf 12', '12.00 CHF', '12.00 CHF'];
        yield 'an amount without decimals' => [FieldKind::Amount, '5000 JPY', '5000 JPY', '5,000 JPY'];
        yield 'a secret' => [FieldKind::Secret, ' safe: 4-8-15 ', 'safe: 4-8-15', 'safe: 4-8-15'];
    }

    #[DataProvider('typed')]
    public function test_what_is_typed_is_kept_and_shown(FieldKind $kind, string $typed, string $kept, string $shown): void
    {
        $this->assertSame($kept, $this->reader()->read($kind, $typed, self::COLOURS));
        $this->assertSame($shown, $this->reader()->show($kind, $kept));
        $this->assertSame(
            $kept,
            $this->reader()->read($kind, $kind->hasOptions() ? $kept : $shown, self::COLOURS),
            'reading what is shown changes nothing',
        );
    }

    /** @return iterable<string, array{FieldKind, string, string}> kind, typed, what is said */
    public static function refused(): iterable
    {
        yield 'no number' => [FieldKind::Number, 'twelve', '“twelve” is not a number. Type it like 1,250.5.'];
        yield 'a number with an exponent' => [FieldKind::Number, '1e999999999', '“1e999999999” is not a number. Type it like 1,250.5.'];
        yield 'commas out of place' => [FieldKind::Number, '1,2,5', '“1,2,5” is not a number. Type it like 1,250.5.'];
        yield 'no such day' => [FieldKind::Date, '31 February', 'There is no 31 February: February 2026 has 28 days.'];
        yield 'perhaps' => [FieldKind::YesNo, 'perhaps', '“perhaps” is neither yes nor no.'];
        yield 'not offered' => [FieldKind::Choice, 'mauve', '“mauve” is not among the choices.'];
        yield 'one not offered' => [FieldKind::Choices, "red\nmauve", '“mauve” is not among the choices.'];
        yield 'no currency' => [
            FieldKind::Amount,
            '5 XQQ',
            '“5 XQQ” is not an amount. Type it like 1,250.50, or with its currency like CHF 1250.',
        ];
        yield 'finer than a cent' => [
            FieldKind::Amount,
            '1.234',
            '“1.234” is not an amount. Type it like 1,250.50, or with its currency like CHF 1250.',
        ];
    }

    #[DataProvider('refused')]
    public function test_what_is_not_of_its_kind_is_refused(FieldKind $kind, string $typed, string $said): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage($said);
        $this->reader()->read($kind, $typed, self::COLOURS);
    }

    public function test_nothing_stays_nothing_whatever_the_kind(): void
    {
        foreach (FieldKind::cases() as $kind) {
            $this->assertSame('', $this->reader()->read($kind, "  \n ", self::COLOURS));
            $this->assertSame('', $this->reader()->show($kind, ''));
        }
    }

    public function test_a_choice_that_is_no_longer_offered_may_stay(): void
    {
        $this->assertSame('Mauve', $this->reader()->read(FieldKind::Choice, 'mauve', self::COLOURS, 'Mauve'));
        $this->assertSame("Mauve\nRed", $this->reader()->read(FieldKind::Choices, "Mauve\nred", self::COLOURS, "Blue\nMauve"));
    }

    private function reader(): FieldReader
    {
        return FieldReader::of(TypedDay::reader(Day::fromIso('2026-11-24'), true), 'USD');
    }
}
