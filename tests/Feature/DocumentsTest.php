<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Document;
use App\Models\Party;
use App\Models\TaxRate;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

final class DocumentsTest extends TestCase
{
    private Party $client;

    protected function setUp(): void
    {
        parent::setUp();
        $this->client = $this->addCompany('Penhallow Observatory', ['isClient' => true]);
    }

    public function test_a_draft_is_written_changed_and_issued(): void
    {
        $id = $this->postJson(
            "/api/parties/{$this->client->id}/documents",
            $this->documentInput('invoice', '1000', ['terms' => '2/10 net 30', 'date' => '11/1/2026']),
        )
            ->assertCreated()
            ->assertJsonPath('row.state', 'draft')
            ->assertJsonPath('row.number', '')
            ->assertJsonPath('row.dueText', '1 Dec 2026')
            ->assertJsonPath(
                'dueSentence',
                '1 Nov 2026, plus 30 days, is Tue 1 Dec 2026. 2% off until 11 Nov 2026; not taking it costs 37.24% a year.',
            )
            ->json('row.id');
        $this->putJson("/api/documents/$id", $this->documentInput('invoice', '900', ['version' => 0]))->assertStatus(409);
        $this->putJson("/api/documents/$id", $this->documentInput('invoice', '900', ['version' => 1]))
            ->assertOk()
            ->assertJsonPath('totals.gross.text', '900.00');
        $this->getJson("/api/parties/{$this->client->id}")->assertJsonPath('standing.sides', []);
        $this->issue($id, false)->assertOk()->assertJsonPath('row.number', 'I2026-0001')->assertJsonPath('row.state', 'issued');
        $this->putJson("/api/documents/$id", $this->documentInput('invoice', '1', ['version' => 2]))
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'It is issued, and can no longer be changed. Void it, or write a credit note.');
        $this->issue($id, false)->assertUnprocessable();
        $this->getJson("/api/parties/{$this->client->id}")
            ->assertJsonPath('standing.sides.0.open.text', '900.00')
            ->assertJsonPath('documents.counts.0.count', 1);
    }

    public function test_it_is_written_and_issued_in_one_act_and_what_stands_against_it_leaves_a_draft(): void
    {
        $path = "/api/parties/{$this->client->id}/documents";
        $input = $this->documentInput('invoice', '10') + ['issues' => true];
        $this->postJson($path, $input)
            ->assertCreated()
            ->assertJsonPath('row.state', 'issued')
            ->assertJsonPath('row.number', 'I2026-0001')
            ->assertJsonPath('against', null);
        $caution = ['level' => 'stop', 'use' => 'billing', 'text' => 'Pays nothing', 'since' => '', 'until' => ''];
        $this->postJson("/api/parties/{$this->client->id}/cautions", $caution)->assertCreated();
        $this->postJson($path, $input)
            ->assertCreated()
            ->assertJsonPath('row.state', 'draft')
            ->assertJsonPath('row.number', '')
            ->assertJsonPath('against', ['message' => 'Pays nothing', 'asks' => false]);
        $this->assertSame(
            [1, 1],
            [Document::query()->where('state', 'draft')->count(), Document::query()->where('state', 'issued')->count()],
        );
        $this->postJson($path, ['issues' => 'yes'] + $input)->assertUnprocessable();
        $this->postJson($path, ['date' => 'someday'] + $input)->assertUnprocessable();
        $this->assertSame(2, Document::query()->count());
    }

    public function test_numbers_run_by_kind_and_year_without_holes(): void
    {
        $numbers = array_map(fn (array $one) => $this->issued($this->client, $one[0], '10', ['date' => $one[1]])->number, [
            ['invoice', '2026-01-05'], ['invoice', '2025-12-30'], ['quote', '2026-01-05'], ['invoice', '2026-02-01'],
        ]);
        $this->assertSame(['I2026-0001', 'I2025-0001', 'Q2026-0001', 'I2026-0002'], $numbers);
    }

    public function test_what_is_wrong_is_told_at_its_field(): void
    {
        $refused = fn (array $more) => $this->postJson(
            "/api/parties/{$this->client->id}/documents",
            $this->documentInput('invoice', '10', $more),
        )->assertUnprocessable();
        $refused(['date' => '2026-11-20', 'due' => '2026-11-19'])->assertJsonPath('errors.0', [
            'field' => 'due',
            'message' => 'A document dated 20 Nov 2026 cannot be due earlier, on 19 Nov 2026.',
        ]);
        $refused(['currency' => 'EUR'])->assertJsonPath('errors.0', [
            'field' => 'currency',
            'message' => 'There is no rate for EUR on 24 Nov 2026. Add one under Office, Currencies.',
        ]);
        $refused(['currency' => 'XX'])->assertJsonPath('errors.0.field', 'currency');
        $refused(['lines' => []])->assertJsonPath('errors.0', ['field' => 'lines', 'message' => 'Add at least one line.']);
        $refused(['lines' => [$this->line('10', ['quantity' => '-2'])]])->assertJsonPath('errors.0', [
            'field' => 'lines',
            'message' => 'The document comes to USD −20.00. For money that goes back, write a credit note.',
        ]);
        $refused(['lines' => [$this->line('ten', ['text' => '', 'discount' => '101'])]])->assertJsonPath('errors.*.field', [
            'lines.0.text',
            'lines.0.price',
            'lines.0.discount',
        ]);
        $refused(['terms' => 'whenever', 'date' => '31 Feb'])->assertJsonPath('errors.*.field', ['date', 'terms']);
        $refused(['lines' => [$this->line('1', ['taxRateId' => 99, 'accountId' => 98, 'costCentreIds' => [97]])]])->assertJsonPath(
            'errors.*.field',
            ['lines.0.taxRateId', 'lines.0.accountId', 'lines.0.costCentreIds'],
        );
        $refused(['lines' => 'x'])->assertJsonPath('errors.0.field', 'lines');
        $this->assertSame(0, Document::query()->count());
    }

    public function test_a_discount_of_all_of_it_settles_itself(): void
    {
        $document = $this->issued($this->client, 'invoice', '480', ['lines' => [$this->line('480', ['discount' => '100'])]]);
        $this->assertSame(['settled', 0], [$document->state->value, $document->total_minor]);
    }

    public function test_negative_quantities_lower_the_tax_too(): void
    {
        $rate = TaxRate::query()->create(['name' => 'Sales', 'percent' => '6', 'side' => 'client']);
        $document = $this->issued($this->client, 'invoice', '', [
            'lines' => [
                $this->line('100', ['quantity' => '3', 'taxRateId' => $rate->id]),
                $this->line('100', ['quantity' => '-1', 'taxRateId' => $rate->id]),
            ],
        ]);
        $this->assertSame([20000, 1200, 21200], [$document->net_minor, $document->tax_minor, $document->total_minor]);
    }

    public function test_a_rate_that_has_changed_holds_for_its_own_time(): void
    {
        $this->postJson('/api/tax-rates', [
            'name' => 'Sales',
            'percent' => '6',
            'side' => 'client',
            'since' => '',
            'until' => '2026-06-30',
            'isRetired' => false,
        ])->assertCreated();
        $this->postJson('/api/tax-rates', [
            'name' => 'Sales',
            'percent' => '7',
            'side' => 'client',
            'since' => '2026-06-01',
            'until' => '',
            'isRetired' => false,
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'since', 'message' => 'Another “Sales” applies at that time. End it the day before.']);
        $this->postJson('/api/tax-rates', [
            'name' => 'Sales',
            'percent' => '7',
            'side' => 'client',
            'since' => '2026-07-01',
            'until' => '',
            'isRetired' => false,
        ])->assertCreated();
        [$old, $new] = TaxRate::query()->orderBy('id')->pluck('id')->all();
        $input = fn (int $rate, string $date) => $this->documentInput('invoice', '100', [
            'date' => $date,
            'lines' => [$this->line('100', ['taxRateId' => $rate])],
        ]);
        $this->postJson("/api/parties/{$this->client->id}/documents", $input($old, '2026-06-30'))
            ->assertCreated()
            ->assertJsonPath('totals.gross.text', '106.00');
        $this->postJson("/api/parties/{$this->client->id}/documents", $input($new, '2026-07-01'))
            ->assertCreated()
            ->assertJsonPath('totals.gross.text', '107.00');
        $this->postJson("/api/parties/{$this->client->id}/documents", $input($old, '2026-07-01'))
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'lines.0.taxRateId',
                'message' => 'Sales at 6% applies until 30 Jun 2026. Choose the rate of 1 Jul 2026.',
            ]);
        $this->putJson("/api/tax-rates/$old", [
            'name' => 'Sales',
            'percent' => '5',
            'side' => 'client',
            'since' => '',
            'until' => '2026-06-30',
            'isRetired' => false,
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'percent');
    }

    public function test_a_quote_becomes_an_order_and_an_invoice_without_retyping(): void
    {
        $quote = $this->issued($this->client, 'quote', '4850', [
            'reference' => 'PO 88',
            'lines' => [$this->line('4850', ['text' => 'New escapement'])],
        ]);
        $this->getJson("/api/documents/{$quote->id}")->assertJsonPath('canBecome', ['order', 'invoice']);
        $order = $this->turn($quote->id, 'order');
        $this->issue($order, true)->assertOk()->assertJsonPath('source.title', 'Quote Q2026-0001');
        $this->getJson("/api/documents/{$quote->id}")
            ->assertJsonPath('row.state', 'settled')
            ->assertJsonPath('madeFromIt.0.title', 'Order O2026-0001')
            ->assertJsonPath('row.stateWords', 'accepted');
        $invoice = $this->turn($order, 'invoice');
        $this->issue($invoice, true)
            ->assertOk()
            ->assertJsonPath('lines.0.text', 'New escapement')
            ->assertJsonPath('row.reference', 'PO 88');
        // What was voided sets the order free again.
        $this->deleteJson("/api/documents/$invoice", ['reason' => 'billed too early', 'amount' => ''])
            ->assertOk()
            ->assertJsonPath('row.state', 'void');
        $this->getJson("/api/documents/$order")->assertJsonPath('row.state', 'issued');
        $this->postJson("/api/documents/$invoice/next", ['kind' => 'credit-note', 'isConfirmed' => false])->assertUnprocessable();
    }

    public function test_a_credit_lowers_its_invoice_and_is_never_larger(): void
    {
        $invoice = $this->issued($this->client, 'invoice', '100');
        $credit = $this->turn($invoice->id, 'credit-note');
        $this->putJson(
            "/api/documents/$credit",
            $this->documentInput('credit-note', '100.01', ['terms' => '', 'version' => 1]),
        )->assertOk();
        $this->issue($credit, true)
            ->assertUnprocessable()
            ->assertJsonPath(
                'detail',
                'The credit of USD 100.01 is more than the USD 100.00 still open of it. Lower the credit, or write it without the document and use it for others too.',
            );
        $this->putJson("/api/documents/$credit", $this->documentInput('credit-note', '30', ['terms' => '', 'version' => 2]))->assertOk();
        $this->issue($credit, true)->assertOk()->assertJsonPath('row.state', 'settled');
        $this->getJson("/api/documents/{$invoice->id}")
            ->assertJsonPath('row.open.text', '70.00')
            ->assertJsonPath('row.state', 'part-paid')
            ->assertJsonPath('allocations.0.kind', 'credit');
        $second = $this->turn($invoice->id, 'credit-note');
        $this->issue($second, true)->assertUnprocessable();
        $this->deleteJson("/api/documents/{$invoice->id}", ['reason' => 'wrong', 'amount' => ''])
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'Money or a credit has been used on it. Take that back first, or write a credit note.');
        $this->deleteJson("/api/documents/$credit", ['reason' => 'wrong', 'amount' => ''])->assertOk();
        $this->getJson("/api/documents/{$invoice->id}")->assertJsonPath('row.open.text', '100.00')->assertJsonPath('row.state', 'issued');
    }

    public function test_a_free_credit_is_used_on_any_of_their_invoices(): void
    {
        $first = $this->issued($this->client, 'invoice', '40');
        $second = $this->issued($this->client, 'invoice', '40');
        $credit = $this->issued($this->client, 'credit-note', '50', ['terms' => '']);
        $this->getJson("/api/parties/{$this->client->id}")
            ->assertJsonPath('standing.sides.0.credits.text', '50.00')
            ->assertJsonPath('standing.sides.0.balance.text', '30.00');
        $this->postJson("/api/documents/{$credit->id}/allocations", [
            'allocations' => [
                ['documentId' => $first->id, 'amount' => '40', 'discount' => ''],
                ['documentId' => $second->id, 'amount' => '10.01', 'discount' => ''],
            ],
        ])->assertUnprocessable();
        $this->assertSame(4000, $first->refresh()->open_minor);
        $this->postJson("/api/documents/{$credit->id}/allocations", [
            'allocations' => [
                ['documentId' => $first->id, 'amount' => '40', 'discount' => ''],
                ['documentId' => $second->id, 'amount' => '10', 'discount' => ''],
            ],
        ])
            ->assertOk()
            ->assertJsonPath('row.state', 'settled');
        $this->assertSame([0, 3000], [$first->refresh()->open_minor, $second->refresh()->open_minor]);
    }

    public function test_their_numbers_stand_once(): void
    {
        $vendor = $this->addCompany('Brass Lantern', ['isVendor' => true]);
        $draft = $this->postJson("/api/parties/{$vendor->id}/documents", $this->documentInput('bill', '10'))
            ->assertCreated()
            ->json('row.id');
        $this->issue($draft, true)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'number', 'message' => 'Type the number that is printed on it.']);
        $this->issued($vendor, 'bill', '10', ['number' => 'BL-7']);
        $this->postJson("/api/parties/{$vendor->id}/documents", $this->documentInput('bill', '10', ['number' => 'BL-7']))
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'number',
                'message' => 'A document of theirs with this number, of 24 Nov 2026, is in the book already.',
            ]);
        $this->issued($this->addCompany('Other', ['isVendor' => true]), 'bill', '10', ['number' => 'BL-7']);
    }

    public function test_cautions_and_the_limit_answer_before_it_is_issued(): void
    {
        $this->saveSection($this->client, 'client-terms', [
            'listedId' => null,
            'shorthand' => null,
            'fields' => [['name' => 'limit', 'value' => '1,000'], ['name' => 'credit-policy', 'value' => 'ask']],
        ])->assertOk();
        $this->issued($this->client, 'order', '400');
        $this->postJson("/api/parties/{$this->client->id}/document-preview", $this->documentInput('invoice', '700'))
            ->assertOk()
            ->assertJsonPath('use.policy', 'ask')
            ->assertJsonPath(
                'use.creditSentence',
                'Limit USD 1,000.00; open 0.00, orders not yet billed 400.00, this one 700.00: 100.00 over the limit.',
            )
            ->assertJsonPath('document.totals.gross.text', '700.00');
        $this->assertSame(1, Document::query()->count(), 'a preview keeps nothing');
        $id = $this->postJson("/api/parties/{$this->client->id}/documents", $this->documentInput('invoice', '700'))->json('row.id');
        $this->issue($id, false)->assertUnprocessable()->assertJsonPath('errors.0.field', 'isConfirmed');
        $this->issue($id, true)->assertOk();
        $this->getJson("/api/parties/{$this->client->id}")
            ->assertJsonPath('standing.credit.left.text', '−100.00')
            ->assertJsonPath('standing.credit.isOver', true)
            ->assertJsonPath('readiness.1.checks.3.state', 'missing');
        $this->getJson('/api/today')->assertJsonPath('overLimit.0.id', $this->client->id);

        $this->saveSection(
            $this->client,
            'client-terms',
            ['listedId' => null, 'shorthand' => null, 'fields' => [['name' => 'credit-policy', 'value' => 'stop']]],
            1,
        )->assertOk();
        $stopped = $this->postJson("/api/parties/{$this->client->id}/documents", $this->documentInput('invoice', '1'))->json('row.id');
        $this->issue($stopped, true)->assertUnprocessable()->assertJsonPath('errors.0.field', 'stop');
        $this->postJson("/api/parties/{$this->client->id}/cautions", [
            'level' => 'stop',
            'use' => 'billing',
            'text' => 'In dispute',
            'since' => '',
            'until' => '',
        ])->assertCreated();
        $this->issue($stopped, true)->assertUnprocessable()->assertJsonPath('errors.0.message', 'In dispute');
    }

    public function test_billing_an_order_does_not_count_it_twice(): void
    {
        $this->saveSection($this->client, 'client-terms', [
            'listedId' => null,
            'shorthand' => null,
            'fields' => [['name' => 'limit', 'value' => '1000'], ['name' => 'credit-policy', 'value' => 'stop']],
        ])->assertOk();
        $order = $this->issued($this->client, 'order', '900');
        $invoice = $this->turn($order->id, 'invoice');
        $this->issue($invoice, false)->assertOk();
        $this->getJson("/api/parties/{$this->client->id}")->assertJsonPath('standing.credit.exposure.text', '900.00');
    }

    #[TestWith(['client', '420', 'receivable'])]
    #[TestWith(['vendor', '99.50', 'payable'])]
    public function test_an_opening_balance_is_set_once_and_first(string $side, string $amount, string $column): void
    {
        $input = ['side' => $side, 'amount' => $amount, 'currency' => 'USD', 'asOf' => '2026-08-01'];
        $path = "/api/parties/{$this->client->id}/opening";
        foreach ([['amount' => '0'], ['amount' => '-5'], ['amount' => 'much'], ['currency' => 'ABC'], ['asOf' => '31 Feb']] as $wrong) {
            $this->postJson($path, $wrong + $input)->assertUnprocessable()->assertJsonPath('errors.0.field', array_key_first($wrong));
        }
        $this->postJson($path, ['amount' => '-5'] + $input)->assertJsonPath(
            'errors.0.message', 'An opening balance is not below zero. Leave it empty, and record what was paid too much as a payment.',
        );
        $this->postJson($path, $input)
            ->assertCreated()
            ->assertJsonPath('row.kindTitle', 'Opening balance')
            ->assertJsonPath('row.daysLate', 115);
        $this->getJson("/api/parties/{$this->client->id}")->assertJsonPath(
            'standing.sides.0.ageing.4.amount.amount',
            sprintf('%.2f', (float) $amount),
        );
        $this->postJson($path, $input)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'There is an opening balance on this side already. Void it first to set another.');
        $this->assertSame((int) round((float) $amount * 100), DB::table('balances')->value("{$column}_minor"));
        $other = $this->addCompany('Other');
        $this->issued($other, $side === 'client' ? 'invoice' : 'bill', '1', ['number' => '1']);
        $this->postJson("/api/parties/{$other->id}/opening", $input)
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.0.message',
                'An opening balance is set before the first document; there is one of 24 Nov 2026 already.',
            );
    }

    public function test_an_archived_record_takes_none_and_one_with_documents_is_not_deleted(): void
    {
        $this->issued($this->client, 'invoice', '5');
        $this->deleteJson("/api/parties/{$this->client->id}")
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'It is still used by 1 document or payment, so deleting it would leave a hole. Archive it instead.');
        $this->putJson("/api/parties/{$this->client->id}/archive", ['reason' => 'closed'])->assertOk();
        $this->postJson("/api/parties/{$this->client->id}/documents", $this->documentInput('invoice', '5'))->assertStatus(423);
    }

    public function test_parts_are_due_one_after_the_other(): void
    {
        $document = $this->issued($this->client, 'invoice', '1000', ['terms' => '30% on receipt, 70% net 30', 'date' => '2026-11-10']);
        $this->getJson("/api/parties/{$this->client->id}")
            ->assertJsonPath('standing.sides.0.overdue.text', '300.00')
            ->assertJsonPath('standing.sides.0.nextDue.dueText', '10 Dec 2026');
        $this->pay($this->client, '300', [$document->id => '300'])->assertCreated();
        $this->getJson("/api/parties/{$this->client->id}")
            ->assertJsonPath('standing.sides.0.overdue.text', '0.00')
            ->assertJsonPath('standing.sides.0.open.text', '700.00');
        $this->getJson("/api/documents?state=overdue&partyId={$this->client->id}")->assertJsonPath('total', 0);
        $this->getJson('/api/documents?bucket=not-due')
            ->assertJsonPath('total', 1)
            ->assertJsonPath('rows.0.open.text', '700.00')
            ->assertJsonPath('sums.0.open.text', '700.00');
    }

    public function test_the_ledger_is_filtered_and_added_up(): void
    {
        $this->issued($this->client, 'invoice', '100', ['date' => '2026-09-01', 'reference' => 'Dome']);
        $this->issued($this->client, 'invoice', '200');
        $this->issued($this->client, 'credit-note', '30', ['terms' => '']);
        $this->issued($this->addCompany('Brass', ['isVendor' => true]), 'bill', '7', ['number' => 'B-1']);
        $this->postJson("/api/parties/{$this->client->id}/documents", $this->documentInput('invoice', '999'))->assertCreated();
        $list = fn (string $query) => $this->getJson("/api/documents?$query")->assertOk();
        $list('')->assertJsonPath('total', 5);
        $list('side=client')
            ->assertJsonPath('total', 4)
            ->assertJsonPath('sums.0.total.text', '270.00')
            ->assertJsonPath('sums.0.open.text', '270.00');
        $list('state=open&side=client')->assertJsonPath('total', 3);
        $list('state=overdue')->assertJsonPath('total', 1)->assertJsonPath('rows.0.daysLate', 54);
        $list('bucket=31-60')->assertJsonPath('total', 1);
        $list('bucket=1-30')->assertJsonPath('total', 0);
        $list('q=dome')->assertJsonPath('total', 1);
        $list('q=b-1')->assertJsonPath('total', 1);
        $this->issued($this->client, 'order', '1', ['reference' => 'PO_12!%\\x']);
        foreach (['PO_12' => 1, 'PO12' => 0, '%\\' => 1, '12!' => 1, 'POX12' => 0] as $typed => $found) {
            $list('q='.urlencode($typed))->assertJsonPath('total', $found);
        }
        $list('from=2026-11-01&to=2026-11-30')->assertJsonPath('total', 5);
        $list('state=draft')->assertJsonPath('total', 1);
        $this->getJson('/api/documents?state=weird')->assertUnprocessable();
    }

    private function turn(int $id, string $kind): int
    {
        $made = $this->postJson("/api/documents/$id/next", ['kind' => $kind, 'isConfirmed' => false])->assertCreated()->json('row.id');

        return is_int($made) ? $made : 0;
    }
}
