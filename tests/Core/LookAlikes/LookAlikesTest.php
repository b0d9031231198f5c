<?php

declare(strict_types=1);

namespace Tests\Core\LookAlikes;

use Almanac\LookAlikes\Comparison;
use Almanac\LookAlikes\JaroWinkler;
use Almanac\LookAlikes\Likeness;
use Almanac\LookAlikes\NameForm;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class LookAlikesTest extends TestCase
{
    /** Examples that Winkler (1990) gives, rounded to three places. */
    #[TestWith(['MARTHA', 'MARHTA', 0.961])]
    #[TestWith(['DWAYNE', 'DUANE', 0.840])]
    #[TestWith(['DIXON', 'DICKSONX', 0.813])]
    #[TestWith(['', '', 1.0])]
    #[TestWith(['A', '', 0.0])]
    #[TestWith(['ABC', 'XYZ', 0.0])]
    public function test_similarity(string $one, string $other, float $similarity): void
    {
        $this->assertEqualsWithDelta($similarity, JaroWinkler::similarity($one, $other), 0.0006);
        $this->assertEqualsWithDelta($similarity, JaroWinkler::similarity($other, $one), 0.0006);
    }

    /** @param  list<string>  $words */
    #[TestWith(['Brass Lantern Foundry, L.L.C.', ['brass', 'lantern', 'foundry']])]
    #[TestWith(['The Müller & Sons Company', ['muller', 'sons']])]
    #[TestWith(['Zahnrad Lindqvist GmbH', ['zahnrad', 'lindqvist']])]
    #[TestWith(['The Company', ['the', 'company']])]
    public function test_a_companys_name_without_its_dress(string $name, array $words): void
    {
        $this->assertSame($words, NameForm::company($name));
    }

    /** @return iterable<string, array{Likeness, Likeness, 'likely'|'possible'|'different', list<string>}> */
    public static function pairs(): iterable
    {
        $wren = Likeness::person('Silas', 'Wren', ['+16035550164'], ['silas@brass.example']);
        yield 'the same person' => [$wren, Likeness::person('Silas', 'Wren'), 'likely', ['same name']];
        yield 'by the nickname' => [$wren, Likeness::person('Si', 'Wren'), 'likely', ['same name']];
        yield 'names the other way round' => [$wren, Likeness::person('Wren', 'Silas'), 'likely', ['same name']];
        yield 'a slip, and the same phone' => [
            $wren,
            Likeness::person('Silas', 'Wern', ['+16035550164']),
            'likely',
            ['name much alike', 'same phone'],
        ];
        yield 'a slip alone' => [$wren, Likeness::person('Silas', 'Wrenn'), 'possible', ['name much alike']];
        yield 'the same name, other phone and email' => [
            $wren,
            Likeness::person('Silas', 'Wren', ['+12025550100'], ['sw@other.example']),
            'possible',
            ['same name'],
        ];
        yield 'spouses who share a phone and an address' => [
            Likeness::person('Edith', 'Larkin', ['+18025550190'], [], [['05146', '22 Orchard Hill']]),
            Likeness::person('Walter', 'Larkin', ['+18025550190'], [], [['05146', '22 Orchard Hill']]),
            'possible', ['same phone', 'same address'],
        ];
        yield 'one family name' => [$wren, Likeness::person('Ada', 'Wren'), 'different', []];
        yield 'a front desk' => [
            Likeness::company('Brass Lantern Foundry', ['+16035550163']),
            Likeness::company('Hollow Pine Timber', ['+16035550163']),
            'different', ['same phone'],
        ];
        yield 'another legal form' => [
            Likeness::company('Brass Lantern Foundry LLC'),
            Likeness::company('The Brass Lantern Foundry, Inc.'),
            'likely',
            ['same name'],
        ];
        yield 'accents' => [Likeness::company('Räder Müller'), Likeness::company('RADER MULLER'), 'likely', ['same name']];
        yield 'person and company' => [Likeness::person('Silas', 'Wren'), Likeness::company('Silas Wren'), 'different', []];
    }

    /** @param  list<string>  $reasons */
    #[DataProvider('pairs')]
    public function test_pairs(Likeness $one, Likeness $other, string $verdict, array $reasons): void
    {
        foreach ([Comparison::of($one, $other), Comparison::of($other, $one)] as $comparison) {
            $this->assertSame($reasons, $comparison->reasons);
            $this->assertSame($verdict, match (true) {
                $comparison->isLikely() => 'likely',
                $comparison->isPossible() => 'possible',
                default => 'different',
            }, (string) $comparison->score);
        }
    }

    /** @param  'likely'|'possible'|'different'  $verdict */
    #[DataProvider('pairs')]
    public function test_what_may_be_the_same_shares_a_key(Likeness $one, Likeness $other, string $verdict): void
    {
        $this->assertSame(
            $verdict !== 'different' || array_intersect($one->keys(), $other->keys()) !== [],
            array_intersect($one->keys(), $other->keys()) !== [],
        );
    }
}
