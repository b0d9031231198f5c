<?php

declare(strict_types=1);

namespace Tests\Core\LookAlikes;

use Almanac\LookAlikes\JaroWinkler;
use Almanac\LookAlikes\NameForm;
use Almanac\LookAlikes\Nicknames;
use Almanac\LookAlikes\PlaceForm;
use Almanac\LookAlikes\Spelled;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Names and addresses without what people write differently. */
final class SpelledTest extends TestCase
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

    #[TestWith(['larkin', 'larkn', true])]
    #[TestWith(['larkin', 'larikn', true])]
    #[TestWith(['larkin', 'larkkin', true])]
    #[TestWith(['reed', 'reid', true])]
    #[TestWith(['meyer', 'meier', true])]
    #[TestWith(['clark', 'clarke', true])]
    #[TestWith(['schneider', 'snyder', false])]
    #[TestWith(['edith', 'edwin', false])]
    #[TestWith(['ada', 'ida', false])]
    #[TestWith(['wren', 'larkin', false])]
    #[TestWith(['петров', 'петрова', true])]
    public function test_a_slip_of_the_pen(string $one, string $other, bool $alike): void
    {
        $this->assertSame([$alike, $alike], [Spelled::alike($one, $other), Spelled::alike($other, $one)]);
    }

    /**
     * @param list<string> $words
     * @param list<string> $branch
     */
    #[TestWith(['Brass Lantern Foundry, L.L.C.', ['brass', 'lantern', 'foundry'], []])]
    #[TestWith(['The Müller & Sons Company', ['muller', 'sons'], []])]
    #[TestWith(['Zahnrad Lindqvist GmbH', ['zahnrad', 'lindqvist'], []])]
    #[TestWith(['The Company', ['the', 'company'], []])]
    #[TestWith(['Hall Bros. Mfg. Co.', ['hall', 'brothers', 'manufacturing'], []])]
    #[TestWith(['Harborlight Mutual - Hartford office', ['harborlight', 'mutual'], ['hartford']])]
    #[TestWith(['Harborlight Mutual (Hartford)', ['harborlight', 'mutual'], ['hartford']])]
    #[TestWith(['Harborlight Mutual, claims department', ['harborlight', 'mutual'], ['claims', 'department']])]
    #[TestWith(['Harborlight Mutual, Inc.', ['harborlight', 'mutual'], []])]
    #[TestWith(['Whitlow & Sons North', ['whitlow', 'sons'], ['north']])]
    #[TestWith(['North Star', ['north', 'star'], []])]
    public function test_a_companys_name_without_its_dress(string $name, array $words, array $branch): void
    {
        $this->assertSame([$words, $branch], NameForm::branched($name));
    }

    #[TestWith(['bob', 'robert', true])]
    #[TestWith(['bill', 'will', true])]
    #[TestWith(['pat', 'patrick', true])]
    #[TestWith(['pat', 'patricia', true])]
    #[TestWith(['patrick', 'patricia', false])]
    #[TestWith(['catherine', 'kate', true])]
    #[TestWith(['edith', 'walter', false])]
    public function test_short_names(string $one, string $other, bool $areOne): void
    {
        $this->assertSame([$areOne, $areOne], [Nicknames::areOne($one, $other), Nicknames::areOne($other, $one)]);
    }

    #[TestWith(['Jr.', 'jr'])]
    #[TestWith(['Junior', 'jr'])]
    #[TestWith(['III', 'iii'])]
    #[TestWith(['Esq.', ''])]
    public function test_suffixes(string $typed, string $suffix): void
    {
        $this->assertSame($suffix, NameForm::suffix($typed));
    }

    #[TestWith(['22 Orchard Hill Road', '22 orchard hill rd', true])]
    #[TestWith(['22 N. Main Street', '22 North Main St', true])]
    #[TestWith(["22 Main Street\nApartment 4", '22 Main St, Apt. 4', true])]
    #[TestWith(["Suite 4\n22 Main Street", '22 Main St Ste 4', true])]
    #[TestWith(['101 First Avenue', '101 1st Ave', true])]
    #[TestWith(['P.O. Box 12', 'PO Box 12', true])]
    #[TestWith(['P.O. Box 12', 'Post Office Box 13', false])]
    #[TestWith(['22 Orchard Hill Road', '22 Orchrad Hill Road', true])]
    #[TestWith(['22 Orchard Hill Road', '24 Orchard Hill Road', false])]
    #[TestWith(['22 Main Street', '22 Elm Street', false])]
    public function test_an_address_without_its_dress(string $one, string $other, bool $isSame): void
    {
        [$a, $b] = [PlaceForm::of($one, 'Putney', '05346'), PlaceForm::of($other, '', '05346-1234')];
        $this->assertSame([$isSame, $isSame], [$a->isSameHouse($b), $b->isSameHouse($a)]);
        $this->assertFalse($a->isSameHouse(PlaceForm::of($other, 'Stowe', '05672')), 'in another town it is another house');
    }

    public function test_one_house_and_two_flats(): void
    {
        [$a, $b] = [PlaceForm::of("22 Main Street\nUnit 4", 'Putney', '05346'), PlaceForm::of('22 Main St, Unit 5', 'Putney', '05346')];
        $this->assertTrue($a->isSameHouse($b));
        $this->assertTrue($a->isOtherUnit($b));
        $this->assertSame('05346 22 main', $a->key());
        $this->assertSame('', PlaceForm::of('22 Main St', '', '')->key());
    }
}
