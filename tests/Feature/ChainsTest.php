<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Interchange\ImportState;
use App\Console\ImportCommand;
use App\Models\Document;
use App\Models\Import;
use App\Models\Party;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** From a quote to its order and its invoices, line by line; revisions, copies, and numbers that are there once. */
final class ChainsTest extends TestCase
{
    private Party $client;

    protected function setUp(): void
    {
        parent::setUp();
        $this->client = $this->addCompany('Town of Saltmarsh', ['isClient' => true]);
    }

    public function test_a_second_invoice_proposes_what_is_left_and_more_is_asked_about(): void
    {
        $order = $this->issued($this->client, 'order', '', [
            'lines' => [
                $this->line('100', ['text' => 'Survey', 'quantity' => '10']),
                $this->line('50', ['text' => 'Travel', 'quantity' => '2']),
            ],
        ]);
        $first = $this->turn($order, 'invoice')
            ->assertCreated()
            ->assertJsonPath('lines.*.quantity', ['10', '2']);
        $lines = $first->json('lines');
        $this->change($first, [['quantity' => '4'] + $lines[0]])->assertOk();
        $this->issue($first->json('row.id'))->assertOk();
        $this->assertSame(['part-paid', 70000], [$order->refresh()->state->value, $order->open_minor]);
        $this->getJson("/api/documents/{$order->id}")->assertJsonPath('row.stateWords', 'part billed');

        $second = $this->turn($order, 'invoice')->assertCreated()->assertJsonPath('lines.*.quantity', ['6', '2']);
        // Another one is begun while that is a draft: nothing is left for it.
        $this->turn($order, 'invoice')->assertUnprocessable()->assertJsonPath('errors.0.field', 'isConfirmed');
        $third = $this->turn($order, 'invoice', true)->assertCreated();
        $this->issue($second->json('row.id'))->assertOk();
        $this->assertSame(['settled', 0], [$order->refresh()->state->value, $order->open_minor]);
        $this->issue($third->json('row.id'))
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'isConfirmed',
                'message' => "This is more than is left of Order {$order->number}. Issue it all the same?",
            ]);
        $this->issue($third->json('row.id'), true)->assertOk();

        // Void gives back what it took, and nothing else.
        $this->void($third->json('row.id'))->assertOk();
        $this->assertSame(0, $order->refresh()->open_minor);
        $this->void($second->json('row.id'))->assertOk();
        $this->assertSame(70000, $order->refresh()->open_minor);
        $this->void($order->id)
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'Another document was made from it and is in force. Void that first.');
        $this->void($first->json('row.id'))->assertOk();
        $this->void($order->id)->assertOk();
        $this->assertSame('void', $order->refresh()->state->value);
    }

    public function test_nothing_that_was_void_comes_to_life(): void
    {
        $order = $this->issued($this->client, 'order', '100');
        $draft = $this->turn($order, 'invoice')->assertCreated()->json('row.id');
        $this->void($order->id)->assertOk();
        $this->issue($draft)
            ->assertUnprocessable()
            ->assertJsonPath('detail', "Order {$order->number} is void. Write a new document instead.");
        $this->void($draft)->assertOk();
        $this->assertSame(['void', 0], [$order->refresh()->state->value, $order->open_minor]);
    }

    public function test_a_quote_is_accepted_once(): void
    {
        $quote = $this->issued($this->client, 'quote', '100');
        $this->issue($this->turn($quote, 'order')->assertCreated()->json('row.id'))->assertOk();
        $this->assertSame('settled', $quote->refresh()->state->value);
        $this->turn($quote, 'order')
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.0.message',
                "Everything on Quote {$quote->number} is on another document already. Make one more all the same?",
            );
        $this->turn($quote, 'invoice')->assertUnprocessable();
        $this->assertSame(1, Document::query()->where('kind', 'order')->count());
    }

    public function test_an_issued_quote_is_changed_by_a_new_revision(): void
    {
        $quote = $this->issued($this->client, 'quote', '100', ['validUntil' => '2026-12-31']);
        $this->getJson("/api/documents/{$quote->id}")
            ->assertJsonPath('validUntilText', '31 Dec 2026')
            ->assertJsonPath('hasExpired', false)
            ->assertJsonPath('canBeRevised', true);
        $next = $this->postJson("/api/documents/{$quote->id}/revise")
            ->assertCreated()
            ->assertJsonPath('row.number', $quote->number.' revision 2')
            ->assertJsonPath('replaces.id', $quote->id);
        $this->postJson("/api/documents/{$quote->id}/revise")
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'Its next revision is a draft already. Open that one.');
        $this->change($next, [$this->line('90')])->assertOk();
        $this->assertSame('issued', $quote->refresh()->state->value, 'the old one holds until the new one is issued');
        $this->issue($next->json('row.id'))
            ->assertOk()
            ->assertJsonPath('row.number', $quote->number.' revision 2');
        $this->getJson("/api/documents/{$quote->id}")
            ->assertJsonPath('row.state', 'void')
            ->assertJsonPath('events.0.text', 'replaced by revision 2')
            ->assertJsonPath('replacedBy.id', $next->json('row.id'))
            ->assertJsonPath('totals.gross.text', '100.00');
        $this->turn($quote, 'order')->assertUnprocessable();
        $invoice = $this->issued($this->client, 'invoice', '5');
        $this->postJson("/api/documents/{$invoice->id}/revise")->assertUnprocessable();
        $this->postJson("/api/parties/{$this->client->id}/documents", $this->documentInput('quote', '1', ['validUntil' => '2026-11-01']))
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'validUntil');
    }

    public function test_a_copy_is_a_draft_of_today_and_of_no_chain(): void
    {
        $invoice = $this->issued($this->client, 'invoice', '100', ['date' => '2026-09-01', 'reference' => 'Tower']);
        $this->postJson("/api/documents/{$invoice->id}/copy")
            ->assertCreated()
            ->assertJsonPath('row.dateText', '24 Nov 2026')
            ->assertJsonPath('row.state', 'draft')
            ->assertJsonPath('row.reference', 'Tower')
            ->assertJsonPath('source', null)
            ->assertJsonPath('totals.gross.text', '100.00');
    }

    public function test_what_somebody_else_has_changed_since_is_not_issued(): void
    {
        $draft = $this->postJson("/api/parties/{$this->client->id}/documents", $this->documentInput('invoice', '10'))->assertCreated();
        $this->change($draft, [$this->line('9999')])->assertOk();
        $this->postJson('/api/documents/'.$draft->json('row.id').'/issue', [
            'isConfirmed' => false,
            'version' => $draft->json('version'),
        ])->assertStatus(409);
        $this->postJson('/api/documents/'.$draft->json('row.id').'/issue', ['isConfirmed' => false])->assertUnprocessable();
    }

    public function test_a_number_that_a_file_brings_is_not_given_again(): void
    {
        Queue::fake();
        Storage::fake('local');
        $this->issued($this->client, 'invoice', '1');
        $import = $this->handIn(
            "kind,number,party,date,amount\ninvoice,I2026-0108,Town of Saltmarsh,2026-11-01,5\ninvoice,I2026-0002,Town of Saltmarsh,2026-11-01,5\n",
        );
        $this->assertSame(ImportState::Taken, $import->state);
        $this->assertSame('I2026-0109', $this->issued($this->client, 'invoice', '1')->number);
    }

    public function test_the_same_document_by_hand_by_csv_and_by_ubl(): void
    {
        Queue::fake();
        Storage::fake('local');
        foreach (['2/10 net 30', '30% on receipt, 70% net 30', 'net 15 EOM'] as $at => $terms) {
            $vendor = $this->addCompany("Brass $at", ['isVendor' => true]);
            $this->saveSection($vendor, 'vendor-terms', ['listedId' => null, 'shorthand' => $terms])->assertOk();
            $this->postJson('/api/tax-rates', [
                'name' => "VAT $at",
                'percent' => '20',
                'side' => 'vendor',
                'since' => '',
                'until' => '',
                'isRetired' => false,
            ])->assertCreated();
            $rate = collect((array) $this->getJson('/api/books')->json('taxRates'))->firstWhere('name', "VAT $at")['id'];
            $this->issued($vendor, 'bill', '', [
                'number' => "H$at",
                'date' => '2026-11-10',
                'terms' => $terms,
                'reference' => 'PO 7',
                'lines' => [
                    $this->line('33.33', ['text' => 'Brass', 'quantity' => '3', 'taxRateId' => $rate]),
                    $this->line('-5', ['text' => 'Returned', 'taxRateId' => $rate]),
                ],
            ]);
            $this->handIn(
                "kind,number,party,date,amount,quantity,tax,text,reference\nbill,C$at,{$vendor->number},2026-11-10,\"33,33\",3,20%,Brass,PO 7\nbill,C$at,{$vendor->number},2026-11-10,-5,1,20,Returned,PO 7\n",
            );
            $this->handIn($this->ubl("U$at", "Brass $at"));
            $facts = fn (string $number) => $this->facts(Document::query()->where('number', $number)->with('lines', 'dues')->sole());
            $this->assertSame($facts("H$at"), $facts("C$at"), "$terms by CSV");
            $this->assertSame($facts("H$at"), $facts("U$at"), "$terms by UBL");
        }
    }

    /** @return array<string, mixed> */
    private function facts(Document $document): array
    {
        return [
            ...$document->only(
                'kind',
                'state',
                'terms',
                'treatment',
                'currency',
                'net_minor',
                'tax_minor',
                'total_minor',
                'open_minor',
                'discount_percent',
                'reference',
                'copy',
            ),
            'days' => [
                $document->dated_on->toIso(),
                $document->due_on?->toIso(),
                $document->next_due_on?->toIso(),
                $document->discount_until?->toIso(),
            ],
            'lines' => $document->lines
                ->map(
                    fn ($line) => [
                        ...$line->only('text', 'discount', 'amount_minor'),
                        (float) $line->quantity,
                        (float) $line->price,
                        (float) $line->tax,
                    ],
                )
                ->all(),
            'dues' => $document->dues->map(fn ($due) => [$due->due_on->toIso(), $due->amount_minor, $due->open_minor])->all(),
        ];
    }

    private function handIn(string $content): Import
    {
        $id = $this->post(
            '/api/imports',
            ['file' => UploadedFile::fake()->createWithContent('file.csv', $content)],
            ['Accept' => 'application/json'],
        )
            ->assertCreated()
            ->json('id');
        Artisan::call(ImportCommand::class, ['import' => $id]);
        $this->postJson("/api/imports/$id/take")->assertOk()->assertJsonPath('state', 'taking');
        Artisan::call(ImportCommand::class, ['import' => $id]);

        return Import::query()->findOrFail(is_int($id) ? $id : 0);
    }

    private function ubl(string $number, string $seller): string
    {
        $line = fn (
            int $id,
            string $text,
            string $quantity,
            string $price,
            string $amount,
        ) => "<cac:InvoiceLine><cbc:ID>$id</cbc:ID><cbc:InvoicedQuantity unitCode=\"C62\">$quantity</cbc:InvoicedQuantity><cbc:LineExtensionAmount currencyID=\"USD\">$amount</cbc:LineExtensionAmount>".
            "<cac:Item><cbc:Name>$text</cbc:Name><cac:ClassifiedTaxCategory><cbc:ID>S</cbc:ID><cbc:Percent>20</cbc:Percent><cac:TaxScheme><cbc:ID>VAT</cbc:ID></cac:TaxScheme></cac:ClassifiedTaxCategory></cac:Item><cac:Price><cbc:PriceAmount currencyID=\"USD\">$price</cbc:PriceAmount></cac:Price></cac:InvoiceLine>";

        return '<?xml version="1.0" encoding="UTF-8"?><Invoice xmlns="urn:oasis:names:specification:ubl:schema:xsd:Invoice-2" xmlns:cac="urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2" xmlns:cbc="urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2">'
            ."<cbc:ID>$number</cbc:ID><cbc:IssueDate>2026-11-10</cbc:IssueDate><cbc:InvoiceTypeCode>380</cbc:InvoiceTypeCode><cbc:DocumentCurrencyCode>USD</cbc:DocumentCurrencyCode><cbc:BuyerReference>PO 7</cbc:BuyerReference>"
            ."<cac:AccountingSupplierParty><cac:Party><cac:PartyLegalEntity><cbc:RegistrationName>$seller</cbc:RegistrationName></cac:PartyLegalEntity></cac:Party></cac:AccountingSupplierParty>"
            .'<cac:LegalMonetaryTotal><cbc:TaxInclusiveAmount currencyID="USD">113.99</cbc:TaxInclusiveAmount></cac:LegalMonetaryTotal>'
            .$line(1, 'Brass', '3', '33.33', '99.99').$line(2, 'Returned', '1', '-5', '-5').'</Invoice>';
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function turn(Document $document, string $kind, bool $isConfirmed = false): TestResponse
    {
        return $this->postJson("/api/documents/{$document->id}/next", ['kind' => $kind, 'isConfirmed' => $isConfirmed]);
    }

    /**
     * @param TestResponse<\Illuminate\Http\Response> $draft
     * @param list<array<string, mixed>> $lines
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function change(TestResponse $draft, array $lines): TestResponse
    {
        $lines = array_map(
            fn (array $line) => array_intersect_key(
                $line,
                array_flip(['text', 'quantity', 'price', 'discount', 'taxRateId', 'accountId', 'costCentreIds', 'sourceLineId']),
            ),
            $lines,
        );

        return $this->putJson(
            '/api/documents/'.$draft->json('row.id'),
            $this->documentInput($draft->json('row.kind'), '', ['lines' => $lines, 'version' => $draft->json('version')]),
        );
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function void(int $id): TestResponse
    {
        return $this->deleteJson("/api/documents/$id", ['reason' => 'mistaken', 'amount' => '']);
    }
}
