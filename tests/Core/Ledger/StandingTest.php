<?php

declare(strict_types=1);

namespace Tests\Core\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Ageing;
use Almanac\Ledger\AgeingBucket;
use Almanac\Ledger\AgeingBy;
use Almanac\Ledger\Credit;
use Almanac\Ledger\CreditPolicy;
use Almanac\Ledger\DaysToPay;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Entry;
use Almanac\Ledger\Instalments;
use Almanac\Ledger\LedgerRefused;
use Almanac\Ledger\Standing;
use Almanac\Ledger\Statement;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Worked examples with every step written out, as bookkeeping handbooks have them (common practice, no published source). */
final class StandingTest extends TestCase
{
    private Day $today;

    protected function setUp(): void
    {
        $this->today = Day::of(2026, 11, 24);
    }

    #[TestWith([-5, 'not-due'])]
    #[TestWith([0, 'not-due'], 'on the day itself nothing is late')]
    #[TestWith([1, '1-30'])]
    #[TestWith([30, '1-30'])]
    #[TestWith([31, '31-60'])]
    #[TestWith([60, '31-60'])]
    #[TestWith([61, '61-90'])]
    #[TestWith([90, '61-90'])]
    #[TestWith([91, 'over-90'])]
    public function test_the_edges_of_the_buckets(int $days, string $bucket): void
    {
        $this->assertSame($bucket, AgeingBucket::of($days)->value);
    }

    public function test_ageing_step_by_step(): void
    {
        $entries = [
            $this->entry('2026-11-20', '2026-12-20', '1000', '1000'), // not due
            $this->entry('2026-10-01', '2026-10-31', '500', '200'),   // 24 days late
            $this->entry('2026-09-01', '2026-10-01', '300', '300'),   // 54 days late
            $this->entry('2026-08-01', '2026-08-31', '70', '70'),     // 85 days late
            $this->entry('2026-01-10', '2026-02-09', '40.50', '40.50'), // 288 days late
            $this->entry('2026-11-01', '2026-11-30', '99', '99', DocumentKind::CreditNote), // a credit is no part of it
        ];
        $ageing = Ageing::of($entries, $this->today, AgeingBy::DueDate, 'USD');
        $this->assertSame(['1000.00', '200.00', '300.00', '70.00', '40.50'], $this->decimals($ageing));
        $this->assertSame('1610.50', $ageing->total->toDecimal());
        // From the document's date the same are 4, 54, 84, 115 and 318 days old.
        $this->assertSame(
            ['0.00', '1000.00', '200.00', '300.00', '110.50'],
            $this->decimals(Ageing::of($entries, $this->today, AgeingBy::DocumentDate, 'USD')),
        );
    }

    public function test_days_to_pay_step_by_step(): void
    {
        $days = DaysToPay::of([
            $this->entry('2026-10-01', '2026-10-31', '100', '0', settled: '2026-10-31'), // 30 days, on the day
            $this->entry('2026-09-01', '2026-10-01', '300', '0', settled: '2026-10-21'), // 50 days, 20 beyond
            $this->entry('2026-08-01', '2026-08-31', '600', '0', settled: '2026-08-11'), // 10 days, 20 before
            $this->entry('2025-01-01', '2025-01-31', '900', '0', settled: '2025-11-23'), // more than a year ago: no part of it
            $this->entry('2026-11-01', '2026-12-01', '500', '500'),                      // not paid: no part of it
        ], $this->today);
        // (30 + 50 + 10) / 3; (100 x 30 + 300 x 50 + 600 x 10) / 1000; (0 + 20 - 20) / 3; (0 + 6000 - 12000) / 1000.
        $this->assertSame(
            [3, '30.0', '24.0', '0.0', '-6.0'],
            [$days?->count, $days?->days, $days?->weightedDays, $days?->beyond, $days?->weightedBeyond],
        );
        $this->assertSame(
            '3 paid since 24 Nov 2025: 30.0 days on average, on the due date; weighted by amount 24.0 days, 6.0 before the due date.',
            $days?->sentence(),
        );
        $this->assertNull(DaysToPay::of([$this->entry('2026-11-01', '2026-12-01', '5', '5')], $this->today));
    }

    public function test_the_window_has_both_its_edges(): void
    {
        $paidOn = fn (string $day) => DaysToPay::of([$this->entry('2025-10-01', '2025-10-31', '1', '0', settled: $day)], $this->today);
        $this->assertNotNull($paidOn('2025-11-24'));
        $this->assertNull($paidOn('2025-11-23'));
    }

    public function test_a_standing_is_told_whole(): void
    {
        $standing = Standing::of(Side::Client, [
            $this->entry('2026-10-01', '2026-10-31', '500', '200'),
            $this->entry('2026-11-20', '2026-12-20', '1000', '1000'),
            $this->entry('2026-11-10', '2026-11-10', '80', '30', DocumentKind::CreditNote),
            $this->entry('2026-03-01', '2026-03-31', '10', '0', settled: '2026-04-01'),
        ], Money::of('25', 'USD'), $this->today, AgeingBy::DueDate, 30);
        $this->assertSame(['1200.00', '30.00', '25.00', '1145.00', '200.00'], array_map(
            fn (Money $money) => $money->toDecimal(),
            [$standing->open, $standing->credits, $standing->unallocated, $standing->balance, $standing->overdue],
        ));
        $this->assertSame(['2026-10-31', '2026-12-20'], [$standing->oldest?->due->toIso(), $standing->nextDue?->due->toIso()]);
        $this->assertTrue($standing->hasOldOpen, 'open for 54 days');
        // The next due becomes overdue the day after; nothing leaves the window before that.
        $this->assertSame('2026-12-21', $standing->staleOn?->toIso());
    }

    /** @param  array{string|null, string}  $answer */
    #[TestWith(['900', [null, 'Limit USD 5,000.00; open 3,000.00, orders not yet billed 1,000.00, this one 900.00: 100.00 left.']])]
    #[
        TestWith(
            ['1000', [null, 'Limit USD 5,000.00; open 3,000.00, orders not yet billed 1,000.00, this one 1,000.00: 0.00 left.']],
            'up to the limit is within it',
        ),
    ]
    #[
        TestWith([
            '1000.01',
            ['ask', 'Limit USD 5,000.00; open 3,000.00, orders not yet billed 1,000.00, this one 1,000.01: 0.01 over the limit.'],
        ]),
    ]
    public function test_credit_is_checked_with_the_figures(string $addition, array $answer): void
    {
        $credit = Credit::of(
            Money::of('5000', 'USD'),
            Money::of('3000', 'USD'),
            Money::of('1000', 'USD'),
            Money::of('0', 'USD'),
            CreditPolicy::Ask,
        );
        [$policy, $sentence] = $credit->check(Money::of($addition, 'USD'));
        $this->assertSame($answer, [$policy?->value, $sentence]);
        $this->assertFalse($credit->isOver());
    }

    public function test_instalments_are_paid_from_the_first(): void
    {
        $parts = [[Day::of(2026, 12, 1), Money::of('700', 'USD')], [Day::of(2026, 11, 1), Money::of('300', 'USD')]];
        $open = fn (string $left) => array_map(
            fn (array $part) => $part[0]->toIso().' '.$part[2]->toDecimal(),
            Instalments::open($parts, Money::of($left, 'USD')),
        );
        $this->assertSame(['2026-11-01 300.00', '2026-12-01 700.00'], $open('1000'));
        $this->assertSame(['2026-11-01 50.00', '2026-12-01 700.00'], $open('750'));
        $this->assertSame(['2026-11-01 0.00', '2026-12-01 120.00'], $open('120'));
    }

    public function test_a_statement_carries_the_balance_on(): void
    {
        $statement = Statement::of([
            [Day::of(2026, 3, 1), 'Payment', Money::of('-40', 'USD')], [Day::of(2026, 1, 5), 'Invoice 1', Money::of('100', 'USD')],
            [Day::of(2026, 2, 9), 'Invoice 2', Money::of('50', 'USD')], [Day::of(2026, 9, 9), 'later', Money::of('1', 'USD')],
        ], Day::of(2026, 2, 1), Day::of(2026, 3, 31), 'USD');
        $this->assertSame(['100.00', '110.00'], [$statement->opening->toDecimal(), $statement->closing->toDecimal()]);
        $this->assertSame(
            ['Invoice 2 150.00', 'Payment 110.00'],
            array_map(fn (array $line) => $line[1].' '.$line[3]->toDecimal(), $statement->lines),
        );
    }

    public function test_states_follow_from_what_is_open(): void
    {
        $state = fn (string $total, string $open) => DocumentState::issued(Money::of($total, 'USD'), Money::of($open, 'USD'));
        $this->assertSame(
            [DocumentState::Issued, DocumentState::PartPaid, DocumentState::Settled, DocumentState::Settled],
            [$state('10', '10'), $state('10', '4'), $state('10', '0'), $state('0', '0')],
        );
    }

    public function test_no_more_can_be_open_than_there_is(): void
    {
        $this->expectException(LedgerRefused::class);
        $this->entry('2026-11-01', '2026-12-01', '10', '11');
    }

    public function test_buckets_add_up_on_any_books(): void
    {
        mt_srand(30);
        for ($n = 0; $n < 300; $n++) {
            $entries = [];
            for ($at = mt_rand(1, 20); $at > 0; $at--) {
                $total = mt_rand(1, 500000);
                $date = $this->today->plusDays(-mt_rand(0, 500));
                $kind = [DocumentKind::Invoice, DocumentKind::CreditNote, DocumentKind::OpeningReceivable][mt_rand(0, 2)];
                $entries[] = Entry::of(
                    $at,
                    $kind,
                    $date,
                    $date->plusDays(mt_rand(0, 90)),
                    Money::ofMinor($total, 'USD'),
                    Money::ofMinor(mt_rand(0, $total), 'USD'),
                );
            }
            foreach (AgeingBy::cases() as $by) {
                $standing = Standing::of(Side::Client, $entries, Money::ofMinor(mt_rand(0, 9999), 'USD'), $this->today, $by, 30);
                $this->assertSame(
                    $standing->open->minor,
                    array_sum(array_map(fn (Money $money) => $money->minor, $standing->ageing->buckets)),
                );
                $this->assertSame(
                    $standing->balance->minor,
                    $standing->open->minor - $standing->credits->minor - $standing->unallocated->minor,
                );
                $this->assertLessThanOrEqual($standing->open->minor, $standing->overdue->minor);
            }
        }
    }

    private function entry(
        string $date,
        string $due,
        string $total,
        string $open,
        DocumentKind $kind = DocumentKind::Invoice,
        ?string $settled = null,
    ): Entry {
        return Entry::of(
            1,
            $kind,
            Day::fromIso($date),
            Day::fromIso($due),
            Money::of($total, 'USD'),
            Money::of($open, 'USD'),
            $settled === null ? null : Day::fromIso($settled),
        );
    }

    /** @return list<string> */
    private function decimals(Ageing $ageing): array
    {
        return array_values(array_map(fn (Money $money) => $money->toDecimal(), $ageing->buckets));
    }
}
