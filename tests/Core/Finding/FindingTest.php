<?php

declare(strict_types=1);

namespace Tests\Core\Finding;

use Almanac\Finding\Fold;
use Almanac\Finding\MatchReason;
use Almanac\Finding\Query;
use Almanac\Finding\Spelling;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class FindingTest extends TestCase
{
    #[TestWith(['Müller', 'muller'])]
    #[TestWith(['STRASSE straße', 'strasse strasse'])]
    #[TestWith(['Ｗｒｅｎ', 'wren'])]
    #[TestWith(['Tanaka-Løvås', 'tanaka-lovas'])]
    #[TestWith(['田中', '田中'])]
    public function test_folding(string $text, string $folded): void
    {
        $this->assertSame($folded, Fold::text($text));
        $this->assertSame($folded, Fold::text($folded));
    }

    /** The short way for plain letters gives what the transliterator gives. */
    public function test_plain_letters_fold_as_all_others_do(): void
    {
        $rules = \Transliterator::create('NFKD; [:Mn:] Remove; Lower; NFC');
        $plain = implode('', array_map(chr(...), range(0, 127)));

        $this->assertSame($rules?->transliterate($plain), Fold::text($plain));
        $this->assertSame($rules?->transliterate('O\'Brien & Sons, INC.'), Fold::text('O\'Brien & Sons, INC.'));
    }

    /** Worked by hand; the restricted form counts "ca" to "abc" as three. */
    #[TestWith(['kitten', 'sitting', 3])]
    #[TestWith(['wren', 'wern', 1])]
    #[TestWith(['ca', 'abc', 3])]
    #[TestWith(['pennhalow', 'penhallow', 2])]
    #[TestWith(['', 'abc', 3])]
    #[TestWith(['müller', 'muller', 1])]
    public function test_distance(string $one, string $other, int $distance): void
    {
        $this->assertSame($distance, Spelling::distance($one, $other));
        $this->assertSame($distance, Spelling::distance($other, $one));
    }

    #[TestWith(['pennhalow', 'penhallow', true])]
    #[TestWith(['pennha', 'penhallow', true])]
    #[TestWith(['wern', 'wren', true])]
    #[TestWith(['wra', 'wren', false])]
    #[TestWith(['wren', 'brass', false])]
    #[TestWith(['foundry', 'laundry', true])]
    #[TestWith(['crane', 'brass', false])]
    public function test_slips(string $typed, string $meant, bool $isSlip): void
    {
        $this->assertSame($isSlip, Spelling::isSlip($typed, $meant));
    }

    #[TestWith(['142', '142'])]
    #[TestWith(['(802) 555-01', '80255501'])]
    #[TestWith(['+1 802', '1802'])]
    #[TestWith(['00 44 20', '4420'])]
    #[TestWith(['14', ''])]
    #[TestWith(['14 Meridian', ''])]
    #[TestWith(['wren', ''])]
    public function test_figures(string $typed, string $digits): void
    {
        $this->assertSame($digits, Query::of($typed)->digits);
    }

    public function test_each_thing_typed_gets_its_reason(): void
    {
        $values = [
            ['', 'Mr. Silas A. Wren III'],
            ['works at', 'Brass Lantern Foundry'],
            ['email', 'silas@brasslantern.example'],
            ['phone', '(603) 555-0164'],
            ['place', 'Keene NH 03431 United States'],
        ];
        $text = fn (string $typed) => array_map(fn (MatchReason $reason) => $reason->toText(), MatchReason::of(Query::of($typed), $values));
        $this->assertSame(['name', 'works at Brass Lantern Foundry'], $text('wren brass'));
        $this->assertSame(['phone (603) 555-0164'], $text('555-0164'));
        $this->assertSame(['place Keene NH 03431 United States'], $text('keene nh'));
        $this->assertSame(['spelled much like “Foundry”'], $text('fuondry'));
        $this->assertSame([], $text('zebra'));
    }

    public function test_a_long_text_is_cut_to_eight_words(): void
    {
        $this->assertCount(8, Query::of(str_repeat('word ', 50))->words);
        $this->assertSame(['pen', 'enh'], Query::of('penh')->trigrams());
        $this->assertSame([], Query::of('ab')->trigrams());
    }
}
