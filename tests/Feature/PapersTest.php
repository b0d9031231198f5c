<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\UblInvoice;
use App\Actions\Files\SweepFiles;
use App\Actions\Interchange\RunImport;
use App\Actions\Ledger\MakeStatement;
use App\Background\PrintStatement;
use App\Background\ReadImport;
use App\Console\ImportCommand;
use App\Models\Document;
use App\Models\Import;
use App\Models\Job;
use App\Models\Message;
use App\Models\Office;
use App\Models\Party;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Tests\SumsOfDocuments;
use Tests\TestCase;

/** What leaves the books on paper, by message and as files; and what is read in. */
final class PapersTest extends TestCase
{
    use SumsOfDocuments;

    private Party $client;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->client = $this->addCompany('Penhallow Observatory', ['isClient' => true]);
        $this->saveSection($this->client, 'reach', [
            'contactPoints' => [
                $this->contact('email', 'a@penhallow.example'),
                $this->contact('email', 'bills@penhallow.example', ['uses' => ['invoices']]),
            ],
        ]);
    }

    public function test_a_document_is_sent_into_the_outbox_and_the_log(): void
    {
        $draft = $this->postJson("/api/parties/{$this->client->id}/documents", $this->documentInput('invoice', '10'))->json('row.id');
        $this->postJson("/api/documents/$draft/send", ['to' => '', 'text' => ''])
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'Issue it before sending it.');
        $invoice = $this->issued($this->client, 'invoice', '10', ['lines' => [$this->line('10', ['text' => 'Ōkura & <b>Søn</b>, Часы'])]]);
        $this->postJson("/api/documents/{$invoice->id}/send", ['to' => 'not an address', 'text' => ''])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'to');
        $this->postJson("/api/documents/{$invoice->id}/send", ['to' => '', 'text' => 'With thanks.'])
            ->assertOk()
            ->assertJsonPath('sentText', '24 Nov 2026')
            ->assertJsonPath('events.0.text', 'sent to bills@penhallow.example');
        $message = Message::query()->firstOrFail();
        $content = (string) $this->get("/api/messages/{$message->id}")
            ->assertOk()
            ->getContent();
        foreach (
            [
                'To: bills@penhallow.example',
                'Subject: Invoice I2026-0001 from Orrery & Vane',
                'With thanks.',
                'Invoice-I2026-0001.pdf',
                'application/pdf',
            ] as $part
        ) {
            $this->assertStringContainsString($part, $content);
        }
        $this->assertStringStartsWith(
            '%PDF',
            (string) base64_decode(
                (string) preg_replace('/.*name=Invoice-I2026-0001\.pdf.*?\r\n\r\n([A-Za-z0-9+\/=\r\n]+).*/s', '$1', $content),
                false,
            ),
        );
        $this->getJson("/api/parties/{$this->client->id}/changes")->assertJsonPath(
            'changes.0.entry.text',
            'Sent Invoice I2026-0001 to bills@penhallow.example.',
        );
        $nobody = $this->issued($this->addCompany('Silent'), 'invoice', '1');
        $this->postJson("/api/documents/{$nobody->id}/send", ['to' => '', 'text' => ''])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'They have no email. Type one, or add it to the record.');
    }

    public function test_documents_statements_and_reminders_are_on_paper(): void
    {
        $this->get("/api/parties/{$this->client->id}/reminder-letter", ['Accept' => 'application/json'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'Nothing is late: there is nothing to remind them of.');
        $invoice = $this->issued($this->client, 'invoice', '10', ['date' => '2026-09-01']);
        foreach (
            [
                "/api/documents/{$invoice->id}/pdf",
                "/api/parties/{$this->client->id}/statement?side=client&currency=USD&format=pdf",
                "/api/parties/{$this->client->id}/reminder-letter",
            ] as $path
        ) {
            $this->assertStringStartsWith(
                '%PDF',
                (string) $this->get($path)->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent(),
            );
        }
    }

    public function test_a_long_statement_is_made_behind_the_screen_for_who_asked_for_it(): void
    {
        Queue::fake();
        $first = $this->issued($this->client, 'invoice', '1', ['date' => '2026-09-01']);
        $columns = implode(', ', array_diff(array_keys($first->getAttributes()), ['id', 'number', 'search_key']));
        DB::statement(
            "insert into documents (number, $columns) with recursive n(i) as (select 1 union all select i + 1 from n where i < 2600) select 'L' || i, $columns from n, documents where documents.id = {$first->id}",
        );
        $path = "/api/parties/{$this->client->id}/statement";
        $asked = ['side' => 'client', 'currency' => 'USD', 'from' => '', 'to' => ''];
        $query = '?'.http_build_query($asked);
        $this->getJson($path.$query)
            ->assertOk()
            ->assertJsonPath('isLong', true);
        $this->getJson("$path$query&format=pdf")
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.0.message',
                fn (string $told) => str_contains($told, '2,601 lines') && str_contains($told, 'behind the screen'),
            );
        $this->postJson($path, ['from' => 'soon'] + $asked)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'from');
        $id = $this->postJson($path, $asked)
            ->assertCreated()
            ->assertJsonPath('state', 'running')
            ->assertJsonPath('total', 2601)
            ->json('id');
        Queue::assertPushed(PrintStatement::class);
        $this->getJson("/api/jobs/$id/file")->assertNotFound();

        $lines = [];
        Job::updated(function (Job $job) use (&$lines): void {
            $lines[] = $job->done;
        });
        (new PrintStatement(is_int($id) ? $id : 0))->handle($this->app->make(MakeStatement::class));
        $this->assertSame(
            [200, 400, 600, 800, 1000, 1200, 1400, 1600, 1800, 2000, 2200, 2400, 2600, 2601],
            array_values(array_unique($lines)),
            'it says how far it is',
        );
        $this->getJson('/api/jobs')->assertJsonPath('0.state', 'ready')->assertJsonPath('0.done', 2601);
        $this->assertStringStartsWith(
            '%PDF',
            $this->get("/api/jobs/$id/file")
                ->assertOk()
                ->assertHeader('Content-Type', 'application/pdf')
                ->streamedContent(),
        );

        $this->actingAs($this->user(Role::Reader))->getJson('/api/jobs')->assertExactJson([]);
        $this->getJson("/api/jobs/$id/file")->assertNotFound();
        $this->deleteJson("/api/jobs/$id")->assertNotFound();
        $this->postJson($path, $asked)->assertCreated();
        $this->asAdministrator()->deleteJson("/api/jobs/$id")->assertOk()->assertExactJson([]);
        $this->assertSame([], Storage::allFiles('jobs'));
    }

    public function test_work_that_stopped_says_so_and_nobody_begins_too_much_at_once(): void
    {
        Queue::fake();
        $this->issued($this->client, 'invoice', '1');
        $begin = fn () => $this->postJson("/api/parties/{$this->client->id}/statement", [
            'side' => 'client',
            'currency' => 'USD',
            'from' => '',
            'to' => '',
        ]);
        foreach ([1, 2, 3] as $time) {
            $begin()->assertCreated();
        }
        $begin()
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', '3 statements are being made for you. Wait until one is ready.');
        $this->travel(3)->minutes();
        $this->getJson('/api/jobs')
            ->assertJsonPath('*.state', ['failed', 'failed', 'failed'])
            ->assertJsonPath('0.failure', 'The work was interrupted. Make it again.');
        $begin()->assertCreated();
        Job::query()
            ->latest('id')
            ->firstOrFail()
            ->update(['input' => ['side' => 'client', 'currency' => 'none', 'from' => '', 'to' => '']]);
        (new PrintStatement(4))->handle($this->app->make(MakeStatement::class));
        $this->getJson('/api/jobs')->assertJsonPath('0.state', 'failed')->assertJsonPath('0.failure', fn (string $why) => $why !== '');
        $this->travel(2)->days();
        $this->app->make(SweepFiles::class)->handle();
        $this->assertSame(0, Job::query()->count());
    }

    public function test_a_statement_is_of_a_period_and_also_a_table(): void
    {
        $first = $this->issued($this->client, 'invoice', '100', ['date' => '2026-08-01', 'terms' => '2/10 net 30']);
        $this->pay($this->client, '98', [$first->id => ['98', '2']], ['day' => '2026-08-10'])->assertCreated();
        $this->issued($this->client, 'invoice', '50', ['date' => '2026-10-01']);
        $this->issued($this->client, 'credit-note', '5', ['date' => '2026-10-05', 'terms' => '']);
        $path = "/api/parties/{$this->client->id}/statement?side=client&currency=USD";
        $this->getJson($path)
            ->assertJsonPath('lines.*.balance.text', ['100.00', '2.00', '0.00', '50.00', '45.00'])
            ->assertJsonPath('open.0.open.text', '50.00')
            ->assertJsonPath('ageing.1.amount.text', '50.00');
        $this->getJson("$path&from=2026-08-05&to=2026-09-30")
            ->assertJsonPath('opening.text', '100.00')
            ->assertJsonPath('closing.text', '0.00')
            ->assertJsonPath('period', '5 Aug 2026 to 30 Sep 2026');
        $this->getJson("$path&from=2026-08-05&to=2026-08-01")
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'to');
        $this->getJson("$path&from=soon")
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'from');
        $this->assertStringContainsString(
            '1 Oct 2026,Invoice I2026-0002,50.00,50.00',
            str_replace(
                '"',
                '',
                (string) $this->get("$path&format=csv")
                    ->assertOk()
                    ->getContent(),
            ),
        );
    }

    public function test_an_invoice_leaves_as_ubl_and_comes_back_equal(): void
    {
        $invoice = $this->issued($this->client, 'invoice', '12.5', ['reference' => 'PO 7']);
        $read = UblInvoice::read(
            (string) $this->get("/api/documents/{$invoice->id}/ubl")
                ->assertOk()
                ->getContent(),
        );
        $this->assertSame(
            ['I2026-0001', '2026-11-24', 'PO 7', 'Orrery & Vane', '12.50'],
            [$read->number, $read->date->toIso(), $read->reference, $read->partyName, $read->totals()->gross->toDecimal()],
        );
    }

    public function test_the_tax_report_counts_by_the_day_the_money_went(): void
    {
        $vendor = $this->addCompany('Quill Gilding', ['isVendor' => true]);
        $this->saveSection($vendor, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        foreach (
            [
                ['1500', '2026-01-02', 'cheque'],
                ['600', '2026-06-01', 'direct-debit'],
                ['5000', '2026-06-02', 'card'],
                ['650', '2025-12-31', 'cash'],
            ] as [$amount, $day, $by]
        ) {
            $this->pay($vendor, $amount, [], ['side' => 'vendor', 'day' => $day, 'payBy' => $by])->assertCreated();
        }
        $this->pay($this->addCompany('Incorporated Inc.', ['isVendor' => true]), '9000', [], ['side' => 'vendor'])->assertCreated();
        $this->getJson('/api/tax-report?year=2026')
            ->assertJsonPath('rows.*.party.name', ['Quill Gilding'])
            ->assertJsonPath('rows.0.year.paid.text', '2,100.00')
            ->assertJsonPath('rows.0.year.isAbove', true)
            ->assertJsonPath('lacking', 1)
            ->assertJsonPath('rows.0.year.missing', ['no tax number; USD 504.00 would have had to be withheld', 'no form W-9 on file']);
        $this->getJson('/api/tax-report?year=2025')
            ->assertJsonPath('rows.0.year.paid.text', '650.00')
            ->assertJsonPath('threshold.text', '600.00')
            ->assertJsonPath('rows.0.year.isAbove', true);
        $this->assertStringContainsString('2100.00,USD,yes', (string) $this->get('/api/tax-report?year=2026&format=csv')->getContent());
        $this->getJson('/api/tax-report?year=soon')->assertUnprocessable();
    }

    public function test_a_file_is_checked_first_and_taken_when_somebody_says_so(): void
    {
        Queue::fake();
        $csv = "kind,number,party,date,due,amount,tax,text\n";
        for ($n = 1; $n <= 300; $n++) {
            $csv .=
                "invoice,X$n,".
                ($n % 2 === 0 ? 'penhallow observatory' : $this->client->number).
                ',2026-'.
                sprintf('%02d', ($n % 10) + 1).
                '-15,,'.
                ($n % 8 === 0 && $n < 297 ? 'x' : '10.00').
                ",6,Work\n";
        }
        $import = $this->handIn('invoices.csv', $csv);
        $this->assertSame(ImportState::Checked, $import->state);
        $this->getJson("/api/imports/{$import->id}")->assertJsonPath('found', 263)->assertJsonPath('outcomes.*.count', [263, 37]);
        $this->getJson("/api/imports/{$import->id}/lines?outcome=wrong")->assertJsonPath('total', 37)->assertJsonPath(
            'lines.0.problems', [['line' => 9, 'column' => 5, 'text' => 'x', 'message' => '“x” is not a number. Write it like 1250.00.']],
        );
        $this->assertSame(0, Document::query()->count(), 'nothing is taken yet');
        $this->postJson("/api/imports/{$import->id}/take")->assertOk()->assertJsonPath('state', 'taking');
        $this->postJson("/api/imports/{$import->id}/take")->assertOk();
        Artisan::call(ImportCommand::class, ['import' => $import->id]);
        $this->getJson("/api/imports/{$import->id}")->assertJsonPath('state', 'taken')->assertJsonPath('done', 263);
        $this->assertSame(263, Document::query()->count());
        $this->assertSumsOfDocuments('with the import');
        $this->getJson("/api/parties/{$this->client->id}")->assertJsonPath('standing.sides.0.open.text', '2,787.80');
        // The same file again: all of it is in the book.
        $again = $this->handIn('invoices.csv', $csv);
        $this->getJson("/api/imports/{$again->id}")->assertJsonPath('found', 0)->assertJsonPath('mayTake', false)
            ->assertJsonPath('outcomes', [['outcome' => 'same', 'title' => 'the same already', 'count' => 263], ['outcome' => 'wrong', 'title' => 'wrong', 'count' => 37]]);
        $this->deleteJson("/api/imports/{$again->id}")->assertOk();
        // What the first brought stays, though its file is forgotten.
        $this->deleteJson("/api/imports/{$import->id}")->assertOk();
        $this->assertSame(263, Document::query()->count());
    }

    public function test_who_is_meant_is_found_by_number_tax_number_and_name(): void
    {
        Queue::fake();
        $this->addCompany('Twin', ['legal' => 'Twin One']);
        $this->addCompany('Twin', ['legal' => 'Twin Two']);
        $gone = $this->addCompany('Gone');
        $this->putJson("/api/parties/{$gone->id}/archive", ['reason' => 'x'])->assertOk();
        $german = $this->addCompany('Zahnrad');
        $this->saveSection($german, 'tax-numbers', [
            'taxNumbers' => [['id' => null, 'kind' => 'VAT', 'country' => 'DE', 'value' => 'DE136695976']],
        ])->assertOk();
        $import = $this->handIn(
            'a.csv',
            "kind,number,party,date,amount,currency\ninvoice,1,Nobody,2026-11-01,1,\ninvoice,2,Twin,2026-11-01,1,\ninvoice,3,Gone,2026-11-01,1,\nbill,4,DE 136 695 976,2026-11-01,1,\ninvoice,5,twin two,2026-11-01,1,\ninvoice,6,Zahnrad,2026-11-01,1,EUR\n",
        );
        $this->getJson("/api/imports/{$import->id}")->assertJsonPath('found', 2);
        $this->getJson("/api/imports/{$import->id}/lines?outcome=doubtful")->assertJsonPath('lines.*.message', [
            '“Nobody” is not in the book. Choose whose it is, or add the record first.',
            'Several records are called “Twin”. Choose the one that is meant.',
            '“Gone” is archived, and takes no new documents. Restore the record, or leave it out.',
        ])->assertJsonCount(2, 'lines.1.candidates');
        $this->getJson("/api/imports/{$import->id}/lines?outcome=wrong")->assertJsonPath('lines.0.problems.0', [
            'line' => 7, 'column' => 5, 'text' => 'EUR', 'message' => 'There is no rate for EUR on 1 Nov 2026. Add one under Office, Currencies.',
        ]);
    }

    public function test_an_e_invoice_is_read_in_as_a_bill(): void
    {
        Queue::fake();
        $vendor = $this->addCompany('Orrery & Vane', ['isVendor' => true]);
        $invoice = $this->issued($this->client, 'invoice', '12.5');
        $ubl = (string) $this->get("/api/documents/{$invoice->id}/ubl")->getContent();
        // However the office writes its amounts, XML has a point.
        Office::query()->update(['decimal_comma' => true]);
        $import = $this->handIn('invoice.xml', $ubl);
        $this->getJson("/api/imports/{$import->id}")->assertJsonPath('found', 1);
        $this->getJson("/api/imports/{$import->id}/lines")->assertJsonPath('lines.0.name', 'Bill I2026-0001')
            ->assertJsonPath('lines.0.record.name', 'Orrery & Vane');
        $this->postJson("/api/imports/{$import->id}/take");
        $this->app->make(RunImport::class)->handle($import->refresh());
        $bill = Document::query()->where('party_id', $vendor->id)->firstOrFail();
        $this->assertSame(
            ['bill', 'I2026-0001', 1250, '2026-12-24'],
            [$bill->kind->value, $bill->number, $bill->total_minor, $bill->next_due_on?->toIso()],
        );
    }

    public function test_what_cannot_be_read_says_why_and_what_was_stopped_begins_again(): void
    {
        Queue::fake();
        foreach (["PK\0\0" => 'This is not a text table. Save it as CSV first.', '' => 'There is nothing in the file.', '%PDF-1.7' => 'This is not a text table. Save it as CSV first.'] as $content => $message) {
            $this->post(
                '/api/imports',
                ['file' => UploadedFile::fake()->createWithContent('a.csv', (string) $content)],
                ['Accept' => 'application/json'],
            )
                ->assertUnprocessable()->assertJsonPath('detail', $message);
        }
        $this->postJson('/api/imports', [])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'file', 'message' => 'Choose a file.']);
        $import = $this->handIn('a.csv', "kind,number,party,date,amount\ninvoice,1,{$this->client->number},2026-11-01,5\n");
        $import->update(['state' => ImportState::Taking]);
        $this->travel(3)->minutes();
        $this->getJson("/api/imports/{$import->id}")->assertJsonPath('isStuck', true);
        $this->postJson("/api/imports/{$import->id}/take")->assertOk()->assertJsonPath('state', 'taking')->assertJsonPath('isStuck', false);
        Queue::assertPushed(ReadImport::class);
    }

    private function handIn(string $name, string $content): Import
    {
        $id = $this->post(
            '/api/imports',
            ['file' => UploadedFile::fake()->createWithContent($name, $content)],
            ['Accept' => 'application/json'],
        )
            ->assertCreated()
            ->assertJsonPath('state', 'reading')
            ->json('id');
        $import = Import::query()->findOrFail(is_int($id) ? $id : 0);
        $this->app->make(RunImport::class)->handle($import);

        return $import->refresh();
    }
}
