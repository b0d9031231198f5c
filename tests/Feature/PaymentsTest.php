<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Office\BeginDay;
use App\Background\WorkOutDay;
use App\Models\Allocation;
use App\Models\CurrencyRate;
use App\Models\Document;
use App\Models\Party;
use App\Models\Payment;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class PaymentsTest extends TestCase
{
    private Party $client;

    protected function setUp(): void
    {
        parent::setUp();
        $this->client = $this->addCompany('Penhallow Observatory', ['isClient' => true]);
    }

    public function test_money_settles_documents_and_the_rest_stays(): void
    {
        $first = $this->issued($this->client, 'invoice', '100', ['date' => '2026-10-01']);
        $second = $this->issued($this->client, 'invoice', '50');
        $this->preview('120')->assertJsonPath('documents.*.proposed', ['100.00', '20.00'])->assertJsonPath('left.text', '0.00');
        $this->preview('130', ['firstId' => $second->id])->assertJsonPath('documents.*.proposed', ['80.00', '50.00']);
        $this->preview('', ['firstId' => $second->id])
            ->assertJsonPath('documents.*.proposed', ['', '50.00'])
            ->assertJsonPath('used.amount', '50.00');
        $this->preview('200,50', ['allocations' => [['documentId' => $first->id, 'amount' => '250.75', 'discount' => '']]])
            ->assertJsonPath('left.text', '50.25')
            ->assertJsonPath('isTooMuch', true);
        $payment = $this->pay($this->client, '200', [$first->id => '100', $second->id => '20'])
            ->assertCreated()
            ->assertJsonPath('row.unallocated.text', '80.00')
            ->json('row.id');
        $this->assertSame(['settled', 'part-paid'], [$first->refresh()->state->value, $second->refresh()->state->value]);
        $this->assertSame('2026-11-24', $first->settled_on?->toIso());
        $this->getJson("/api/parties/{$this->client->id}")
            ->assertJsonPath('standing.sides.0.open.text', '30.00')
            ->assertJsonPath('standing.sides.0.unallocated.text', '80.00')
            ->assertJsonPath('standing.sides.0.balance.text', '−50.00')
            ->assertJsonPath('standing.sides.0.daysToPay.days', '54.0')
            ->assertJsonPath('standing.sides.0.daysToPay.beyond', '24.0')
            ->assertJsonPath('standing.sides.0.paid.text', '200.00');
        $this->postJson(
            "/api/payments/$payment/allocations",
            ['allocations' => [['documentId' => $second->id, 'amount' => '30', 'discount' => '']]],
        )
            ->assertOk()
            ->assertJsonPath('row.unallocated.text', '50.00');
        $this->deleteJson("/api/payments/$payment", ['reason' => 'returned by the bank', 'amount' => ''])
            ->assertOk()
            ->assertJsonPath('row.isVoid', true);
        $this->assertSame([10000, 5000], [$first->refresh()->open_minor, $second->refresh()->open_minor]);
        $this->assertNull($first->settled_on);
        $this->getJson("/api/documents/{$first->id}")->assertJsonPath(
            'events.0.text',
            'payment of USD 200.00 voided: returned by the bank',
        );
        $this->postJson("/api/payments/$payment/allocations", ['allocations' => []])->assertUnprocessable();
    }

    public function test_an_amount_as_it_is_typed_in_this_office(): void
    {
        $this->pay($this->client, '12,50')->assertCreated()->assertJsonPath('row.amount.amount', '12.50');
        $this->pay($this->client, '$2,500')->assertCreated()->assertJsonPath('row.amount.amount', '2500.00');
        foreach (['1e9000000000000000', '1,2,3', str_repeat('9', 900), '1.250'] as $typed) {
            $this->pay($this->client, $typed)->assertUnprocessable()->assertJsonPath('errors.0.field', 'amount');
        }
        $this->putJson('/api/office', [
            'name' => 'O',
            'country' => 'DE',
            'lines' => '',
            'locality' => '',
            'region' => '',
            'postcode' => '',
            'monthFirst' => false,
            'decimalComma' => null,
            'timeZone' => '',
            'phone' => '',
            'email' => '',
            'howToPay' => '',
        ])->assertOk();
        $this->pay($this->client, '1.250', [], ['currency' => 'EUR'])
            ->assertCreated()
            ->assertJsonPath('row.amount.amount', '1250.00');
        $this->pay($this->client, '1.250,5', [], ['currency' => 'EUR'])
            ->assertCreated()
            ->assertJsonPath('row.amount.amount', '1250.50');
    }

    public function test_a_line_that_comes_to_too_much_is_refused_and_a_large_one_can_be_read(): void
    {
        $line = fn (string $quantity, string $price) => ['lines' => [$this->line($price, ['quantity' => $quantity])]];
        $this->postJson(
            "/api/parties/{$this->client->id}/documents",
            $this->documentInput('invoice', '', $line('1,000,000', '1,000,000,000')),
        )
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'lines.0.price', 'message' => 'That is more than the book can hold in USD.']);
        $most = [
            'lines' => [$this->line('1,000,000,000', ['quantity' => '50']), $this->line('1,000,000,000', ['quantity' => '50'])],
            'date' => '2026-01-01',
        ];
        $this->issued($this->client, 'invoice', '', $most);
        $this->postJson(
            "/api/parties/{$this->client->id}/documents",
            $this->documentInput('invoice', '', ['lines' => [...$most['lines'], $this->line('1')]]),
        )
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'lines');
        $this->getJson("/api/parties/{$this->client->id}")
            ->assertOk()
            ->assertJsonPath('standing.sides.0.open.text', '100,000,000,000.00')
            ->assertJsonPath('standing.sides.0.ageing.4.share', 100);
        $this->getJson('/api/documents')->assertOk();
    }

    public function test_what_nobody_has_changed_is_worked_out_when_it_is_saved(): void
    {
        $old = $this->issued($this->client, 'invoice', '50', ['date' => '2026-09-01']);
        $new = $this->issued($this->client, 'invoice', '40', ['date' => '2026-10-01']);
        $pay = fn (array $input) => $this->postJson(
            "/api/parties/{$this->client->id}/payments",
            $input + [
                'side' => 'client',
                'day' => '',
                'amount' => '',
                'currency' => '',
                'payBy' => 'cash',
                'reference' => '',
                'bankDetailId' => null,
                'firstId' => null,
                'allocations' => null,
            ],
        );
        $open = fn () => [$old->refresh()->open_minor, $new->refresh()->open_minor];
        $pay([])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'amount', 'message' => 'Type an amount above zero.']);
        // So much, the oldest first; so much, what it came for first; what it came for, all of it; and what is used in all.
        $pay(['amount' => '20'])->assertCreated();
        $this->assertSame([3000, 4000], $open());
        $pay(['amount' => '15', 'firstId' => $new->id])->assertCreated();
        $this->assertSame([3000, 2500], $open());
        $pay(['firstId' => $new->id])->assertCreated()->assertJsonPath('row.amount.text', '25.00');
        $this->assertSame([3000, 0], $open());
        $pay(['allocations' => [['documentId' => $old->id, 'amount' => '12.50', 'discount' => '']]])
            ->assertCreated()
            ->assertJsonPath('row.amount.text', '12.50');
        $this->assertSame([1750, 0], $open());
        $pay(['allocations' => [['documentId' => $old->id, 'amount' => 'x', 'discount' => '']]])->assertUnprocessable();
    }

    public function test_the_same_money_is_not_used_twice(): void
    {
        $invoice = $this->issued($this->client, 'invoice', '100');
        $this->pay($this->client, '100', [$invoice->id => '100'])->assertCreated();
        // The second window still shows it as open.
        $this->pay($this->client, '100', [$invoice->id => '100'])
            ->assertUnprocessable()->assertJsonPath('errors.0.field', 'allocations.0.amount');
        $this->assertSame(1, Payment::query()->count(), 'nothing of the second is kept');
        $payment = $this->pay($this->client, '60')->assertCreated()->json('row.id');
        $other = $this->issued($this->client, 'invoice', '100');
        $use = ['allocations' => [['documentId' => $other->id, 'amount' => '60', 'discount' => '']]];
        $this->postJson("/api/payments/$payment/allocations", $use)->assertOk();
        $this->postJson("/api/payments/$payment/allocations", $use)->assertUnprocessable();
        $this->assertSame(4000, $other->refresh()->open_minor);
    }

    public function test_what_is_wrong_is_told_at_its_field(): void
    {
        $invoice = $this->issued($this->client, 'invoice', '100');
        $this->pay($this->client, '0')
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'amount', 'message' => 'Type an amount above zero.']);
        $this->pay($this->client, '1.001')->assertUnprocessable()->assertJsonPath('errors.0.field', 'amount');
        $this->pay($this->client, '1', [], ['day' => '2026-11-25'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'day');
        $this->pay($this->client, '10', [$invoice->id => '11'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'allocations',
                'message' => 'That is USD 11.00 in all, and only USD 10.00 is there to be used.',
            ]);
        $this->pay($this->client, '10', [999 => '5'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'allocations.0.amount');
        $this->pay($this->client, '10', [$invoice->id => '5'], ['side' => 'vendor'])->assertUnprocessable();
        $this->pay($this->client, '10', [], ['payBy' => 'barter'])->assertUnprocessable()->assertJsonPath('errors.0.field', 'payBy');
        $this->assertSame([0, 0], [Payment::query()->count(), Allocation::query()->count()]);
    }

    public function test_a_discount_is_taken_within_its_days(): void
    {
        $invoice = $this->issued($this->client, 'invoice', '1000', ['terms' => '2/10 net 30', 'date' => '2026-11-20']);
        $late = $this->issued($this->client, 'invoice', '1000', ['terms' => '2/10 net 30', 'date' => '2026-11-01']);
        $this->preview('')
            ->assertJsonPath('documents.0.discount', null)
            ->assertJsonPath('documents.1.discount.text', '20.00')
            ->assertJsonPath('documents.1.afterDiscount.amount', '980.00');
        $this->pay($this->client, '980', [$late->id => ['980', '20']])
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.0.message',
                'The discount ended on 11 Nov 2026. To let it go all the same, write the rest off and say why.',
            );
        $this->pay($this->client, '980', [$late->id => ['980', '20']], ['day' => '2026-11-11'])->assertCreated();
        $this->pay($this->client, '970', [$invoice->id => ['970', '30']])->assertUnprocessable();
        $this->pay($this->client, '980', [$invoice->id => ['980', '20']])->assertCreated()->assertJsonPath('row.unallocated.text', '0.00');
        $this->assertSame(0, $invoice->refresh()->open_minor);
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function preview(string $amount, array $more = []): TestResponse
    {
        return $this->postJson(
            "/api/parties/{$this->client->id}/payment-preview",
            $more + ['side' => 'client', 'day' => '', 'amount' => $amount, 'currency' => 'USD', 'firstId' => null, 'allocations' => null],
        )->assertOk();
    }

    public function test_a_write_off_has_a_reason_and_is_taken_back(): void
    {
        $invoice = $this->issued($this->client, 'invoice', '100');
        $off = fn (string $amount, string $reason) => $this->postJson("/api/documents/{$invoice->id}/write-off", [
            'amount' => $amount,
            'reason' => $reason,
        ]);
        $off('5', '')
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'reason', 'message' => 'Say why.']);
        $off('101', 'lost')->assertUnprocessable()->assertJsonPath('errors.0.field', 'amount');
        $off('5', 'bank charges')
            ->assertOk()
            ->assertJsonPath('row.open.text', '95.00')
            ->assertJsonPath('allocations.0.reason', 'bank charges');
        $off('', 'uncollectable')->assertOk()->assertJsonPath('row.state', 'settled');
        $this->deleteJson('/api/allocations/'.Allocation::query()->orderBy('id')->value('id'))
            ->assertOk()
            ->assertJsonPath('row.open.text', '5.00');
        $this->getJson("/api/parties/{$this->client->id}/statement?side=client&currency=USD")
            ->assertJsonPath('lines.*.what', ['Invoice I2026-0001', 'Written off of Invoice I2026-0001'])
            ->assertJsonPath('closing.text', '5.00');
    }

    public function test_money_goes_out_with_our_number_and_not_past_a_stop(): void
    {
        $vendor = $this->addCompany('Brass Lantern', ['isVendor' => true]);
        $this->saveSection($vendor, 'vendor-terms', [
            'listedId' => null,
            'shorthand' => 'net 14',
            'fields' => [['name' => 'account-number', 'value' => '7714']],
        ])->assertOk();
        $bill = $this->issued($vendor, 'bill', '80', ['number' => 'BL-1']);
        $this->pay($vendor, '80', [$bill->id => '80'], ['side' => 'vendor', 'payBy' => 'cheque'])
            ->assertCreated()
            ->assertJsonPath('row.accountNumber', '7714');
        $this->postJson("/api/parties/{$vendor->id}/cautions", [
            'level' => 'stop',
            'use' => 'paying',
            'text' => 'In dispute',
            'since' => '',
            'until' => '',
        ])->assertCreated();
        $this->pay($vendor, '1', [], ['side' => 'vendor'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'payBy',
                'message' => 'A caution stops payments to them. Settle what it is about, then lift it.',
            ]);
    }

    public function test_each_currency_stands_by_itself_and_the_rate_is_named(): void
    {
        $this->postJson('/api/currency-rates', ['currency' => 'EUR', 'day' => '2026-01-01', 'rate' => '1.10'])->assertCreated();
        $this->issued($this->client, 'invoice', '100', ['currency' => 'EUR']);
        $this->issued($this->client, 'invoice', '10');
        $this->getJson("/api/parties/{$this->client->id}")
            ->assertJsonPath('standing.sides.*.currency', ['USD', 'EUR'])
            ->assertJsonPath('standing.sides.1.inHome', 'USD 110.00 at the rate of 1 Jan 2026');
        $this->getJson('/api/parties?sort=receivable&columns=receivable')->assertJsonPath('cells.0.1', '120.00');
        // A new rate counts at once.
        $this->postJson('/api/currency-rates', ['currency' => 'EUR', 'day' => '2026-11-01', 'rate' => '1.20'])->assertCreated();
        $this->getJson('/api/parties?sort=receivable&columns=receivable')->assertJsonPath('cells.0.1', '130.00');
        $first = CurrencyRate::query()->orderBy('quoted_on')->value('id');
        $this->deleteJson("/api/currency-rates/$first")->assertOk();
        $this->deleteJson('/api/currency-rates/'.CurrencyRate::query()->value('id'))->assertUnprocessable();
    }

    public function test_the_two_sides_of_one_party_are_told_apart_with_a_net_line(): void
    {
        $this->issued($this->client, 'invoice', '100');
        $this->getJson("/api/parties/{$this->client->id}")->assertJsonPath('standing.net', null);
        $this->issued($this->client, 'bill', '130', ['number' => '1']);
        $this->getJson("/api/parties/{$this->client->id}")
            ->assertJsonPath('standing.sides.*.open.text', ['100.00', '130.00'])
            ->assertJsonPath('standing.net.text', '−30.00');
    }

    public function test_the_directory_is_sorted_by_what_is_owed_both_ways(): void
    {
        $small = $this->addCompany('Small', ['isClient' => true]);
        $this->issued($small, 'invoice', '5', ['date' => '2026-09-01']);
        $this->issued($this->client, 'invoice', '50');
        $nothing = $this->addCompany('Nothing');
        $this->getJson('/api/parties?sort=receivable')->assertJsonPath('rows.*.id', [$this->client->id, $small->id, $nothing->id]);
        $this->getJson('/api/parties?sort=-receivable')->assertJsonPath('rows.*.id', [$small->id, $this->client->id, $nothing->id]);
        $this->getJson('/api/parties?sort=overdue')->assertJsonPath('rows.*.id', [$small->id, $nothing->id, $this->client->id]);
        $this->getJson('/api/parties?filter='.urlencode('with something overdue'))->assertJsonPath('rows.*.id', [$small->id]);
        $this->getJson('/api/parties?filter='.urlencode('owing more than 5'))->assertJsonPath('rows.*.id', [$this->client->id]);
        // A limit that is set afterwards counts at once, whether it is their own or the office's.
        $this->saveSection($small, 'client-terms', [
            'listedId' => null,
            'shorthand' => null,
            'fields' => [['name' => 'limit', 'value' => '4']],
        ])->assertOk();
        $this->getJson('/api/parties?sort=receivable')->assertJsonPath('overLimit', [$small->id]);
        $this->putJson('/api/books/defaults', ['side' => 'client', 'fields' => [['name' => 'limit', 'value' => '49']]])->assertOk();
        $this->getJson('/api/parties?sort=receivable')->assertJsonPath('overLimit', fn (array $ids) => count($ids) === 2);
        $this->getJson('/api/parties?sort=-name')->assertJsonPath('rows.0.id', $small->id)->assertJsonPath('total', 3);
        $this->getJson('/api/parties')->assertJsonPath('rows.0.displayName', 'Nothing');
    }

    public function test_a_limit_is_inherited_at_once_and_crossing_it_is_a_gap_at_once(): void
    {
        $group = $this->addCompany('Group');
        $shop = $this->addCompany('Shop', ['isClient' => true]);
        $gaps = fn (): int => (int) DB::table('record_gaps')->where('party_id', $shop->id)->value('gaps');
        $isOver = fn (): bool => (bool) DB::table('balances')->where('party_id', $shop->id)->value('is_over_limit');
        $this->assertRelated($shop, $group, 0);
        $this->issued($shop, 'invoice', '10');
        $before = $gaps();
        $this->assertFalse($isOver());
        $this->saveSection($group, 'client-terms', [
            'listedId' => null,
            'shorthand' => null,
            'fields' => [['name' => 'limit', 'value' => '15']],
        ])->assertOk();
        $this->assertSame([false, $before], [$isOver(), $gaps()]);
        // A document that crosses the limit, and money that goes back below it.
        $second = $this->issued($shop, 'invoice', '6');
        $this->assertSame([true, $before + 1], [$isOver(), $gaps()]);
        $this->pay($shop, '6', [$second->id => '6'])->assertCreated();
        $this->assertSame([false, $before], [$isOver(), $gaps()]);
        // Another limit of the parent company, and no parent company any more.
        $this->saveSection(
            $group,
            'client-terms',
            ['listedId' => null, 'shorthand' => null, 'fields' => [['name' => 'limit', 'value' => '9']]],
            1,
        )->assertOk();
        $this->assertSame([true, $before + 1], [$isOver(), $gaps()]);
        $this->saveSection($group, 'relations', ['relations' => []], 1)->assertOk();
        $this->assertSame([false, $before], [$isOver(), $gaps()]);
    }

    private function assertRelated(Party $branch, Party $parent, int $version): void
    {
        $this->saveSection(
            $branch,
            'relations',
            [
                'relations' => [
                    [
                        'id' => null,
                        'partyId' => $parent->id,
                        'kind' => 'parent company',
                        'together' => 'alone',
                        'since' => '',
                        'until' => '',
                    ],
                ],
            ],
            $version,
        )->assertOk();
    }

    public function test_what_becomes_overdue_overnight_is_seen_the_next_day(): void
    {
        $this->issued($this->client, 'invoice', '10', ['date' => '2026-10-25', 'terms' => 'net 30']);
        $overdue = '/api/parties?columns=overdue&filter='.urlencode('with something overdue');
        $this->getJson($overdue)->assertJsonPath('total', 0);
        config(['almanac.today' => '2026-11-25']);
        Queue::fake();
        $this->getJson($overdue)->assertJsonPath('total', 0);
        Queue::assertPushed(WorkOutDay::class, 1);
        (new WorkOutDay)->handle($this->app->make(BeginDay::class));
        $this->getJson($overdue)->assertJsonPath('total', 1)->assertJsonPath('cells.0.1', '10.00');
        $this->getJson('/api/today')->assertJsonPath('newlyOverdue.0.daysLate', 1);
    }
}
