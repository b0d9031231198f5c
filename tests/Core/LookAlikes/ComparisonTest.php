<?php

declare(strict_types=1);

namespace Tests\Core\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\LookAlikes\Comparison;
use Almanac\LookAlikes\Evidence;
use Almanac\LookAlikes\Frequencies;
use Almanac\LookAlikes\Keys;
use Almanac\LookAlikes\Likeness;
use Almanac\LookAlikes\Verdict;
use Almanac\LookAlikes\Weights;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ComparisonTest extends TestCase
{
    private const HILL = ['22 Orchard Hill', 'Putney', '05346'];

    /** @return iterable<string, array{Likeness, Likeness, Verdict, list<string>}> */
    public static function pairs(): iterable
    {
        $wren = Likeness::person('Silas', 'Wren', ['+16035550164'], ['silas@brass.example'], middle: 'A');
        $named = fn (string $given, string $family, string $middle = '', string $suffix = '', string $preferred = '') => Likeness::person(
            $given, $family, ['+18025550190'], [], [self::HILL], middle: $middle, suffix: $suffix, preferred: $preferred,
        );
        $born = fn (string $given, ?string $day, string $phone = '+18025550190') => Likeness::person(
            $given, 'Larkin', [$phone], [], [self::HILL], born: $day === null ? null : Day::fromIso($day),
        );
        yield 'the name alone is for eyes' => [$wren, Likeness::person('Silas', 'Wren'), Verdict::Perhaps, ['family-same', 'given-same']];
        yield 'with the phone it is sure' => [
            $wren, Likeness::person('Silas', 'Wren', ['+16035550164']), Verdict::Same,
            ['family-same', 'given-same', 'phone-same'],
        ];
        yield 'by the short name' => [
            $wren, Likeness::person('Si', 'Wren', ['+16035550164']), Verdict::Same,
            ['family-same', 'given-short', 'phone-same'],
        ];
        yield 'names the other way round' => [
            $wren, Likeness::person('Wren', 'Silas', [], ['silas@brass.example']), Verdict::Same,
            ['email-same', 'family-same', 'given-same'],
        ];
        yield 'a slip, and the same phone' => [
            $wren, Likeness::person('Silas', 'Wern', ['+16035550164']), Verdict::Same,
            ['family-alike', 'given-same', 'phone-same'],
        ];
        yield 'email with dots and a plus' => [
            Likeness::person('Silas', 'Wren', [], ['silas.wren+office@brass.example']),
            Likeness::person('Silas', 'Wren', [], ['silaswren@brass.example']),
            Verdict::Same, ['email-same', 'family-same', 'given-same'],
        ];
        yield 'email at another place' => [
            Likeness::person('Silas', 'Wren', [], ['clockmaker9@brass.example']),
            Likeness::person('Silas', 'Wren', [], ['clock.maker9@post.example']),
            Verdict::Perhaps, ['email-elsewhere', 'family-same', 'given-same'],
        ];
        yield 'email at another place that only says the name' => [
            Likeness::person('Silas', 'Wren', [], ['silaswren@brass.example']),
            Likeness::person('Silas', 'Wren', [], ['silas.wren@post.example']),
            Verdict::Perhaps, ['family-same', 'given-same'],
        ];
        yield 'the same name, other phone and email' => [
            $wren, Likeness::person('Silas', 'Wren', ['+12025550100'], ['sw@other.example']), Verdict::Perhaps,
            ['email-differs', 'family-same', 'given-same', 'phone-differs'],
        ];
        yield 'spouses' => [
            $named('Edith', 'Larkin'), $named('Walter', 'Larkin'), Verdict::Different,
            ['family-same', 'given-differs', 'phone-same', 'place-same'],
        ];
        yield 'spouses by the initial of one' => [
            $named('Edith', 'Larkin'), $named('E.', 'Larkin'), Verdict::Perhaps,
            ['family-same', 'given-initial', 'phone-same', 'place-same'],
        ];
        yield 'father and son' => [
            $named('Walter', 'Larkin', suffix: 'Sr.'), $named('Walter', 'Larkin', suffix: 'Jr.'), Verdict::Different,
            ['family-same', 'given-same', 'phone-same', 'place-same', 'suffix-differs'],
        ];
        yield 'perhaps father and son' => [
            $named('Walter', 'Larkin'), $named('Walter', 'Larkin', suffix: 'Jr.'), Verdict::Perhaps,
            ['family-same', 'given-same', 'phone-same', 'place-same', 'suffix-of-one'],
        ];
        yield 'another middle name' => [
            $named('Walter', 'Larkin', 'James'), $named('Walter', 'Larkin', 'P.'), Verdict::Different,
            ['family-same', 'given-same', 'middle-differs', 'phone-same', 'place-same'],
        ];
        yield 'twins' => [
            $born('Ada', '1990-01-02'), $born('Ida', '1990-01-02'), Verdict::Different,
            ['born-same', 'family-same', 'given-differs', 'phone-same', 'place-same'],
        ];
        yield 'birth dates the wrong way round' => [
            $born('Ada', '1990-01-02'), $born('Ada', '1990-02-01'), Verdict::Same,
            ['born-slip', 'family-same', 'given-same', 'phone-same', 'place-same'],
        ];
        yield 'one figure off' => [
            $born('Ada', '1990-01-02'), $born('Ada', '1998-01-02'), Verdict::Same,
            ['born-slip', 'family-same', 'given-same', 'phone-same', 'place-same'],
        ];
        yield 'another birth date' => [
            $born('Walter', '1950-03-04'), $born('Walter', '1982-11-30'), Verdict::Different,
            ['born-differs', 'family-same', 'given-same', 'phone-same', 'place-same'],
        ];
        yield 'a birth date that one lacks says nothing' => [
            $born('Walter', '1950-03-04'), $born('Walter', null), Verdict::Same,
            ['family-same', 'given-same', 'phone-same', 'place-same'],
        ];
        yield 'after a wedding' => [
            Likeness::person('Edith', 'Larkin', ['+18025550190'], ['edith@post.example']),
            Likeness::person('Edith', 'Quill', ['+18025550190'], ['edith@post.example'], formerly: ['Larkin']),
            Verdict::Same, ['email-same', 'family-former', 'given-same', 'phone-same'],
        ];
        yield 'after a wedding of which nothing is known' => [
            Likeness::person('Edith', 'Larkin', ['+18025550190'], ['edith@post.example'], [self::HILL]),
            Likeness::person('Edith', 'Quill', ['+18025550190'], ['edith@post.example']),
            Verdict::Same, ['email-same', 'family-differs', 'given-same', 'phone-same'],
        ];
        yield 'called by the middle name' => [
            $named('Robert', 'Larkin'), $named('James', 'Larkin', 'Robert'), Verdict::Perhaps,
            ['family-same', 'given-middle', 'phone-same', 'place-same'],
        ];
        yield 'called otherwise' => [
            $named('Kiki', 'Larkin'), $named('Edith', 'Larkin', preferred: 'Kiki'), Verdict::Same,
            ['family-same', 'given-short', 'phone-same', 'place-same'],
        ];
        yield 'one family name' => [$wren, Likeness::person('Ada', 'Wren'), Verdict::Different, ['family-same', 'given-differs']];
        yield 'behind one front desk' => [
            Likeness::person('Edith', 'Larkin', ['+18025550190'], employers: [7]),
            Likeness::person('Silas', 'Wren', ['+18025550190'], employers: [7]),
            Verdict::Different, ['employer-same', 'family-differs', 'given-differs', 'phone-same'],
        ];
        yield 'companies at one number' => [
            Likeness::company('Brass Lantern Foundry', ['+16035550163']), Likeness::company('Hollow Pine Timber', ['+16035550163']),
            Verdict::Different, ['name-differs', 'phone-same'],
        ];
        yield 'another legal form, the same phone' => [
            Likeness::company('Brass Lantern Foundry LLC', ['+16035550163']),
            Likeness::company('The Brass Lantern Fdry, Inc.', ['+16035550163']),
            Verdict::Same, ['name-same', 'phone-same'],
        ];
        yield 'its initials' => [
            Likeness::company('Orrery & Vane', ['+18025550100'], ['office@orreryvane.example']),
            Likeness::company('O&V', ['+18025550100'], ['office@orreryvane.example']),
            Verdict::Same, ['email-same', 'name-initials', 'phone-same'],
        ];
        yield 'branches share the number of the state' => [
            Likeness::company('Harborlight Mutual, Hartford office', numbers: ['ein|1']),
            Likeness::company('Harborlight Mutual, Boston office', numbers: ['ein|1']),
            Verdict::Different, ['branch-differs', 'name-same', 'tax-same'],
        ];
        yield 'two firms of one family side by side' => [
            Likeness::company('Hall Plumbing', ['+16035550163'], [], [self::HILL]),
            Likeness::company('Hall Electric', ['+16035550163'], [], [self::HILL]),
            Verdict::Perhaps, ['name-part', 'phone-same', 'place-same'],
        ];
        yield 'another tax number' => [
            Likeness::company('Hall Plumbing', ['+16035550163'], numbers: ['ein|1']),
            Likeness::company('Hall Plumbing', ['+16035550163'], numbers: ['ein|2']),
            Verdict::Different, ['name-same', 'phone-same', 'tax-differs'],
        ];
        yield 'numbers of two kinds say nothing' => [
            Likeness::company('Hall Plumbing', ['+16035550163'], numbers: ['ein|1']),
            Likeness::company('Hall Plumbing', ['+16035550163'], numbers: ['vat|2']),
            Verdict::Same, ['name-same', 'phone-same'],
        ];
        yield 'accents and capitals' => [
            Likeness::company('Räder Müller'), Likeness::company('RADER MULLER'), Verdict::Perhaps, ['name-same'],
        ];
        yield 'in another script' => [
            Likeness::person('Пётр', 'Петров', ['+16035550164']), Likeness::person('ПЁТР', 'ПЕТРОВ', ['+16035550164']),
            Verdict::Same, ['family-same', 'given-same', 'phone-same'],
        ];
    }

    /** @param  list<string>  $signs */
    #[DataProvider('pairs')]
    public function test_pairs(Likeness $one, Likeness $other, Verdict $verdict, array $signs): void
    {
        foreach ([[$one, $other], [$other, $one]] as [$a, $b]) {
            $pattern = explode(' ', Evidence::between($a, $b)?->pattern() ?? '');
            sort($pattern);
            $this->assertSame($signs, $pattern);
            $comparison = Comparison::of($a, $b);
            $this->assertSame($verdict, $comparison->verdict, sprintf('%.1f', $comparison->score));
        }
    }

    #[DataProvider('pairs')]
    public function test_what_may_be_the_same_shares_a_key(Likeness $one, Likeness $other, Verdict $verdict): void
    {
        $this->assertTrue($verdict === Verdict::Different || array_intersect(Keys::of($one), Keys::of($other)) !== []);
    }

    public function test_person_and_company_are_never_compared(): void
    {
        $comparison = Comparison::of(
            Likeness::person('Silas', 'Wren', ['+16035550164']),
            Likeness::company('Silas Wren', ['+16035550164']),
        );
        $this->assertSame([Verdict::Different, []], [$comparison->verdict, $comparison->reasons()]);
    }

    public function test_it_is_told_in_words_the_weightiest_first_and_private_values_only_to_who_may_see_them(): void
    {
        $comparison = Comparison::of(
            Likeness::person('Ada', 'Larkin', ['+18025550190'], ['a@post.example'], [], ['ssn|1'], born: Day::fromIso('1990-01-02')),
            Likeness::person('Ada', 'Larkin', ['+18025550190'], ['b@post.example'], [], ['ssn|1'], born: Day::fromIso('1990-01-02')),
        );
        $this->assertSame(
            ['same tax number', 'same birth date', 'same phone', 'same family name', 'same given name'],
            $comparison->reasons(),
        );
        $this->assertSame(['same phone', 'same family name', 'same given name'], $comparison->reasons(withPrivate: false));
    }

    /** Common practice, no published source; that rare values weigh more is Winkler (1989). */
    public function test_a_rare_name_says_more_than_a_common_one_and_a_front_desk_less_than_a_phone(): void
    {
        $weights = Weights::shipped(Frequencies::of(['family smith' => 80, 'given mary' => 200, 'phone +18025550100' => 12], 6000));
        $score = fn (string $given, string $family, string $phone) => Comparison::of(
            Likeness::person($given, $family, [$phone]), Likeness::person($given, $family, [$phone]), $weights,
        )->score;
        $this->assertGreaterThan($score('Mary', 'Smith', '+18025550101') + 5, $score('Silas', 'Wren', '+18025550101'));
        $this->assertGreaterThan($score('Mary', 'Smith', '+18025550100') + 5, $score('Mary', 'Smith', '+18025550101'));
    }

    #[TestWith(['Daniel', 'Danile', Verdict::Same])]
    #[TestWith(['Marian', 'Marion', Verdict::Perhaps])]
    public function test_two_names_that_several_have_are_no_slip_of_each_other(string $one, string $other, Verdict $verdict): void
    {
        $weights = Weights::shipped(Frequencies::of(['given daniel' => 40, 'given marian' => 7, 'given marion' => 9], 3000));
        $this->assertSame($verdict, Comparison::of(
            Likeness::person($one, 'Larkin', ['+18025550190'], ['x@post.example']),
            Likeness::person($other, 'Larkin', ['+18025550190'], ['x@post.example']), $weights,
        )->verdict);
    }
}
