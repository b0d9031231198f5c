<?php

declare(strict_types=1);

namespace Tests\Core\Engagements;

use Almanac\Calendar\Day;
use Almanac\Engagements\EngagementFigures;
use Almanac\Engagements\EngagementLink;
use Almanac\Engagements\EngagementRefused;
use Almanac\Engagements\EngagementRole;
use Almanac\Engagements\Enquiry;
use Almanac\Engagements\Stage;
use Almanac\Engagements\StageHistory;
use Almanac\Engagements\StageKind;
use Almanac\Engagements\StageMove;
use Almanac\Ledger\AgeingBucket;
use Almanac\Ledger\AgeingBy;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Entry;
use Almanac\Ledger\Standing;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Terms\Side;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Stages, enquiries, roles, links and figures of cases and projects (common practice, no published source). */
final class EngagementsTest extends TestCase
{
    public function test_days_are_counted_by_stage_over_a_leap_year(): void
    {
        $history = StageHistory::of([
            $this->move(1, StageKind::Enquiry, '2028-01-30'),
            $this->move(2, StageKind::Open, '2028-02-28'),
            $this->move(3, StageKind::Waiting, '2028-03-01'),
            $this->move(2, StageKind::Open, '2028-03-01'),
            $this->move(4, StageKind::Closed, '2029-02-28'),
        ]);
        $this->assertSame([1 => 29, 2 => 2 + 364, 3 => 0], $history->days(Day::fromIso('2030-01-01')));
        $this->assertSame([0, 'stage 4', '2029-02-28'], [
            $history->standing(Day::fromIso('2030-01-01')),
            $history->stage()->name,
            $history->since()->toIso(),
        ]);
    }

    public function test_whatever_the_moves_the_days_add_up_to_the_days_it_was_live(): void
    {
        mt_srand(8);
        for ($round = 0; $round < 100; $round++) {
            $day = $begin = Day::of(2027, mt_rand(1, 12), mt_rand(1, 28));
            $history = StageHistory::begun(Stage::of(1, 'stage 1', StageKind::Open), $day);
            for ($n = mt_rand(0, 8), $at = 1; $n > 0; $n--) {
                $at = $at % 3 + mt_rand(1, 2);
                $day = $day->plusDays(mt_rand(0, 90));
                if ($at !== $history->stage()->id) {
                    $history = $history->moved(Stage::of($at, "stage $at", StageKind::Open), $day);
                }
            }
            $today = $day->plusDays(mt_rand(0, 60));
            $this->assertSame($begin->daysUntil($today), array_sum($history->days($today)));
        }
    }

    public function test_it_stands_too_long_from_the_day_after_the_last_that_the_firm_allows(): void
    {
        $history = StageHistory::begun(Stage::of(1, 'survey', StageKind::Open, 14), Day::fromIso('2026-11-01'));
        $this->assertFalse($history->standsTooLong(Day::fromIso('2026-11-15')));
        $this->assertTrue($history->standsTooLong(Day::fromIso('2026-11-16')));
        $this->assertFalse($history->moved(Stage::of(2, 'closed', StageKind::Closed), Day::fromIso('2026-11-10'))
            ->standsTooLong(Day::fromIso('2027-11-16')));
        $this->assertFalse(StageHistory::begun(Stage::of(1, 'survey', StageKind::Open), Day::fromIso('2026-11-01'))
            ->standsTooLong(Day::fromIso('2027-11-16')));
    }

    #[TestWith([1, '2026-11-24', 'It is in the stage stage 1 already.'])]
    #[TestWith([2, '2026-11-23', 'It came into the stage stage 1 on 24 Nov 2026. Choose that day or a later one.'])]
    public function test_a_move_that_cannot_be(int $to, string $on, string $message): void
    {
        $history = StageHistory::begun(Stage::of(1, 'stage 1', StageKind::Open), Day::fromIso('2026-11-24'));
        $this->expectException(EngagementRefused::class);
        $this->expectExceptionMessage($message);
        $history->moved(Stage::of($to, "stage $to", StageKind::Open), Day::fromIso($on));
    }

    #[TestWith(['12000.00', '35', 'USD 4,200.00'])]
    #[TestWith(['0.05', '50', 'USD 0.03'])]
    #[TestWith(['1000', '0', 'USD 0.00'])]
    #[TestWith(['1000', '100', 'USD 1,000.00'])]
    public function test_an_enquiry_weighs_its_value_by_its_chance(string $value, string $chance, string $weighed): void
    {
        $enquiry = Enquiry::of(Money::of($value, 'USD'), Percent::of($chance), Day::fromIso('2026-11-24'));
        $this->assertSame($weighed, $enquiry->weighed()->toText());
        $this->assertFalse($enquiry->isOverdue(Day::fromIso('2026-11-24')));
        $this->assertTrue($enquiry->isOverdue(Day::fromIso('2026-11-25')));
    }

    public function test_an_enquiry_is_not_worth_less_than_nothing(): void
    {
        $this->expectException(EngagementRefused::class);
        Enquiry::of(Money::of('-1', 'USD'), Percent::of('10'), null);
    }

    #[TestWith([0, null, 0, ''])]
    #[TestWith([0, null, 50, ''])]
    #[TestWith([1, null, 0, 'Add the insurer.'])]
    #[TestWith([1, 1, 1, ''])]
    #[TestWith([1, 1, 3, 'Only one may be the insurer: end or remove 2.'])]
    #[TestWith([2, 3, 1, 'Add one more in the role insurer: it needs 2.'])]
    #[TestWith([0, 3, 4, 'Only 3 may be in the role insurer: end or remove one.'])]
    public function test_how_many_a_role_needs_and_may_have(int $least, ?int $most, int $have, string $todo): void
    {
        $this->assertSame($todo, EngagementRole::of(1, 'insurer', $least, $most)->todo($have));
    }

    #[TestWith([2, 1])]
    #[TestWith([-1, 1])]
    #[TestWith([0, 0])]
    #[TestWith([100, null])]
    public function test_a_role_cannot_need_more_than_it_may_have(int $least, ?int $most): void
    {
        $this->expectException(EngagementRefused::class);
        EngagementRole::of(1, 'insurer', $least, $most);
    }

    public function test_what_is_left_of_what_was_agreed(): void
    {
        $usd = fn (string $amount) => Money::of($amount, 'USD');
        $today = Day::of(2026, 11, 24);
        $stands = fn (Entry ...$entries) => Standing::of(Side::Client, array_values($entries), $usd('0'), $today, AgeingBy::DueDate, 90);
        $entry = fn (int $id, DocumentKind $kind, string $open, Day $due) => Entry::of(
            $id, $kind, Day::of(2026, 9, 1), $due, $usd('1000'), $usd($open), null,
        );
        $figures = EngagementFigures::of($usd('9000'), $usd('3000'), $usd('2500'), $usd('800'), $stands(
            $entry(1, DocumentKind::Invoice, '400', Day::of(2026, 10, 1)),
            $entry(2, DocumentKind::Invoice, '300', Day::of(2026, 12, 1)),
            $entry(3, DocumentKind::CreditNote, '200', Day::of(2026, 9, 1)),
        ));
        $this->assertSame(['USD 6,000.00', 33], [$figures->left?->toText(), $figures->percent]);
        // What is open is less what is credited and not used; by age stands what is owed.
        $this->assertSame(
            ['USD 500.00', 'USD 400.00', 'USD 700.00', 'USD 400.00'],
            [$figures->open->toText(), $figures->clients->overdue->toText(), $figures->clients->ageing->total->toText(),
                $figures->clients->ageing->bucket(AgeingBucket::of(54))->toText()],
        );
        $over = EngagementFigures::of($usd('1000'), $usd('1500'), $usd('1500'), $usd('0'), $stands());
        $this->assertSame(['USD −500.00', 150], [$over->left?->toText(), $over->percent]);
        $none = EngagementFigures::of(null, $usd('1500'), $usd('1500'), $usd('0'), $stands());
        $this->assertSame([null, null], [$none->left, $none->percent]);
        $this->assertNull(EngagementFigures::of($usd('0'), $usd('1'), $usd('0'), $usd('0'), $stands())->percent);
    }

    public function test_nothing_is_part_of_itself_by_way_of_others(): void
    {
        // 2 is part of 3, 3 is part of 4.
        $onward = fn (int $at) => [2 => [3], 3 => [4]][$at] ?? [];
        EngagementLink::PartOf->mustNotTurnBack(1, 2, $onward);
        EngagementLink::SameLoss->mustNotTurnBack(4, 2, $onward);
        $this->expectException(EngagementRefused::class);
        $this->expectExceptionMessage('That would make it part of itself, by way of others. Remove one of those links first.');
        EngagementLink::PartOf->mustNotTurnBack(4, 2, $onward);
    }

    public function test_a_link_told_from_the_other_end_and_back_is_the_same(): void
    {
        foreach (EngagementLink::cases() as $link) {
            $this->assertSame($link, $link->inverse()->inverse());
            try {
                $link->mustNotTurnBack(5, 5, fn () => []);
                $this->fail('It was linked to itself.');
            } catch (EngagementRefused $refused) {
                $this->assertSame('It cannot be linked to itself. Choose another.', $refused->getMessage());
            }
        }
    }

    private function move(int $stage, StageKind $kind, string $on): StageMove
    {
        return StageMove::of(Stage::of($stage, "stage $stage", $kind), Day::fromIso($on));
    }
}
