<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use Almanac\Calendar\Day;
use Almanac\Mailing\LettersState;
use App\Models\Import;
use App\Models\Job;
use App\Models\LetterRun;
use App\Models\LetterTemplate;
use App\Models\Office;
use App\Models\Party;
use App\Models\SharedLine;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

final class AccessTest extends TestCase
{
    private const SITE = ['Referer' => 'http://localhost/'];

    /** Routes that change nothing in the book, or only the session of whoever asks. */
    use BeginsEngagements;

    private int $formerId = 1;

    private int $engagementId = 1;

    private int $entryId = 1;

    private const OPEN_TO_READERS = [
        'POST api/session',
        'DELETE api/session',
        'POST api/session/code',
        'POST api/session/proof',
        'POST api/second-factor',
        'PUT api/second-factor',
        'DELETE api/second-factor',
        'POST api/second-factor/recovery-codes',
        'DELETE api/sessions',
        'DELETE api/sessions/{session}',
        'POST api/setup',
        'POST api/tokens',
        'POST api/terms/preview',
        'POST api/look-alikes',
        'POST api/calendar',
        'DELETE api/tokens/{token}',
        'PUT api/password',
        'POST api/parties/{party}/statement',
        'DELETE api/jobs/{job}',
        'POST api/long-lists/{list}/saved',
        'PUT api/saved-lists/{savedList}',
        'DELETE api/saved-lists/{savedList}',
        'PUT api/long-lists/{list}/look',
        'PUT api/parties/{party}/opened',
    ];

    /** What some routes have to be told, so that they have an answer. */
    private const TOLD = [
        'api/names' => '?typed=Wren',
        'api/long-lists/{list}/clause' => '?field=name&operator=has',
        'api/parties/{party}/statement' => '?side=client&currency=USD',
    ];

    private const FOR_ADMINISTRATORS = [
        'GET api/users',
        'GET api/office',
        'GET api/office/logo',
        'GET api/acts',
        'POST api/office/archive',
        'GET api/office/mail-server',
        'GET api/office/backups',
        'GET api/office/failed-tasks',
        'GET api/lists',
        'GET api/sheets',
        'GET api/terms',
    ];

    private const OPEN_TO_NOBODY_SIGNED_IN = [
        'POST api/session/code',
        'GET api/session',
        'POST api/session',
        'POST api/setup',
        'POST api/tokens',
        'GET api/countries',
    ];

    public function test_signing_in_opens_a_new_session(): void
    {
        $this->withHeaders(self::SITE);
        $this->getJson('/api/session')->assertOk()->assertJson(['needsSetup' => false, 'userName' => null, 'officeName' => null]);
        $before = session()->getId();

        $this->signIn()
            ->assertOk()
            ->assertJson([
                'userName' => 'Maud Ferris',
                'role' => 'administrator',
                'mayChangeRecords' => true,
                'officeName' => 'Orrery & Vane',
                'today' => '2026-11-24',
            ]);
        $this->assertNotSame($before, session()->getId(), 'a session id from before is worth nothing');
        $this->getJson('/api/parties')->assertOk();

        $this->deleteJson('/api/session')->assertNoContent();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/session')->assertJson(['userName' => null]);
    }

    public function test_a_wrong_password_says_so_without_saying_which(): void
    {
        $this->withHeaders(self::SITE);
        $wrong = $this->signIn('wrong-password')->assertUnprocessable();
        $unknown = $this->postJson('/api/session', ['email' => 'nobody@orreryvane.example', 'password' => 'x'])->assertUnprocessable();
        $this->assertSame($wrong->json('errors'), $unknown->json('errors'));
        $this->assertSame(
            ['field' => 'password', 'message' => 'The email and the password do not belong together. Check both, then try again.'],
            $wrong->json('errors.0'),
        );
    }

    public function test_after_five_tries_a_minute_it_waits(): void
    {
        $this->withHeaders(self::SITE);
        for ($n = 0; $n < 5; $n++) {
            $this->signIn('wrong-password')->assertUnprocessable();
        }
        $this->signIn()->assertTooManyRequests()->assertHeader('Retry-After')->assertJson(['title' => 'Too many tries']);
        $this->travel(61)->seconds();
        $this->signIn()->assertOk();
    }

    public function test_a_token_lets_a_script_in(): void
    {
        $token = $this->postJson('/api/tokens', [
            'email' => 'maud@orreryvane.example',
            'password' => self::PASSWORD,
            'name' => 'nightly list',
        ])
            ->assertCreated()
            ->json('token');
        $this->withToken($token)->getJson('/api/parties')->assertOk();
        $this->withToken($token)
            ->postJson('/api/parties', ['kind' => 'company', 'name' => 'By script', 'isClient' => true, 'isVendor' => false])
            ->assertCreated();
        $this->app['auth']->forgetGuards();
        $this->withToken('almanac_1|wrong')->getJson('/api/parties')->assertUnauthorized();
    }

    public function test_when_a_token_was_last_used_is_kept_once_an_hour(): void
    {
        $token = $this->administrator->createToken('list')->plainTextToken;
        $this->app['auth']->forgetGuards();
        $use = function () use ($token): ?string {
            $this->app['auth']->forgetGuards();
            $this->withToken($token)->getJson('/api/parties')->assertOk();

            return DB::table('personal_access_tokens')->value('last_used_at');
        };
        $first = $use();
        $this->assertNotNull($first);
        $this->travel(59)->minutes();
        $this->assertSame($first, $use());
        $this->travel(2)->minutes();
        $this->assertGreaterThan($first, $use());
    }

    public function test_the_office_is_set_up_once(): void
    {
        $again = [
            'officeName' => 'Other',
            'country' => 'GB',
            'name' => 'Eve',
            'email' => 'eve@other.example',
            'password' => 'long-enough-1',
        ];
        $this->withHeaders(self::SITE)->postJson('/api/setup', $again)->assertForbidden();
        $this->assertSame(1, Office::query()->count());
    }

    public function test_setting_up_asks_for_what_is_missing(): void
    {
        $this->withHeaders(self::SITE)->postJson('/api/setup', ['country' => 'XX', 'email' => 'no', 'password' => 'short'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['officeName', 'country', 'name', 'email', 'password'])
            ->assertJsonPath('errors.4.message', 'Choose a password of at least 12 characters. Several words are easy to remember.');
    }

    public function test_every_route_wants_to_know_who_asks(): void
    {
        foreach ($this->routes() as $route => [$method, $uri]) {
            $response = $this->json($method, $uri);
            in_array($route, self::OPEN_TO_NOBODY_SIGNED_IN, true)
                ? $this->assertNotSame(401, $response->status(), $route)
                : $response->assertUnauthorized()->assertHeader('Content-Type', 'application/problem+json');
        }
    }

    public function test_a_reader_can_change_nothing_by_any_route(): void
    {
        $company = $this->addCompany('Brass Lantern Foundry');
        $this->assertSame(1, $company->id);
        Storage::fake('local');
        $this->postJson('/api/parties/1/entries', [
            'kind' => 'note',
            'day' => '',
            'withPartyId' => null,
            'text' => 'A note',
            'isPinned' => true,
        ])
            ->assertCreated()
            ->assertJsonPath('pinned.0.id', 1);
        $this->keepBooks($company);
        $this->postJson('/api/parties/1/cautions', ['level' => 'stop', 'use' => 'any', 'text' => 'A stop', 'since' => '', 'until' => ''])
            ->assertCreated()
            ->assertJsonPath('cautions.0.id', 1);
        $this->addCompany('Brass Lantern Foundry Inc.');
        $this->postJson('/api/sheets', ['name' => 'Own', 'partyKind' => null, 'type' => '', 'isRetired' => false, 'fields' => []])
            ->assertCreated()
            ->assertJsonPath('0.id', 1);
        $this->postJson('/api/parties/1/reminders', ['text' => 'T', 'day' => '', 'time' => '', 'rule' => '', 'userId' => 1])
            ->assertCreated()
            ->assertJsonPath('reminders.0.id', 1);
        $this->addPerson('Ada', 'Finch', ['companyId' => 1]);
        $this->engagementId = $this->begin('project', 'At work', 'Clock')->id;
        $this->postJson('/api/conflict-searches', ['engagementId' => null, 'names' => [['name' => 'Brass', 'role' => 'client']]])
            ->assertCreated()->assertJsonPath('id', 1);
        $this->entryId = $this->postJson("/api/engagements/$this->engagementId/entries", [
            'kind' => 'note', 'day' => '', 'withPartyId' => null, 'text' => 'A note', 'isPinned' => true,
        ])->assertCreated()->json('pinned.0.id');
        $this->postJson('/api/parties/1/meetings', [
            'title' => 'The dial', 'day' => 'today', 'time' => '14', 'minutes' => 60, 'place' => '', 'agenda' => '',
            'partyIds' => [], 'userIds' => [],
            'documentId' => null, 'isInvited' => false, 'version' => 0,
        ])->assertCreated()->assertJsonPath('id', 1);
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address()]])
            ->assertOk()
            ->assertJsonPath('addresses.addresses.0.id', 1);
        $this->post(
            '/api/parties/1/files',
            ['file' => UploadedFile::fake()->createWithContent('a.txt', 'Ring twice.'), 'kind' => 'photo'],
            ['Accept' => 'application/json'],
        )
            ->assertCreated()
            ->assertJsonPath('files.0.id', 1);
        $this->postJson('/api/bulk-changes', [
            'chosen' => ['isAll' => false, 'filter' => '', 'withArchived' => false, 'ids' => [1]],
            'change' => ['kind' => 'restore', 'values' => []],
        ])->assertCreated()->assertJsonPath('id', 1);
        $this->postJson('/api/look-alikes/scan')->assertCreated()->assertJsonPath('id', 1);
        $this->makeOne();
        SharedLine::query()->create(['kind' => 'phone', 'value' => '+18025550190', 'name' => 'Front desk', 'user_id' => 1]);
        $this->actingAs($reader = $this->user(Role::Reader));
        // Handed in when they still might.
        Import::query()->update(['user_id' => $reader->id]);
        Storage::put('jobs/1.pdf', '%PDF');
        Job::query()->create([
            'user_id' => $reader->id,
            'party_id' => 1,
            'title' => 'Statement.pdf',
            'input' => ['side' => 'client', 'currency' => 'USD', 'from' => '', 'to' => ''],
            'state' => Job::READY,
            'path' => 'jobs/1.pdf',
        ]);
        LetterTemplate::query()->create(['name' => 'News', 'body' => 'News.', 'user_id' => 1]);
        Storage::put('letters/1.pdf', '%PDF');
        LetterRun::query()->create([
            'user_id' => $reader->id, 'subject' => 'News', 'body' => 'News.', 'way' => 'paper', 'is_once_a_household' => false,
            'dated_on' => Day::of(2026, 11, 24), 'state' => LettersState::Done, 'path' => 'letters/1.pdf',
        ]);
        $checked = 0;
        foreach ($this->routes() as $route => [$method, $uri]) {
            if (in_array($route, self::FOR_ADMINISTRATORS, true)) {
                $this->json($method, $uri)->assertForbidden();
            } elseif ($method === 'GET') {
                $this->getJson($uri)->assertSuccessful();
            } elseif (! in_array($route, self::OPEN_TO_READERS, true)) {
                $this->json($method, $uri)->assertForbidden()->assertJson(['title' => 'You may not do this']);
                $checked++;
            }
        }
        $this->assertGreaterThanOrEqual(15, $checked);
        $this->assertSame(4, Party::query()->count());
    }

    /** Two records that are one. */
    private function makeOne(): void
    {
        $ids = [$this->addPerson('Ida', 'Quill')->id, $this->addPerson('I.', 'Quill')->id];
        $this->formerId = $ids[1];
        $input = [
            'partyIds' => $ids, 'keptId' => $ids[0], 'chosen' => [], 'lines' => [], 'withArchived' => false,
            'seen' => '', 'why' => '',
        ];
        $seen = $this->postJson('/api/merges/preview', $input)->assertOk()->json('seen');
        $this->postJson('/api/merges', ['seen' => $seen] + $input)->assertCreated()->assertJsonPath('id', 1);
    }

    /** One of everything that a route of the books has in its address. */
    private function keepBooks(Party $company): void
    {
        Queue::fake();
        $invoice = $this->issued($company, 'invoice', '10', ['date' => '2026-09-01']);
        $this->pay($company, '5', [$invoice->id => '5'])->assertCreated()->assertJsonPath('row.id', 1);
        $this->postJson("/api/documents/{$invoice->id}/send", ['to' => 'a@b.example', 'text' => ''])->assertOk();
        $this->postJson("/api/parties/{$company->id}/bank-details", [
            'kind' => 'iban',
            'iban' => 'DE89370400440532013000',
            'bic' => '',
            'routing' => '',
            'sortCode' => '',
            'account' => '',
            'use' => 'checking',
            'holder' => '',
            'bankName' => '',
        ])->assertCreated();
        $this->postJson("/api/parties/{$company->id}/cards", [
            'number' => '4111111111111111',
            'expires' => '04/28',
            'holder' => '',
            'postcode' => '',
        ])->assertCreated();
        $this->postJson('/api/tax-rates', [
            'name' => 'Sales',
            'percent' => '6',
            'side' => 'client',
            'since' => '',
            'until' => '',
            'isRetired' => false,
        ])->assertCreated();
        $this->postJson('/api/accounts', ['code' => '1', 'name' => 'A', 'kind' => 'income', 'isRetired' => false])->assertCreated();
        $this->postJson('/api/cost-centres', ['group' => 'G', 'name' => 'N', 'isRetired' => false])->assertCreated();
        $this->postJson('/api/currency-rates', ['currency' => 'EUR', 'day' => '', 'rate' => '1.1'])->assertCreated();
        $this->post(
            '/api/imports',
            ['file' => UploadedFile::fake()->createWithContent('a.csv', 'x')],
            ['Accept' => 'application/json'],
        )->assertCreated();
    }

    public function test_clerks_and_approvers_may_change_records(): void
    {
        foreach ([Role::Clerk, Role::Approver] as $role) {
            $this->actingAs($this->user($role))
                ->postJson('/api/parties', ['kind' => 'company', 'name' => $role->value, 'isClient' => false, 'isVendor' => false])
                ->assertCreated();
        }
    }

    public function test_pages_load_nothing_from_elsewhere(): void
    {
        $policy = (string) $this->withoutVite()->get('/')->assertOk()->headers->get('Content-Security-Policy');
        $this->assertStringContainsString("default-src 'self'", $policy);
        $this->assertStringContainsString("script-src 'self';", $policy);
        $this->assertStringNotContainsString('unsafe', $policy);
        $this->assertStringNotContainsString('http', $policy);
        $this->withoutVite()->get('/records/1')->assertOk()->assertHeader('X-Frame-Options', 'DENY');
    }

    public function test_an_unknown_address_of_the_api_is_a_problem_too(): void
    {
        $this->asAdministrator()->getJson('/api/parties/999')->assertNotFound()
            ->assertHeader('Content-Type', 'application/problem+json')
            ->assertJson(['status' => 404, 'detail' => 'That record is not in the book, or no longer is.']);
        $this->getJson('/api/nothing')->assertNotFound()->assertJson(['status' => 404]);
    }

    /** @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response> */
    private function signIn(string $password = self::PASSWORD): \Illuminate\Testing\TestResponse
    {
        return $this->postJson('/api/session', ['email' => 'Maud@OrreryVane.example', 'password' => $password]);
    }

    /** @return array<string, array{string, string}> method and address of every route of the API */
    private function routes(): array
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/')) {
                $method = $route->methods()[0];
                $routes["$method {$route->uri()}"] = [
                    $method,
                    '/'.preg_replace(
                        [
                            '/\{former\}/', '#long-lists/\{list\}#', '/\{list\}/',
                            '#\{engagement\}/entries/\{logEntry\}#', '/\{engagement\}/', '/\{\w+\}/',
                        ],
                        [
                            (string) $this->formerId, 'long-lists/parties', 'tags',
                            "$this->engagementId/entries/$this->entryId", (string) $this->engagementId, '1',
                        ],
                        $route->uri(),
                    ).(self::TOLD[$route->uri()] ?? ''),
                ];
            }
        }
        $this->assertGreaterThan(15, count($routes));

        return $routes;
    }
}
