<?php

declare(strict_types=1);

namespace Tests\Core\Ledger;

use Almanac\Calendar\BusinessCalendar;
use Almanac\Calendar\Day;
use Almanac\Calendar\NoHolidays;
use Almanac\Ledger\Chain;
use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Dues;
use Almanac\Ledger\LedgerRefused;
use Almanac\Ledger\Line;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Terms\Shorthand;
use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** When documents are due, how far promises are kept, and what can be done with a document (common practice, no published source). */
final class DuesTest extends TestCase
{
    /** @param  list<string>  $parts "day amount" */
    #[TestWith(['invoice', 'net 30', '', ['2026-12-24 1000.00'], null])]
    #[TestWith(['invoice', '', '', ['2026-11-24 1000.00'], null])]
    #[TestWith(['invoice', '2/10 net 30', '', ['2026-12-24 1000.00'], '2026-12-04'])]
    #[TestWith(['invoice', '2/10 net 30', '2026-12-01', ['2026-12-01 1000.00'], '2026-12-04'])]
    #[TestWith(['bill', '30% on receipt, 70% net 30', '', ['2026-11-24 300.00', '2026-12-24 700.00'], null])]
    #[TestWith(['bill', '70% net 30, 30% on receipt', '', ['2026-11-24 300.00', '2026-12-24 700.00'], null])]
    #[TestWith(['bill', '30% on receipt, 70% net 30', '2027-01-05', ['2027-01-05 1000.00'], null])]
    #[TestWith(['order', 'net 30', '', [], null])]
    #[TestWith(['credit-note', 'net 30', '', [], null])]
    public function test_the_parts_a_document_is_due_in(string $kind, string $terms, string $byHand, array $parts, ?string $discount): void
    {
        $dues = Dues::of(
            DocumentKind::from($kind), Money::of('1000', 'USD'), Day::fromIso('2026-11-24'), $byHand === '' ? null : Day::fromIso($byHand),
            $terms === '' ? null : Shorthand::read($terms), BusinessCalendar::with(new NoHolidays),
        );
        $this->assertSame($parts, array_map(fn (array $part) => $part[0]->toIso().' '.$part[1]->toDecimal(), $dues->parts));
        $this->assertSame($discount, $dues->discount?->lastDay->toIso());
        $this->assertSame($parts === [] ? null : substr($parts[count($parts) - 1], 0, 10), $dues->due()?->toIso());
    }

    public function test_nothing_is_due_before_its_date(): void
    {
        $this->expectExceptionObject(LedgerRefused::dueBeforeDate('23 Nov 2026', '24 Nov 2026'));
        Dues::of(
            DocumentKind::Bill,
            Money::of('1', 'USD'),
            Day::fromIso('2026-11-24'),
            Day::fromIso('2026-11-23'),
            null,
            BusinessCalendar::with(new NoHolidays()),
        );
    }

    #[TestWith(['10', '0', '10', false])]
    #[TestWith(['10', '4', '6', false])]
    #[TestWith(['10', '10', '0', false])]
    #[TestWith(['10', '12', '0', true])]
    #[TestWith(['-3', '-1', '-2', false])]
    #[TestWith(['-3', '-4', '0', true])]
    #[TestWith(['2.5', '1.25', '1.25', false])]
    public function test_what_is_left_of_a_line(string $promised, string $taken, string $left, bool $isMore): void
    {
        $this->assertTrue(Chain::left(BigDecimal::of($promised), BigDecimal::of($taken))->isEqualTo($left));
        $this->assertSame($isMore, Chain::exceeds(BigDecimal::of($promised), BigDecimal::of($taken)));
    }

    public function test_what_is_open_of_an_order_are_its_lines_at_what_is_left_of_them(): void
    {
        $line = fn (string $quantity) => Line::of('Work', BigDecimal::of($quantity), BigDecimal::of('100'), Percent::of(0), Percent::of(6));
        $open = Chain::open([1 => $line('10'), 2 => $line('2')], [1 => BigDecimal::of(4), 2 => BigDecimal::of(2)]);
        $this->assertSame(['6'], array_map(fn (Line $one) => (string) $one->quantity, $open));
    }

    #[TestWith([DocumentAct::Send, DocumentKind::Invoice, DocumentState::Draft, 'Issue it before sending it.'])]
    #[TestWith([DocumentAct::Send, DocumentKind::Bill, DocumentState::Issued, 'Bills are not sent.'])]
    #[TestWith([DocumentAct::Settle, DocumentKind::Bill, DocumentState::Draft, 'Enter it first: a draft cannot be paid.'])]
    #[
        TestWith([
            DocumentAct::Change,
            DocumentKind::Quote,
            DocumentState::Issued,
            'It is issued, and can no longer be changed. Write a new revision of it.',
        ]),
    ]
    #[
        TestWith([
            DocumentAct::Change,
            DocumentKind::Order,
            DocumentState::PartPaid,
            'It is issued, and can no longer be changed. Void it, and write another.',
        ]),
    ]
    #[TestWith([DocumentAct::Issue, DocumentKind::Bill, DocumentState::Issued, 'It is entered already.'])]
    #[TestWith([DocumentAct::Turn, DocumentKind::Invoice, DocumentState::Issued, 'That cannot be done with an invoice.'])]
    #[TestWith([DocumentAct::Turn, DocumentKind::Order, DocumentState::Settled, null])]
    #[
        TestWith([
            DocumentAct::Revise,
            DocumentKind::Quote,
            DocumentState::Settled,
            'It has been accepted already. Copy it for another quote.',
        ]),
    ]
    #[TestWith([DocumentAct::Void, DocumentKind::Invoice, DocumentState::Settled, null])]
    public function test_what_can_be_done_in_which_state(DocumentAct $act, DocumentKind $kind, DocumentState $state, ?string $said): void
    {
        $this->assertSame($said === null, $act->isAllowed($kind, $state));
        if ($said !== null) {
            $this->expectExceptionObject(LedgerRefused::notNow($said));
            $act->mustBeAllowed($kind, $state);
        }
    }

    public function test_nothing_can_be_done_with_what_is_void(): void
    {
        foreach (DocumentAct::cases() as $act) {
            foreach (DocumentKind::cases() as $kind) {
                $this->assertFalse($act->isAllowed($kind, DocumentState::Void));
            }
        }
    }

    #[TestWith(['invoice', 'I2026-0108', [2026, 108]])]
    #[TestWith(['invoice', 'I2026-12345', [2026, 12345]])]
    #[TestWith(['invoice', 'I2026-00108', null])]
    #[TestWith(['invoice', 'B2026-0108', null])]
    #[TestWith(['opening-payable', 'OB2026-0001', [2026, 1]])]
    #[TestWith(['invoice', 'X-1', null])]
    public function test_the_place_of_a_number_in_its_series(string $kind, string $number, mixed $place): void
    {
        $this->assertSame($place, DocumentKind::from($kind)->placeOf($number));
    }
}
