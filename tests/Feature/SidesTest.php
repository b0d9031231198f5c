<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Document;
use App\Models\LedgerAccount;
use App\Models\Party;
use App\Models\TaxRate;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What is set for a side, what is inherited, and what a change of it touches; and the settings of the books. */
final class SidesTest extends TestCase
{
    public function test_a_value_is_its_own_its_parents_or_the_offices(): void
    {
        $parent = $this->addCompany('Harborlight Holding');
        $child = $this->addCompany('Harborlight Mutual', ['isClient' => true]);
        $this->saveSection($child, 'relations', [
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
        ])->assertOk();
        $this->assertField($child, 'delivery', null, '', '');
        $this->putJson('/api/books/defaults', [
            'side' => 'client',
            'fields' => [['name' => 'delivery', 'value' => 'email'], ['name' => 'discount', 'value' => '2.50']],
        ])->assertOk();
        $this->assertField($child, 'delivery', null, 'email', 'the office');
        $this->terms($parent, ['delivery' => 'portal'])->assertOk();
        $this->assertField($child, 'delivery', null, 'portal', 'Harborlight Holding');
        $this->terms($child, ['delivery' => 'post'])->assertOk();
        $this->assertField($child, 'delivery', 'post', 'post', '');
        $this->terms($child, ['delivery' => null], 1)->assertOk();
        $this->assertField($child, 'delivery', null, 'portal', 'Harborlight Holding');
        $this->assertSame('How invoices reach them: post -> ', $this->changesOf($child)[0]);
        // Payment terms are inherited the same way, and a new document begins with all of it.
        $this->saveSection($parent, 'client-terms', ['listedId' => null, 'shorthand' => 'net 45'], 1)->assertOk();
        $this->getJson("/api/parties/{$child->id}")
            ->assertJsonPath('clientTerms.inForce', 'net 45')
            ->assertJsonPath('clientTerms.source', 'parent')
            ->assertJsonPath('clientTerms.from', 'Harborlight Holding');
        $this->getJson("/api/parties/{$child->id}/document-defaults?kind=invoice")
            ->assertJsonPath('terms', 'net 45')
            ->assertJsonPath('discount', '2.5')
            ->assertJsonPath('treatment', 'exclusive')
            ->assertJsonPath('currency', 'USD');
    }

    public function test_each_field_refuses_what_it_cannot_be(): void
    {
        $party = $this->addCompany('Brass');
        foreach (
            [
                ['treatment', 'both'],
                ['tax-rate', '9'],
                ['accounts', '1,2'],
                ['cost-centres', 'x'],
                ['discount', '101'],
                ['currency', 'ZZZ'],
                ['delivery', 'pigeon'],
                ['limit', 'lots'],
                ['credit-policy', 'shout'],
            ] as [$name, $value]
        ) {
            $this->terms($party, [$name => $value])
                ->assertUnprocessable()
                ->assertJsonPath('errors.0.field', "fields.$name");
        }
        foreach (range(1, 4) as $n) {
            LedgerAccount::query()->create(['code' => "40$n", 'name' => "A$n", 'kind' => 'income']);
        }
        $this->terms($party, ['accounts' => '1,2,3,4'])->assertUnprocessable()->assertJsonPath('errors.0.message', 'Choose at most 3.');
        $this->terms($party, ['accounts' => '1,2,3'])->assertOk();
        $this->assertField($party, 'accounts', '1,2,3', '401 A1, 402 A2, 403 A3', '');
        foreach (['Clocks', 'Bells'] as $name) {
            $this->postJson('/api/cost-centres', ['group' => 'Department', 'name' => $name, 'isRetired' => false])->assertCreated();
        }
        $this->terms($party, ['cost-centres' => '1,2'], 1)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'Choose at most one of each group.');
    }

    public function test_a_change_says_what_it_touches_and_lets_what_is_chosen_follow(): void
    {
        $client = $this->addCompany('Penhallow Observatory', ['isClient' => true]);
        $this->saveSection($client, 'addresses', [
            'addresses' => [$this->address(['uses' => ['billing'], 'isPrimary' => true])],
        ])->assertOk();
        $settled = $this->issued($client, 'invoice', '10');
        $this->pay($client, '10', [$settled->id => '10'])->assertCreated();
        [$first, $second] = [$this->issued($client, 'invoice', '20'), $this->issued($client, 'invoice', '30')];
        $draft = $this->postJson("/api/parties/{$client->id}/documents", $this->documentInput('invoice', '40'))->json('row.id');
        $id = $this->getJson("/api/parties/{$client->id}")->json('addresses.addresses.0.id');
        $moved = [
            'version' => 1,
            'addresses' => [$this->address(['id' => $id, 'lines' => '99 Zenith Road', 'uses' => ['billing'], 'isPrimary' => true])],
        ];

        $this->postJson("/api/parties/{$client->id}/touched/addresses", $moved)
            ->assertOk()
            ->assertJsonPath('sentence', '2 open invoices and 1 draft show the old address.')
            ->assertJsonPath('documents.*.what', ['address', 'address', 'address']);
        $this->getJson("/api/parties/{$client->id}")
            ->assertJsonPath('addresses.version', 1)
            ->assertJsonPath('addresses.addresses.0.lines', '14 Meridian Lane');
        $this->putJson("/api/parties/{$client->id}/addresses", $moved)->assertOk();
        $this->postJson("/api/parties/{$client->id}/follow", [
            'documentIds' => [$first->id, $draft, $settled->id],
            'withTerms' => false,
        ])->assertOk();

        $street = fn (int $of) => $this->getJson("/api/documents/$of")->json('copy.address.1');
        $this->assertSame(
            ['14 Meridian Lane', '99 Zenith Road', '14 Meridian Lane', '99 Zenith Road'],
            [$street($settled->id), $street($first->id), $street($second->id), $street($draft)],
        );
        $this->getJson("/api/documents/{$first->id}")
            ->assertJsonPath('events.0.text', 'reissued with the new address')
            ->assertJsonPath('copyNow', null);
        $this->getJson("/api/documents/{$second->id}")->assertJsonPath('copyNow.address.1', '99 Zenith Road');
        $this->getJson("/api/documents/{$settled->id}")->assertJsonPath('copyNow', null);
    }

    public function test_new_terms_move_what_follows_and_leave_what_has_its_own(): void
    {
        $client = $this->addCompany('Penhallow', ['isClient' => true]);
        $follows = $this->issued($client, 'invoice', '10', ['date' => '2026-11-01']);
        $own = $this->issued($client, 'invoice', '10', ['date' => '2026-11-01', 'terms' => 'net 7']);
        $input = ['version' => 0, 'listedId' => null, 'shorthand' => 'net 10'];
        $this->postJson("/api/parties/{$client->id}/touched/client-terms", $input)
            ->assertOk()
            ->assertJsonPath('sentence', '1 open invoice shows the old terms.')
            ->assertJsonPath('documents.0.row.id', $follows->id);
        $this->putJson("/api/parties/{$client->id}/client-terms", $input)->assertOk();
        $this->postJson("/api/parties/{$client->id}/follow", ['documentIds' => [$follows->id], 'withTerms' => true])->assertOk();
        $this->assertSame(
            ['2026-11-11', '2026-11-08'],
            [$follows->refresh()->next_due_on?->toIso(), $own->refresh()->next_due_on?->toIso()],
        );
        $this->getJson("/api/documents/{$follows->id}")->assertJsonPath(
            'events.0.text',
            'reissued with the new terms; due 11 Nov 2026 rather than 1 Dec 2026',
        );
    }

    public function test_a_change_that_touches_nothing_says_nothing(): void
    {
        $client = $this->addCompany('Penhallow', ['isClient' => true]);
        $this->issued($client, 'invoice', '10');
        $input = ['version' => 0, 'name' => 'Penhallow', 'legal' => '', 'isClient' => true, 'isVendor' => true];
        $this->postJson("/api/parties/{$client->id}/touched/identity", $input)
            ->assertOk()
            ->assertJsonPath('sentence', '')
            ->assertJsonPath('documents', []);
        $this->postJson("/api/parties/{$client->id}/touched/identity", ['name' => 'Penhallow Trust'] + $input)
            ->assertOk()
            ->assertJsonPath('documents.0.what', 'name');
        $this->postJson("/api/parties/{$client->id}/touched/identity", ['name' => ''] + $input)->assertUnprocessable();
        $this->postJson("/api/parties/{$client->id}/touched/tax-numbers", [
            'version' => 0,
            'taxNumbers' => [['id' => null, 'kind' => 'VAT', 'country' => 'DE', 'value' => 'DE136695976']],
        ])
            ->assertOk()
            ->assertJsonPath('documents.0.what', 'tax number');
        $this->assertSame('Penhallow', Party::query()->findOrFail($client->id)->display_name);
    }

    public function test_accounts_come_and_go_as_csv(): void
    {
        $this->asAdministrator()
            ->postJson('/api/accounts/file', ['text' => "code;name;kind\n4000;Clocks;income\n5000;\"Brass; metal\";expense"])
            ->assertCreated()
            ->assertJsonPath('accounts.*.code', ['4000', '5000']);
        $this->postJson('/api/accounts/file', ['text' => "code,name,kind\n4000,Clocks & dials,income\n6000,,expense\n7000,X,fun"])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.message', [
                'Line 3: Type a name for it.',
                'Line 4: The kind is income, expense, asset, liability or equity.',
            ]);
        $this->assertSame('Clocks', LedgerAccount::query()->where('code', '4000')->value('name'), 'nothing of it is taken');
        $this->postJson('/api/accounts/file', ['text' => 'just words'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'text');
        $this->assertSame(
            "\xEF\xBB\xBFcode,name,kind\r\n4000,Clocks,income\r\n5000,\"Brass; metal\",expense\r\n",
            $this->get('/api/accounts/file')->assertOk()->getContent(),
        );
        $this->postJson('/api/accounts', ['code' => '4000', 'name' => 'X', 'kind' => 'income', 'isRetired' => false])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', '“4000” is in the list already.');
    }

    public function test_holidays_that_are_read_in_move_due_dates(): void
    {
        $preview = fn () => $this->asAdministrator()
            ->postJson('/api/terms/preview', ['terms' => 'net 10, next business day', 'documentDate' => '2026-11-30'])
            ->json('preview.dueText');
        $this->assertSame('Thu 10 Dec 2026', $preview());
        $this->postJson('/api/holidays', [
            'text' => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20261210\r\nSUMMARY:Founders' day\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
        ])
            ->assertCreated()
            ->assertJsonPath('holidays.0.name', "Founders' day");
        $this->assertSame('Fri 11 Dec 2026', $preview());
        $this->postJson('/api/holidays', ['text' => 'no calendar'])->assertUnprocessable()->assertJsonPath('errors.0.field', 'text');
        $this->deleteJson('/api/holidays')->assertOk();
        $this->assertSame('Thu 10 Dec 2026', $preview());
    }

    public function test_the_office_says_how_it_counts(): void
    {
        $client = $this->addCompany('Penhallow', ['isClient' => true]);
        $invoice = $this->issued($client, 'invoice', '1000', ['date' => '2026-10-01']);
        $this->putJson('/api/books', [
            'ageingBy' => 'document-date',
            'warnAfter' => 60,
            'lateRate' => '9',
            'latePerMonth' => false,
            'keepsUsHolidays' => true,
        ])->assertOk();
        $this->getJson("/api/parties/{$client->id}")
            ->assertJsonPath('standing.sides.0.ageing.2.amount.text', '1,000.00')
            ->assertJsonPath('standing.sides.0.warning', '');
        // 24 days after 31 Oct: 1000 x 9% x 24 / 365.
        $this->getJson("/api/documents/{$invoice->id}")->assertJsonPath('lateInterest.text', '5.92');
        foreach ([['warnAfter' => 0], ['lateRate' => '-1'], ['ageingBy' => 'mood']] as $wrong) {
            $this->putJson(
                '/api/books',
                $wrong + [
                    'ageingBy' => 'due-date',
                    'warnAfter' => 30,
                    'lateRate' => '',
                    'latePerMonth' => false,
                    'keepsUsHolidays' => true,
                ],
            )
                ->assertUnprocessable()
                ->assertJsonPath('errors.0.field', array_key_first($wrong));
        }
    }

    public function test_a_form_has_its_day_its_signer_and_its_file(): void
    {
        $vendor = $this->addCompany('Quill', ['isVendor' => true]);
        $form = [
            'taxNumbers' => [],
            'formOn' => '2026-11-03',
            'formBy' => 'Isolde Quill',
            'formFileId' => null,
            'reportChoice' => 'by-rule',
            'isAttorney' => false,
        ];
        $this->saveSection($vendor, 'tax-numbers', ['formOn' => '2026-12-01'] + $form)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'formOn', 'message' => 'That day is still to come. Check the year.']);
        $this->saveSection($vendor, 'tax-numbers', ['formFileId' => 9] + $form)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'formFileId');
        \Illuminate\Support\Facades\Storage::fake('local');
        $file = $this->post(
            "/api/parties/{$vendor->id}/files",
            ['file' => UploadedFile::fake()->createWithContent('w9.txt', 'signed'), 'kind' => 'form'],
            ['Accept' => 'application/json'],
        )->json('files.0.id');
        $this->saveSection($vendor, 'tax-numbers', ['formFileId' => $file] + $form)
            ->assertOk()
            ->assertJsonPath('taxNumbers.formFileId', $file)
            ->assertJsonPath('taxNumbers.isReportable', true);
        $this->saveSection($vendor, 'tax-numbers', ['reportChoice' => 'never'] + $form, 1)
            ->assertOk()
            ->assertJsonPath('taxNumbers.why', 'Set by hand not to be reported.')
            ->assertJsonPath('standing.taxYear.isReportable', false);
        $this->assertSame(0, Document::query()->count() + TaxRate::query()->count());
    }

    /**
     * @param array<string, string|null> $fields
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function terms(Party $party, array $fields, int $version = 0): TestResponse
    {
        return $this->saveSection(
            $party,
            'client-terms',
            [
                'listedId' => null,
                'shorthand' => null,
                'fields' => array_map(
                    fn (string $name, ?string $value) => ['name' => $name, 'value' => $value],
                    array_keys($fields),
                    $fields,
                ),
            ],
            $version,
        );
    }

    private function assertField(Party $party, string $name, ?string $own, string $text, string $from): void
    {
        $fields = $this->getJson("/api/parties/{$party->id}")->assertOk()->json('clientTerms.fields');
        $field = array_column(is_array($fields) ? $fields : [], null, 'name')[$name] ?? [];
        $this->assertSame([$own, $text, $from], [$field['own'] ?? null, $field['text'] ?? null, $field['from'] ?? null]);
    }
}
