<?php

declare(strict_types=1);

namespace Tests\Attack;

use Almanac\Access\Role;
use Almanac\Access\Totp;
use Almanac\Calendar\Day;
use Almanac\Interchange\ImportState;
use Almanac\Mailing\LettersState;
use App\Console\ImportCommand;
use App\Models\Allocation;
use App\Models\BankDetail;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Import;
use App\Models\ImportSettings;
use App\Models\LedgerAccount;
use App\Models\LetterRun;
use App\Models\Party;
use App\Models\Payment;
use App\Models\Position;
use App\Models\SecondFactor;
use App\Models\TaxRate;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Laravel\Sanctum\PersonalAccessToken;
use Tests\Feature\BeginsEngagements;
use Tests\TestCase;

/** Whatever is decided has one winner, however many decide at once; and a write that is sent five times with one key is done once. */
final class RacesTest extends TestCase
{
    use BeginsEngagements;
    use ServedOffice;

    public function test_every_post_of_the_contract_five_times_with_one_key_is_done_once(): void
    {
        $this->seedOffice();
        foreach ([101 => 'waiting', 102 => 'stopped', 103 => 'done'] as $id => $state) {
            DB::table('bulk_changes')->insert([
                'id' => $id, 'user_id' => $this->administrator->id, 'kind' => 'restore', 'title' => 'Restore', 'chosen' => 0,
                'state' => $state,
                'input' => '{"kind": "restore", "values": []}',
            ]);
        }
        foreach ([[201, 1, 2, 'open'], [202, 1, 3, 'open'], [203, 2, 3, 'different']] as [$id, $first, $second, $state]) {
            DB::table('look_alike_pairs')->insert([
                'id' => $id, 'first_id' => $first, 'second_id' => $second, 'verdict' => 'perhaps', 'score' => 1.0,
                'signs' => '[]', 'reasons' => 0, 'state' => $state,
            ]);
        }
        DB::table('look_alike_scans')->insert(['id' => 301, 'state' => 'running']);
        $this->sharePhone();
        $covered = [];
        foreach ($this->posts() as [$pattern, $path, $input]) {
            $covered[] = $pattern;
            $key = bin2hex(random_bytes(8));
            $acts = DB::table('acts')->where('user_id', $this->administrator->id)->count();
            $answers = $this->atOnce(array_fill(0, 5, ['POST', $path, $input, $key]));
            $said = "$path: ".substr($answers[0][1], 0, 400);
            $this->assertContains($answers[0][0], [200, 201, 204], $said);
            $this->assertCount(
                1,
                array_unique(array_column($answers, 1)),
                "$path answers alike, but: ".json_encode($answers, JSON_INVALID_UTF8_SUBSTITUTE),
            );
            $this->assertSame(1, count(array_filter($answers, fn (array $answer) => ! $answer[2])), "$path was done once");
            if ($path !== '/api/tokens') {
                $this->assertGreaterThan(
                    $acts,
                    DB::table('acts')->where('user_id', $this->administrator->id)->count(),
                    "$path says who did it",
                );
            }
        }
        $contract = json_decode((string) file_get_contents(base_path('docs/openapi.json')), true);
        $posts = array_keys(array_filter((array) $contract['paths'], fn (array $operations) => isset($operations['post'])));
        // They keep nothing, or open a session, or take a file; the last is raced below.
        $apart = [
            '/api/session',
            '/api/session/code',
            '/api/session/proof',
            '/api/setup',
            // They need a second factor; a code is raced below.
            '/api/second-factor',
            '/api/second-factor/recovery-codes',
            '/api/look-alikes',
            '/api/bulk-changes/preview',
            '/api/merges/preview',
            '/api/letters/to',
            '/api/letters/preview',
            // They ask a server elsewhere first.
            '/api/imports/elsewhere',
            '/api/office/mail-server/try',
            '/api/terms/preview',
            '/api/parties/{id}/document-preview',
            '/api/parties/{id}/payment-preview',
            '/api/parties/{id}/files',
            '/api/engagements/{engagement}/files',
            '/api/office/logo',
            '/api/imports',
            '/api/imports/{import}/take',
        ];
        $touched = array_filter($posts, fn (string $path) => str_contains($path, '/touched/'));
        $this->assertSame([], array_values(array_diff($posts, $covered, $apart, $touched)), 'every one was sent');
    }

    public function test_of_several_who_enter_one_code_one_gets_in(): void
    {
        $totp = Totp::withNewSecret();
        SecondFactor::query()->create(['user_id' => $this->administrator->id, 'secret' => $totp->secret(), 'confirmed_at' => now()]);
        $input = ['email' => $this->administrator->email, 'password' => self::PASSWORD, 'name' => 'nightly', 'code' => $totp->codeAt(time())];
        $answers = $this->atOnce(array_map(fn () => ['POST', '/api/tokens', $input, bin2hex(random_bytes(8))], range(1, 12)));
        $this->assertSame(1, array_count_values(array_column($answers, 0))[201] ?? 0);
        $this->assertSame(2, PersonalAccessToken::query()->count(), 'that of the test, and one');
    }

    public function test_two_who_settle_one_pair_or_name_one_line_leave_one_winner(): void
    {
        $this->seedOffice();
        DB::table('look_alike_pairs')->insert([
            'id' => 201, 'first_id' => 1, 'second_id' => 2, 'verdict' => 'perhaps', 'score' => 1.0, 'signs' => '[]',
            'reasons' => 0, 'state' => 'open',
        ]);
        $both = fn (string $path, array $input) => array_count_values(array_column(
            $this->atOnce(array_map(fn () => ['POST', $path, $input, bin2hex(random_bytes(8))], range(1, 8))),
            0,
        ));
        $this->assertSame([204 => 1, 422 => 7], $this->sorted($both('/api/look-alikes/different', ['pairIds' => [201], 'why' => ''])));
        $this->assertSame(1, DB::table('look_alike_pairs')->where('state', 'different')->count());
        $this->sharePhone();
        $line = ['kind' => 'phone', 'value' => '+18025550199', 'name' => 'Front desk'];
        $this->assertSame([201 => 1, 422 => 7], $this->sorted($both('/api/shared-lines', $line)));
    }

    public function test_of_several_who_make_two_one_or_take_them_apart_one_does(): void
    {
        $this->seedOffice();
        $both = fn (string $path, array $input) => $this->sorted(array_count_values(array_column(
            $this->atOnce(array_map(fn () => ['POST', $path, $input, bin2hex(random_bytes(8))], range(1, 8))),
            0,
        )));
        $input = $this->twice('Ida');
        $this->assertSame([201 => 1, 422 => 7], $both('/api/merges', $input));
        $this->assertSame([1, 1], [DB::table('merges')->count(), DB::table('former_records')->count()]);
        $seen = $this->asAdministrator()->getJson('/api/merges/1/apart')->assertOk()->json('seen');
        $this->assertSame([200 => 1, 422 => 7], $both('/api/merges/1/apart', ['seen' => $seen, 'belongs' => [], 'has' => []]));
        $this->assertSame(0, DB::table('former_records')->count());
        $this->assertSame(2, DB::table('parties')->whereIn('id', $input['partyIds'])->count());
        $this->assertSame([201 => 1, 422 => 7], $both('/api/merges/propose', $this->twice('Una')));
    }

    public function test_of_several_who_keep_one_template_or_go_on_with_one_letter_one_does(): void
    {
        $this->seedOffice();
        $posts = array_column($this->letterPosts(), null, 0);
        $both = fn (string $of, array $input = []) => $this->sorted(array_count_values(array_column(
            $this->atOnce(array_map(fn () => ['POST', $posts[$of][1], $input + $posts[$of][2], bin2hex(random_bytes(8))], range(1, 8))),
            0,
        )));
        $this->assertSame([201 => 1, 422 => 7], $both('/api/letter-templates'));
        $this->assertSame(1, DB::table('letter_templates')->count());
        $this->assertSame([200 => 1, 422 => 7], $both('/api/letters/{run}/go-on'));
        $server = [
            'host' => 'mail.example', 'port' => 465, 'security' => 'tls', 'userName' => '', 'password' => null,
            'sender' => '', 'version' => 0,
        ];
        $saved = $this->atOnce(array_map(fn () => ['PUT', '/api/office/mail-server', $server, bin2hex(random_bytes(8))], range(1, 8)));
        $this->assertSame([200 => 1, 409 => 7], $this->sorted(array_count_values(array_column($saved, 0))));
        $this->assertSame(1, DB::table('mail_servers')->count());
    }

    /**
     * Somebody who is in the book twice, as somebody asks for it who has just looked.
     *
     * @return array{partyIds: list<int>, ...}
     */
    private function twice(string $given): array
    {
        $ids = [$this->asAdministrator()->addPerson($given, 'Quill')->id, $this->addPerson(substr($given, 0, 1).'.', 'Quill')->id];
        $input = [
            'partyIds' => $ids, 'keptId' => $ids[0], 'chosen' => [], 'lines' => [], 'withArchived' => false,
            'seen' => '', 'why' => '',
        ];
        $seen = $this->postJson('/api/merges/preview', $input)->assertOk()->json('seen');

        return ['seen' => $seen] + $input;
    }

    /** @return list<array{string, string, array<string, mixed>}> */
    private function mergePosts(): array
    {
        $id = $this->postJson('/api/merges', $this->twice('Ivo'))->assertCreated()->json('id');
        $seen = $this->getJson("/api/merges/$id/apart")->assertOk()->json('seen');

        return [
            ['/api/merges', '/api/merges', $this->twice('Ida')],
            ['/api/merges/propose', '/api/merges/propose', $this->twice('Una')],
            ['/api/merges/{merge}/apart', "/api/merges/$id/apart", ['seen' => $seen, 'belongs' => [], 'has' => []]],
        ];
    }

    /** @return list<array{string, string, array<string, mixed>}> */
    private function importPosts(): array
    {
        $of = fn (ImportState $state): int => Import::query()->create([
            'name' => 'people.csv', 'path' => 'imports/none', 'of' => Import::RECORDS, 'state' => $state, 'settings' => new ImportSettings,
            'user_id' => $this->administrator->id, 'lines' => 1, 'last_change_id' => 1,
        ])->id;
        [$checked, $taking, $taken] = array_map($of, [ImportState::Checked, ImportState::Taking, ImportState::Taken]);

        return [
            ['/api/imports/{import}/decide', "/api/imports/$checked/decide", ['outcome' => 'doubtful', 'decision' => 'out']],
            ['/api/imports/{import}/stop', "/api/imports/$taking/stop", []],
            ['/api/imports/{import}/take-back', "/api/imports/$taken/take-back", []],
        ];
    }

    /** @return list<array{string, string, array<string, mixed>}> */
    private function letterPosts(): array
    {
        $letter = [
            'chosen' => ['isAll' => false, 'filter' => '', 'withArchived' => false, 'ids' => [1]], 'way' => 'paper',
            'isOnceAHousehold' => false,
            'subject' => 'News', 'body' => 'News.', 'day' => '', 'engagementId' => null,
        ];
        $of = fn (LettersState $state): int => LetterRun::query()->create([
            'user_id' => $this->administrator->id, 'subject' => 'News', 'body' => 'News.', 'way' => 'paper', 'is_once_a_household' => false,
            'dated_on' => Day::of(2026, 11, 24), 'state' => $state,
        ])->id;

        return [
            ['/api/letter-templates', '/api/letter-templates', ['name' => 'News', 'subject' => '', 'body' => '{greeting}', 'version' => 0]],
            ['/api/letters', '/api/letters', $letter],
            ['/api/letters/{run}/stop', "/api/letters/{$of(LettersState::Waiting)}/stop", []],
            ['/api/letters/{run}/go-on', "/api/letters/{$of(LettersState::Stopped)}/go-on", []],
        ];
    }

    private function sharePhone(): void
    {
        foreach ([1, 2] as $id) {
            DB::table('contact_points')->insert([
                'party_id' => $id, 'kind' => 'phone', 'typed' => 'x', 'value' => '+18025550199', 'uses' => '[]', 'is_primary' => false,
                'is_unusual' => false, 'rank' => 9,
            ]);
        }
    }

    /**
     * @param array<int, int> $counts
     *
     * @return array<int, int>
     */
    private function sorted(array $counts): array
    {
        ksort($counts);

        return $counts;
    }

    public function test_money_is_used_and_taken_back_once(): void
    {
        $client = $this->addCompany('Penhallow', ['isClient' => true]);
        $invoice = $this->issued($client, 'invoice', '100');
        $this->pay($client, '60', [$invoice->id => '60'])->assertCreated();
        $allocation = Allocation::query()->sole();
        $this->assertSame(
            [200 => 1],
            array_intersect_key($this->race(20, 'DELETE', "/api/allocations/{$allocation->id}"), [200 => 0, 500 => 0]),
        );
        $this->assertSame([6000, 10000], [Payment::query()->sole()->unallocated_minor, $invoice->refresh()->open_minor]);
        $payment = Payment::query()->sole();
        $uses = ['allocations' => [['documentId' => $invoice->id, 'amount' => '60', 'discount' => '']]];
        $this->assertSame([200 => 1, 422 => 9], $this->race(10, 'POST', "/api/payments/{$payment->id}/allocations", $uses));
        $this->assertSame(
            [200 => 1, 422 => 9],
            $this->race(10, 'DELETE', "/api/payments/{$payment->id}", ['reason' => 'returned', 'amount' => '']),
        );
        $this->assertSame(10000, $invoice->refresh()->open_minor);
    }

    public function test_a_draft_is_issued_once_and_an_order_billed_as_far_as_it_goes(): void
    {
        $client = $this->addCompany('Penhallow', ['isClient' => true]);
        $this->postJson("/api/parties/{$client->id}/documents", $this->documentInput('invoice', '5'))->assertCreated();
        $draft = Document::query()->sole();
        $this->assertSame(
            [200 => 1, 422 => 9],
            $this->race(10, 'POST', "/api/documents/{$draft->id}/issue", ['isConfirmed' => true, 'version' => $draft->version]),
        );
        $order = $this->issued($client, 'order', '100');
        $this->assertSame(
            [201 => 1, 422 => 9],
            $this->race(10, 'POST', "/api/documents/{$order->id}/next", ['kind' => 'invoice', 'isConfirmed' => false]),
        );
        $this->assertSame(
            [200 => 1, 422 => 9],
            $this->race(10, 'DELETE', "/api/documents/{$order->id}", ['reason' => 'mistaken', 'amount' => '']),
        );
        // Twenty different drafts at once: numbers without a gap.
        $drafts = array_map(
            fn () => $this->postJson("/api/parties/{$client->id}/documents", $this->documentInput('quote', '5'))->json('row.id'),
            range(1, 20),
        );
        $answers = $this->atOnce(
            array_map(fn ($id): array => ['POST', "/api/documents/$id/issue", ['isConfirmed' => true, 'version' => 1]], $drafts),
        );
        $this->assertSame([200 => 20], array_count_values(array_column($answers, 0)));
        $numbers = Document::query()->where('kind', 'quote')->orderBy('number')->pluck('number')->all();
        $this->assertSame(array_map(fn (int $n) => sprintf('Q2026-%04d', $n), range(1, 20)), $numbers);
    }

    public function test_one_follows_and_one_confirms(): void
    {
        $company = $this->addCompany('Brass', ['isVendor' => true]);
        $this->addPerson('Silas', 'Wren', ['companyId' => $company->id]);
        $position = Position::query()->sole();
        $followers = array_map(fn (int $n) => $this->addPerson('Ada', "Finch $n")->id, range(1, 10));
        $answers = $this->atOnce(
            array_map(
                fn (int $id): array => [
                    'POST',
                    "/api/positions/{$position->id}/replace",
                    ['successorId' => $id, 'since' => '', 'contactPointIds' => []],
                ],
                $followers,
            ),
        );
        $this->assertSame(1, count(array_filter($answers, fn (array $answer) => $answer[0] === 200)));
        $this->assertSame(2, Position::query()->count());

        $this->actingAs($this->user(Role::Clerk))
            ->postJson("/api/parties/{$company->id}/bank-details", [
                'kind' => 'iban',
                'iban' => 'DE89370400440532013000',
                'bic' => '',
                'routing' => '',
                'sortCode' => '',
                'account' => '',
                'use' => 'checking',
                'holder' => '',
                'bankName' => '',
            ])
            ->assertCreated();
        $detail = BankDetail::query()->sole();
        $this->assertSame(
            [200 => 1, 422 => 9],
            $this->race(10, 'POST', "/api/parties/{$company->id}/bank-details/{$detail->id}/confirm", ['how' => 'in-person']),
        );
    }

    public function test_a_save_is_taken_back_once(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'reach', ['contactPoints' => [$this->contact('email', 'a@b.example')]])->assertOk();
        $this->saveSection($company, 'reach', ['contactPoints' => []], 1)->assertOk();
        $this->assertSame(
            [200 => 1, 409 => 9],
            $this->race(10, 'POST', "/api/parties/{$company->id}/sections/reach/undo", ['version' => 2]),
        );
        $this->assertSame('a@b.example', $company->contactPoints()->sole()->value);
    }

    public function test_what_must_never_be_twice_is_not(): void
    {
        $this->asAdministrator();
        $this->race(10, 'POST', '/api/accounts', ['code' => '4711', 'name' => 'Water', 'kind' => 'expense', 'isRetired' => false]);
        $this->race(10, 'POST', '/api/tax-rates', [
            'name' => 'VAT',
            'percent' => '20',
            'side' => 'client',
            'since' => '',
            'until' => '',
            'isRetired' => false,
        ]);
        $party = $this->addCompany('Brass', ['isVendor' => true]);
        $this->race(10, 'POST', "/api/parties/{$party->id}/opening", [
            'side' => 'client',
            'amount' => '5',
            'currency' => 'USD',
            'asOf' => '2026-08-01',
        ]);
        $this->race(10, 'POST', "/api/parties/{$party->id}/documents", $this->documentInput('bill', '5', ['number' => 'B-1']));
        $this->race(10, 'POST', '/api/users', [
            'name' => 'N',
            'email' => 'n@b.example',
            'role' => 'clerk',
            'password' => 'long-enough-word-1',
        ]);
        $this->assertSame(
            [1, 1, 1, 1, 1],
            [
                LedgerAccount::query()->where('code', '4711')->count(),
                TaxRate::query()->where('name', 'VAT')->count(),
                Document::query()->where('kind', 'opening-receivable')->count(),
                Document::query()->where('number', 'B-1')->count(),
                DB::table('users')->where('email', 'n@b.example')->count(),
            ],
        );
    }

    public function test_sheets_saved_at_once_answer_as_they_are_kept(): void
    {
        $this->asAdministrator();
        $id = $this->postJson('/api/sheets', ['name' => 'Own', 'partyKind' => null, 'type' => '', 'isRetired' => false, 'fields' => []])
            ->assertCreated()
            ->json('0.id');
        $field = fn (string $name) => [
            'id' => null,
            'name' => $name,
            'kind' => 'text',
            'options' => [],
            'help' => '',
            'requiredFor' => null,
            'isRetired' => false,
        ];
        $answers = $this->atOnce(
            array_map(
                fn (int $n): array => [
                    'PUT',
                    "/api/sheets/$id",
                    ['name' => "Own $n", 'partyKind' => null, 'type' => '', 'isRetired' => false, 'fields' => [$field("Field $n")]],
                ],
                range(1, 10),
            ),
        );
        $this->assertNotContains(500, array_column($answers, 0));
        foreach (
            $this->atOnce(
                array_map(
                    fn (int $n): array => ['PUT', '/api/parties/'.$this->partyId().'/details', ['version' => 0, 'values' => []]],
                    range(1, 10),
                ),
            ) as [$status]
        ) {
            $this->assertContains($status, [200, 409]);
        }
    }

    public function test_the_same_file_taken_twice_at_once_is_taken_once(): void
    {
        Queue::fake();
        $this->addCompany('Brass', ['isVendor' => true]);
        $csv = "kind,number,party,date,amount\n".implode('', array_map(fn (int $n) => "bill,B$n,Brass,2026-11-01,5\n", range(1, 30)));
        $imports = [];
        foreach ([1, 2] as $time) {
            $imports[] = $id = $this->post(
                '/api/imports',
                ['file' => UploadedFile::fake()->createWithContent("$time.csv", $csv)],
                ['Accept' => 'application/json'],
            )
                ->assertCreated()
                ->json('id');
            Artisan::call(ImportCommand::class, ['import' => $id]);
            $this->postJson("/api/imports/$id/take")
                ->assertOk()
                ->assertJsonPath('state', 'taking');
        }
        $environment =
            ['DB_DATABASE' => $this->database, 'LARAVEL_STORAGE_PATH' => storage_path(), 'ALMANAC_TODAY' => '2026-11-24'] + getenv();
        $processes = array_map(
            fn ($id) => proc_open(
                [PHP_BINARY, 'artisan', 'almanac:import', (string) $id],
                [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
                $pipes,
                base_path(),
                $environment,
            ),
            $imports,
        );
        array_map(fn ($process) => is_resource($process) ? proc_close($process) : 1, $processes);
        $this->assertSame(30, Document::query()->count());
        $this->assertSame(['taken', 'taken'], DB::table('imports')->pluck('state')->all());
        $done = fn (string $what): int => DB::table('import_lines')->where('done', $what)->count();
        $this->assertSame([30, 30], [$done('added'), $done('refused')]);
        $this->assertSame(30, Document::query()->withoutGlobalScopes()->count());
        $this->assertSame(15000, (int) DB::table('balances')->sum('payable_minor'));
    }

    public function test_the_same_people_taken_from_two_files_at_once_are_in_the_book_once(): void
    {
        Queue::fake();
        $file = "First,Last,Company,Email\n".implode(
            '',
            array_map(fn (int $n) => "Given$n,Family$n,Firm ".($n % 5).",n$n@people.example\n", range(1, 60)),
        );
        $processes = $imports = [];
        $this->asAdministrator();
        foreach ([1, 2] as $time) {
            $id = $this->post(
                '/api/imports',
                ['file' => UploadedFile::fake()->createWithContent("$time.csv", $file)],
                ['Accept' => 'application/json'],
            )
                ->assertCreated()->json('id');
            $imports[] = $import = Import::query()->whereKey($id)->firstOrFail();
            Artisan::call(ImportCommand::class, ['import' => $id]);
            $import->refresh()->update(['state' => ImportState::Checking]);
            Artisan::call(ImportCommand::class, ['import' => $id]);
        }
        foreach ($imports as $import) {
            $this->assertSame(60, $import->importLines()->where('outcome', 'new')->count());
            $this->postJson("/api/imports/$import->id/take")->assertOk()->assertJsonPath('state', 'taking');
            $processes[] = proc_open(
                [PHP_BINARY, 'artisan', 'almanac:import', (string) $import->id],
                [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
                $pipes,
                base_path(),
                ['DB_DATABASE' => $this->database, 'LARAVEL_STORAGE_PATH' => storage_path(), 'ALMANAC_TODAY' => '2026-11-24'] + getenv(),
            );
        }
        array_map(fn ($process) => is_resource($process) ? proc_close($process) : 1, $processes);
        $this->assertSame(
            [60, 5],
            [DB::table('parties')->where('kind', 'person')->count(), DB::table('parties')->where('kind', 'company')->count()],
        );
        $this->assertSame(
            [60, 60],
            [DB::table('import_lines')->where('done', 'added')->count(), DB::table('import_lines')->where('done', 'refused')->count()],
        );
        $this->assertSame(60, DB::table('positions')->count());
    }

    public function test_a_content_that_two_records_have_outlives_one_of_them(): void
    {
        $parties = [$this->addCompany('One'), $this->addCompany('Two')];
        for ($round = 0; $round < 5; $round++) {
            $upload = fn (Party $party) => $this->post(
                "/api/parties/{$party->id}/files",
                ['file' => UploadedFile::fake()->createWithContent('a.txt', "Ring twice, round $round."), 'kind' => 'photo'],
                ['Accept' => 'application/json'],
            )->assertCreated();
            $first = $upload($parties[0])->json('files.0.id');
            // One is deleted by another process while the other record gets the same content.
            $pid = pcntl_fork();
            if ($pid === 0) {
                $this->atOnce([['DELETE', "/api/files/$first"]]);
                posix_kill((int) getmypid(), SIGKILL);
            }
            $second = $upload($parties[1])->json('files.0.id');
            pcntl_waitpid($pid, $status);
            [[$code, $content]] = $this->atOnce([['GET', "/api/files/$second"]]);
            $this->assertSame([200, "Ring twice, round $round."], [$code, $content]);
        }
    }

    private function partyId(): int
    {
        return Party::query()->first()->id ?? $this->addCompany('Brass')->id;
    }

    private function seedOffice(): void
    {
        $company = $this->addCompany('Brass', ['isClient' => true, 'isVendor' => true]);
        $this->addPerson('Silas', 'Wren', ['companyId' => $company->id]);
        $this->addPerson('Ada', 'Finch');
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->saveSection($company, 'tax-numbers', [
            'taxNumbers' => [['id' => null, 'kind' => 'EIN', 'country' => '', 'value' => '91-1144442']],
        ])->assertOk();
        $this->postJson('/api/parties/1/reminders', [
            'text' => 'T',
            'day' => '',
            'time' => '',
            'rule' => '',
            'userId' => 1,
        ])->assertCreated();
        foreach (['quote', 'invoice', 'credit-note', 'invoice'] as $kind) {
            $this->issued($company, $kind, '100', $kind === 'credit-note' ? ['terms' => ''] : []);
        }
        $this->postJson('/api/parties/1/documents', $this->documentInput('invoice', '5'))->assertCreated();
        $this->pay($company, '500')->assertCreated();
        $this->actingAs($this->user(Role::Clerk))
            ->postJson('/api/parties/1/bank-details', [
                'kind' => 'iban',
                'iban' => 'DE89370400440532013000',
                'bic' => '',
                'routing' => '',
                'sortCode' => '',
                'account' => '',
                'use' => 'checking',
                'holder' => '',
                'bankName' => '',
            ])
            ->assertCreated();
        $this->asAdministrator();
        $this->saveSection($company, 'reach', [
            'contactPoints' => [$this->contact('email', 'a@b.example', ['uses' => ['invoices']])],
        ])->assertOk();
    }

    public function test_a_case_is_moved_on_once_and_somebody_follows_in_a_role_once(): void
    {
        $people = array_map(fn (int $n) => $this->addPerson('Ada', "Finch $n"), range(1, 11));
        $case = $this->begin('case', 'Reported', 'Flood', ['parties' => [$this->inRole($people[0], $this->roleId('case', 'adjuster'))]]);
        $path = "/api/engagements/{$case->id}";
        $move = ['fromId' => $case->stage_id, 'on' => '', 'reason' => 'x', 'isSure' => false];
        $answers = $this->atOnce(array_map(
            fn (int $n): array => [
                'POST',
                "$path/moves",
                $move + ['stageId' => $this->stageId('case', $n % 2 === 0 ? 'Under review' : 'Declined')],
            ],
            range(1, 10),
        ));
        $this->assertSame([200 => 1, 422 => 9], $this->counted($answers));
        $row = $case->parties()->sole()->id;
        $answers = $this->atOnce(array_map(
            fn (int $n): array => ['POST', "$path/parties/$row/replace", ['partyId' => $people[$n]->id, 'from' => '']],
            range(1, 10),
        ));
        $this->assertSame([200 => 1, 422 => 9], $this->counted($answers));
        $ada = $people[1];
        $this->saveSection($ada, 'reach', ['contactPoints' => [$this->contact('email', 'ada@finch.example')]])->assertOk();
        $invited = $this->meeting(['partyIds' => [$ada->id], 'isInvited' => true]);
        $meeting = $this->postJson("$path/meetings", $invited)->assertCreated()->json('id');
        $this->assertSame(
            [200 => 1, 409 => 19],
            $this->race(20, 'PUT', "/api/meetings/$meeting", ['time' => '16'] + $invited),
            'moved once',
        );
        $this->assertSame(2, DB::table('messages')->count(), 'and told once');
        $begun = [
            'kindId' => $case->kind_id, 'stageId' => $this->stageId('case', 'Reported'), 'begunOn' => '', 'parties' => [],
        ] + $this->headed('Twenty');
        $this->assertSame([201 => 20], $this->race(20, 'POST', '/api/engagements', $begun));
        $numbers = Engagement::query()->orderBy('number')->pluck('number')->all();
        $this->assertSame(array_map(fn (int $n) => sprintf('CA2026-%03d', $n), range(1, 21)), $numbers, 'without a gap');
    }

    /**
     * @param list<array{int, string, bool}> $answers
     *
     * @return array<int, int> how many there were of each status
     */
    private function counted(array $answers): array
    {
        $statuses = array_count_values(array_column($answers, 0));
        ksort($statuses);

        return $statuses;
    }

    /** @return list<array{string, string, array<string, mixed>}> */
    private function engagementPosts(): array
    {
        $kind = $this->kind('case');
        $case = $this->begin('case', 'Reported', 'Flood', ['parties' => [
            $this->inRole(Party::query()->findOrFail(3), $this->roleId('case', 'adjuster'), ['share' => '100']),
        ]]);
        $this->putJson("/api/engagements/{$case->id}/head", ['version' => 0] + $this->headed('Flood in the cellar'))->assertOk();
        $this->postJson('/api/sheets', [
            'name' => 'Keys', 'partyKind' => null, 'type' => '', 'engagementKindId' => $case->kind_id, 'isRetired' => false,
            'fields' => [[
                'id' => null, 'name' => 'Alarm', 'kind' => 'secret', 'options' => [], 'help' => '',
                'requiredFor' => null, 'isRetired' => false,
            ]],
        ])->assertCreated();
        $field = (int) DB::table('detail_fields')->where('name', 'Alarm')->value('id');
        $this->putJson("/api/engagements/{$case->id}/details", ['version' => 0, 'values' => [['fieldId' => $field, 'value' => '4815']]])
            ->assertOk();
        // What they were before their first save, they were weeks ago.
        DB::table('section_states')->where('version', 0)->update(['at' => '2026-11-01 12:00:00']);
        DB::table('engagements')->update(['created_at' => '2026-11-01 12:00:00']);
        DB::table('parties')->update(['created_at' => '2026-11-01 12:00:00']);
        $path = '/api/engagements/{engagement}';
        $stages = [
            ['id' => null, 'name' => 'Going on', 'meaning' => 'open', 'mostDays' => null, 'isRetired' => false],
            ['id' => null, 'name' => 'Over', 'meaning' => 'closed', 'mostDays' => 5, 'isRetired' => false],
        ];

        return [
            [
                '/api/engagement-kinds',
                '/api/engagement-kinds',
                ['name' => 'job', 'plural' => 'jobs', 'sign' => 'JB', 'isRetired' => false, 'stages' => $stages, 'roles' => []],
            ],
            [
                '/api/conflict-searches',
                '/api/conflict-searches',
                ['engagementId' => $case->id, 'names' => [['name' => 'Brass', 'role' => 'insured']]],
            ],
            [
                '/api/engagements',
                '/api/engagements',
                ['kindId' => $kind->id, 'stageId' => $case->stage_id, 'begunOn' => '', 'parties' => []] + $this->headed('New'),
            ],
            [
                "$path/sections/{section}/bring-back",
                "/api/engagements/{$case->id}/sections/engagement/bring-back",
                ['day' => '2 Nov 2026', 'version' => 1],
            ],
            ["$path/sections/{section}/undo", "/api/engagements/{$case->id}/sections/engagement/undo", ['version' => 2]],
            ["$path/reveal", "/api/engagements/{$case->id}/reveal", ['fieldId' => $field, 'taxNumberId' => null]],
            ['/api/parties/{id}/meetings', '/api/parties/1/meetings', $this->meeting()],
            ["$path/meetings", "/api/engagements/{$case->id}/meetings", $this->meeting()],
            ['/api/meetings/{meeting}/call-off', '/api/meetings/1/call-off', ['version' => 0]],
            ["$path/shared-invoice", "/api/engagements/{$case->id}/shared-invoice", $this->documentInput('invoice', '100.01')],
            [
                "$path/reminders",
                "/api/engagements/{$case->id}/reminders",
                ['text' => 'T', 'day' => '', 'time' => '', 'rule' => '', 'userId' => 1],
            ],
            [
                "$path/entries",
                "/api/engagements/{$case->id}/entries",
                ['kind' => 'note', 'day' => '', 'withPartyId' => null, 'text' => 'N', 'isPinned' => false],
            ],
            [
                "$path/moves",
                "/api/engagements/{$case->id}/moves",
                [
                    'fromId' => $case->stage_id, 'stageId' => $this->stageId('case', 'Under review'), 'on' => '',
                    'reason' => '', 'isSure' => false,
                ],
            ],
            [
                "$path/parties/{inRole}/replace",
                "/api/engagements/{$case->id}/parties/{$case->parties()->sole()->id}/replace",
                ['partyId' => 1, 'from' => ''],
            ],
        ];
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private function meeting(array $more = []): array
    {
        return $more + [
            'title' => 'The dial', 'day' => 'today', 'time' => '14', 'minutes' => 60, 'place' => '', 'agenda' => '', 'partyIds' => [],
            'userIds' => [], 'documentId' => null, 'isInvited' => false, 'version' => 0,
        ];
    }

    /** @return list<array{string, string, array<string, mixed>}> path of the contract, path, input */
    private function posts(): array
    {
        $use = ['allocations' => [['documentId' => 2, 'amount' => '1', 'discount' => '']]];
        $account = [
            'kind' => 'us',
            'iban' => '',
            'bic' => '',
            'routing' => '021000021',
            'sortCode' => '',
            'account' => '123456',
            'use' => 'checking',
            'holder' => '',
            'bankName' => '',
        ];

        return [
            ['/api/look-alikes/different', '/api/look-alikes/different', ['pairIds' => [201], 'why' => 'two']],
            ['/api/look-alikes/later', '/api/look-alikes/later', ['pairIds' => [202]]],
            ['/api/look-alikes/open-again', '/api/look-alikes/open-again', ['pairIds' => [203]]],
            ['/api/shared-lines', '/api/shared-lines', ['kind' => 'phone', 'value' => '+18025550199', 'name' => 'Front desk']],
            ...$this->mergePosts(), ...$this->importPosts(), ...$this->letterPosts(),
            ['/api/tokens', '/api/tokens', ['email' => 'maud@orreryvane.example', 'password' => self::PASSWORD, 'name' => 'N']],
            ['/api/calendar', '/api/calendar', []],
            ...$this->engagementPosts(),
            [
                '/api/users',
                '/api/users',
                ['name' => 'N', 'email' => 'new@b.example', 'role' => 'clerk', 'password' => 'long-enough-word-1'],
            ],
            ['/api/lists/{list}', '/api/lists/types', ['name' => 'New type', 'inverse' => '']],
            [
                '/api/terms',
                '/api/terms',
                ['name' => 'N', 'shorthand' => 'net 9', 'isClientDefault' => false, 'isVendorDefault' => false, 'isRetired' => false],
            ],
            [
                '/api/sheets',
                '/api/sheets',
                [
                    'name' => 'S',
                    'partyKind' => null,
                    'type' => '',
                    'isRetired' => false,
                    'fields' => [
                        [
                            'id' => null,
                            'name' => 'Safe',
                            'kind' => 'secret',
                            'options' => [],
                            'help' => '',
                            'requiredFor' => null,
                            'isRetired' => false,
                        ],
                    ],
                ],
            ],
            [
                '/api/tax-rates',
                '/api/tax-rates',
                ['name' => 'VAT', 'percent' => '20', 'side' => 'client', 'since' => '', 'until' => '', 'isRetired' => false],
            ],
            ['/api/accounts', '/api/accounts', ['code' => '4711', 'name' => 'Water', 'kind' => 'expense', 'isRetired' => false]],
            ['/api/accounts/file', '/api/accounts/file', ['text' => "code,name,kind\n4712,Heat,expense\n"]],
            ['/api/cost-centres', '/api/cost-centres', ['group' => 'Shop', 'name' => 'East', 'isRetired' => false]],
            ['/api/currency-rates', '/api/currency-rates', ['currency' => 'EUR', 'day' => '', 'rate' => '1.1']],
            [
                '/api/holidays',
                '/api/holidays',
                [
                    'text' => "BEGIN:VCALENDAR\nVERSION:2.0\nBEGIN:VEVENT\nUID:1\nDTSTART;VALUE=DATE:20261225\nSUMMARY:Christmas\nEND:VEVENT\nEND:VCALENDAR\n",
                ],
            ],
            ['/api/parties', '/api/parties', ['kind' => 'company', 'name' => 'New', 'isClient' => true, 'isVendor' => false]],
            [
                '/api/parties/{id}/sections/{section}/bring-back',
                '/api/parties/1/sections/reach/bring-back',
                ['day' => '2 Nov 2026', 'version' => 1],
            ],
            ['/api/parties/{id}/sections/{section}/undo', '/api/parties/1/sections/reach/undo', ['version' => 2]],
            [
                '/api/parties/{id}/entries',
                '/api/parties/1/entries',
                ['kind' => 'call', 'day' => '', 'withPartyId' => null, 'text' => 'T', 'isPinned' => true],
            ],
            [
                '/api/parties/{id}/cautions',
                '/api/parties/1/cautions',
                ['level' => 'note', 'use' => 'any', 'text' => 'T', 'since' => '', 'until' => ''],
            ],
            [
                '/api/parties/{id}/reminders',
                '/api/parties/1/reminders',
                ['text' => 'T', 'day' => '', 'time' => '', 'rule' => '', 'userId' => 1],
            ],
            ['/api/reminders/{reminder}/done', '/api/reminders/1/done', ['day' => '2026-11-24']],
            ['/api/positions/{position}/replace', '/api/positions/1/replace', ['successorId' => 3, 'since' => '', 'contactPointIds' => []]],
            [
                '/api/parties/{id}/addresses/{addressUse}/move',
                '/api/parties/1/addresses/1/move',
                [
                    'since' => '+9',
                    'everybody' => false,
                    'country' => 'US',
                    'lines' => '2 Street',
                    'locality' => 'Putney',
                    'region' => 'VT',
                    'postcode' => '05346',
                    'documentIds' => [],
                ],
            ],
            ['/api/parties/{id}/reveal', '/api/parties/1/reveal', ['fieldId' => null, 'taxNumberId' => 1]],
            ['/api/parties/{id}/bank-details', '/api/parties/1/bank-details', $account],
            ['/api/parties/{id}/bank-details/{bankDetail}/confirm', '/api/parties/1/bank-details/1/confirm', ['how' => 'in-person']],
            ['/api/parties/{id}/bank-details/{bankDetail}/reveal', '/api/parties/1/bank-details/1/reveal', []],
            [
                '/api/parties/{id}/cards',
                '/api/parties/1/cards',
                ['number' => '4111111111111111', 'expires' => '04/28', 'holder' => '', 'postcode' => ''],
            ],
            [
                '/api/parties/{id}/opening',
                '/api/parties/2/opening',
                ['side' => 'client', 'amount' => '5', 'currency' => 'USD', 'asOf' => '2026-08-01'],
            ],
            ['/api/parties/{id}/documents', '/api/parties/1/documents', $this->documentInput('invoice', '5')],
            [
                '/api/parties/{id}/payments',
                '/api/parties/1/payments',
                [
                    'side' => 'client', 'day' => '', 'amount' => '5', 'currency' => 'USD', 'payBy' => 'cash',
                    'reference' => '', 'allocations' => [],
                ],
            ],
            [
                '/api/parties/{id}/statement',
                '/api/parties/1/statement',
                ['side' => 'client', 'currency' => 'USD', 'from' => '', 'to' => ''],
            ],
            ['/api/parties/{id}/follow', '/api/parties/1/follow', ['documentIds' => [2], 'withTerms' => false]],
            ['/api/documents/{document}/issue', '/api/documents/5/issue', ['isConfirmed' => true, 'version' => 1]],
            ['/api/documents/{document}/copy', '/api/documents/2/copy', []],
            ['/api/documents/{document}/revise', '/api/documents/1/revise', []],
            ['/api/documents/{document}/next', '/api/documents/1/next', ['kind' => 'order', 'isConfirmed' => false]],
            ['/api/documents/{document}/send', '/api/documents/2/send', ['to' => 'a@b.example', 'text' => '']],
            ['/api/messages/{message}/again', '/api/messages/1/again', []],
            ['/api/documents/{document}/write-off', '/api/documents/4/write-off', ['reason' => 'small', 'amount' => '1']],
            ['/api/documents/{document}/allocations', '/api/documents/3/allocations', $use],
            ['/api/payments/{payment}/allocations', '/api/payments/1/allocations', $use],
            [
                '/api/long-lists/{list}/saved',
                '/api/long-lists/parties/saved',
                ['name' => 'Clients', 'sentence' => 'clients', 'columns' => [], 'sort' => '', 'view' => 'table', 'isShared' => false],
            ],
            ['/api/bulk-changes', '/api/bulk-changes', [
                'chosen' => ['isAll' => false, 'filter' => '', 'withArchived' => false, 'ids' => [1]],
                'change' => ['kind' => 'log-entry', 'values' => ['Once']],
            ]],
            ['/api/look-alikes/scan/{scan}/stop', '/api/look-alikes/scan/301/stop', []],
            ['/api/look-alikes/scan', '/api/look-alikes/scan', []],
            ['/api/office/archive', '/api/office/archive', []],
            ['/api/office/backups', '/api/office/backups', []],
            ['/api/office/failed-tasks/{task}/retry', "/api/office/failed-tasks/{$this->failedTask()}/retry", []],
            ['/api/bulk-changes/{bulkChange}/stop', '/api/bulk-changes/101/stop', []],
            ['/api/bulk-changes/{bulkChange}/go-on', '/api/bulk-changes/102/go-on', []],
            ['/api/bulk-changes/{bulkChange}/take-back', '/api/bulk-changes/103/take-back', []],
        ];
    }

    private function failedTask(): int
    {
        return DB::table('failed_jobs')->insertGetId([
            'uuid' => 'a-task', 'connection' => 'database', 'queue' => 'default', 'payload' => '{}', 'exception' => 'It was too much.',
        ]);
    }
}
