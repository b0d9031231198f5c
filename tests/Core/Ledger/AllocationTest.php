<?php

declare(strict_types=1);

namespace Tests\Core\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Allocation;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\EarlyPayment;
use Almanac\Ledger\Entry;
use Almanac\Ledger\LedgerRefused;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Terms\DiscountOffer;
use PHPUnit\Framework\TestCase;

final class AllocationTest extends TestCase
{
    public function test_the_oldest_are_settled_first(): void
    {
        $open = [$this->entry(1, '2026-12-20', 1000), $this->entry(2, '2026-10-31', 200), $this->entry(3, '2026-10-31', 300)];
        $used = fn (int $cents) => array_map(
            fn (Allocation $one) => "{$one->documentId}: {$one->amount->minor}",
            Allocation::oldestFirst(Money::ofMinor($cents, 'USD'), $open),
        );
        $this->assertSame(['2: 200', '3: 50'], $used(250));
        $this->assertSame(['2: 200', '3: 300', '1: 1000'], $used(9000));
        $this->assertSame([], $used(0));
        $this->assertSame([], Allocation::oldestFirst(Money::of('5', 'EUR'), $open), 'another currency settles nothing');
    }

    public function test_what_it_came_for_is_proposed_before_the_oldest(): void
    {
        $open = [$this->entry(1, '2026-12-20', 1000), $this->entry(2, '2026-10-31', 200)];
        $proposed = fn (?int $cents, ?int $first) => array_map(
            fn (Allocation $one) => "{$one->documentId}: {$one->amount->minor}",
            Allocation::proposed($cents === null ? null : Money::ofMinor($cents, 'USD'), $open, $first),
        );
        $this->assertSame(['2: 200', '1: 50'], $proposed(250, null));
        $this->assertSame(['1: 250'], $proposed(250, 1));
        $this->assertSame(['1: 1000', '2: 100'], $proposed(1100, 1));
        $this->assertSame(['1: 1000'], $proposed(null, 1), 'without an amount, all of it');
        $this->assertSame([], [...$proposed(null, null), ...$proposed(0, 1), ...$proposed(null, 9)]);
    }

    public function test_no_cent_is_lost_and_nothing_is_overpaid(): void
    {
        mt_srand(7);
        for ($n = 0; $n < 10000; $n++) {
            $open = array_map(
                fn (int $id) => $this->entry($id, '2026-11-'.sprintf('%02d', mt_rand(1, 30)), mt_rand(0, 5000)),
                range(1, mt_rand(1, 6)),
            );
            $money = Money::ofMinor(mt_rand(0, 15000), 'USD');
            $allocations = Allocation::oldestFirst($money, $open);
            $left = Allocation::remainder($money, $allocations);
            $used = array_sum(array_map(fn (Allocation $one) => $one->amount->minor, $allocations));
            $owed = array_sum(array_map(fn (Entry $entry) => $entry->open->minor, $open));
            if ($used + $left->minor !== $money->minor || $used !== min($owed, $money->minor)) {
                $this->fail("$used used and {$left->minor} left of {$money->minor}, with $owed owed");
            }
            foreach ($allocations as $one) {
                if ($one->amount->minor > $open[$one->documentId - 1]->open->minor) {
                    $this->fail('more was used on a document than was open');
                }
            }
        }
        $this->assertSame(10000, $n);
    }

    public function test_more_than_is_open_is_refused(): void
    {
        $this->assertSame(
            'Only USD 2.00 of it is still open; USD 2.01 is more. Somebody may have settled it meanwhile.',
            $this->refusal(fn () => Allocation::to($this->entry(1, '2026-12-20', 200), Money::ofMinor(201, 'USD'))),
        );
        $this->assertSame(
            'Type an amount above zero.',
            $this->refusal(fn () => Allocation::to($this->entry(1, '2026-12-20', 200), Money::zero('USD'))),
        );
        $this->assertSame(
            'That is USD 3.00 in all, and only USD 2.00 is there to be used.',
            $this->refusal(
                fn () => Allocation::remainder(
                    Money::ofMinor(200, 'USD'),
                    Allocation::oldestFirst(Money::ofMinor(300, 'USD'), [$this->entry(1, '2026-12-20', 300)]),
                ),
            ),
        );
    }

    public function test_a_discount_is_taken_within_its_days_and_no_larger_than_it_is(): void
    {
        $entry = $this->entry(1, '2026-12-20', 100000);
        $offer = DiscountOffer::of(Percent::of('2'), Day::of(2026, 11, 30), Day::of(2026, 12, 20));
        $this->assertSame('20.00', EarlyPayment::discount($entry, $offer, Day::of(2026, 11, 30))?->toDecimal());
        $this->assertNull(EarlyPayment::discount($entry, $offer, Day::of(2026, 12, 1)));
        EarlyPayment::mustAllow(Money::of('20', 'USD'), $entry, $offer, Day::of(2026, 11, 30));
        $this->assertSame(
            'The discount is at most USD 20.00.',
            $this->refusal(fn () => EarlyPayment::mustAllow(Money::of('20.01', 'USD'), $entry, $offer, Day::of(2026, 11, 30))),
        );
        $this->assertSame(
            'The discount ended on 30 Nov 2026. To let it go all the same, write the rest off and say why.',
            $this->refusal(fn () => EarlyPayment::mustAllow(Money::of('20', 'USD'), $entry, $offer, Day::of(2026, 12, 1))),
        );
        $this->assertSame(
            'Its terms have no discount. To let something go, write it off and say why.',
            $this->refusal(fn () => EarlyPayment::mustAllow(Money::of('20', 'USD'), $entry, null, Day::of(2026, 12, 1))),
        );
    }

    private function refusal(\Closure $work): string
    {
        try {
            $work();
        } catch (LedgerRefused $refused) {
            return $refused->getMessage();
        }
        $this->fail('It was not refused.');
    }

    private function entry(int $id, string $due, int $cents): Entry
    {
        return Entry::of(
            $id,
            DocumentKind::Invoice,
            Day::of(2026, 10, 1),
            Day::fromIso($due),
            Money::ofMinor(max($cents, 100000), 'USD'),
            Money::ofMinor($cents, 'USD'),
        );
    }
}
