<?php

declare(strict_types=1);

namespace Tests\Core\Records;

use Almanac\Calendar\Day;
use Almanac\Cautions\Caution;
use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use Almanac\Records\Period;
use Almanac\Records\Wording;
use Almanac\Records\WordingRefused;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CautionTest extends TestCase
{
    #[TestWith([CautionUse::Any, CautionUse::Paying, true])]
    #[TestWith([CautionUse::Paying, CautionUse::Paying, true])]
    #[TestWith([CautionUse::Paying, CautionUse::Writing, false])]
    #[TestWith([CautionUse::Paying, CautionUse::Any, true])]
    public function test_it_concerns_the_use_it_was_set_for(CautionUse $setFor, CautionUse $use, bool $concerns): void
    {
        $caution = $this->caution(use: $setFor);
        $this->assertSame($concerns, $caution->concerns($use, Day::fromIso('2026-11-24')));
    }

    public function test_it_is_in_force_from_its_first_day_through_its_last(): void
    {
        $caution = $this->caution(period: Period::of(Day::fromIso('2026-11-01'), Day::fromIso('2026-11-30')));
        foreach (['2026-10-31' => false, '2026-11-01' => true, '2026-11-30' => true, '2026-12-01' => false] as $day => $isInForce) {
            $this->assertSame($isInForce, $caution->concerns(CautionUse::Any, Day::fromIso($day)), $day);
        }
    }

    #[TestWith([CautionLevel::Note, false, false, true])]
    #[TestWith([CautionLevel::Stop, false, false, false])]
    #[TestWith([CautionLevel::Stop, true, false, true])]
    #[TestWith([CautionLevel::Stop, false, true, true])]
    public function test_who_lifts_it(CautionLevel $level, bool $author, bool $administrator, bool $may): void
    {
        $this->assertSame($may, $this->caution(level: $level)->mayBeLifted($author, $administrator));
    }

    public function test_its_words_in_the_log(): void
    {
        $this->assertSame(
            'stop, when paying: account disputed, until 30 Nov 2026',
            $this->caution(CautionLevel::Stop, CautionUse::Paying, Period::of(null, Day::fromIso('2026-11-30')))->toText(),
        );
        $this->assertSame('note: account disputed', $this->caution()->toText());
    }

    public function test_wording_is_tidied_and_bounded(): void
    {
        $this->assertSame('one two', Wording::line(" one\n\ttwo\u{0} ", 10, 'x'));
        $this->assertSame("one\n\ttwo", Wording::paragraphs("one\r\n\ttwo\u{7}\n", 20, 'x'));
        $this->expectException(WordingRefused::class);
        $this->expectExceptionMessage('That is 5,001 characters long; the limit is 5,000.');
        Wording::paragraphs(str_repeat('é', 5001), 5000, 'x');
    }

    private function caution(
        CautionLevel $level = CautionLevel::Note,
        CautionUse $use = CautionUse::Any,
        ?Period $period = null,
    ): Caution {
        return Caution::of($level, $use, 'account disputed', $period ?? Period::of(null, null));
    }
}
