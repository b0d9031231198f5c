<?php

declare(strict_types=1);

namespace Tests\Attack;

use Almanac\Access\Role;
use App\Models\User;
use Illuminate\Support\Facades\Storage;
use Laravel\Sanctum\PersonalAccessToken;
use Tests\TestCase;

/** What is private stays private: numbers that are compared, answers in the browser, tokens, passwords. */
final class PrivacyTest extends TestCase
{
    private const NUMBER = ['kind' => 'SSN', 'country' => 'US', 'value' => '219-09-9999'];

    public function test_only_who_may_see_a_number_may_ask_whether_somebody_has_it(): void
    {
        $person = $this->addPerson('Ada', 'Finch');
        $this->saveSection($person, 'tax-numbers', ['taxNumbers' => [['id' => null] + self::NUMBER]])->assertOk();
        $typed = [
            'kind' => 'person',
            'given' => 'A',
            'family' => 'F',
            'name' => '',
            'phones' => [],
            'emails' => [],
            'taxNumbers' => [self::NUMBER],
            'exceptId' => null,
        ];
        $this->postJson('/api/look-alikes', $typed)->assertOk()->assertJsonPath('0.party.id', $person->id);
        $this->actingAs($this->user(Role::Reader))->postJson('/api/look-alikes', $typed)->assertOk()->assertExactJson([]);
        $clerk = $this->user(Role::Clerk);
        for ($n = 0; $n < 120; $n++) {
            $this->actingAs($clerk)->postJson('/api/look-alikes', $typed)->assertOk();
        }
        $this->postJson('/api/look-alikes', $typed)->assertTooManyRequests();
        $this->postJson('/api/look-alikes', ['taxNumbers' => []] + $typed)->assertOk();
    }

    public function test_nothing_of_the_book_stays_in_the_browser(): void
    {
        $this->asAdministrator();
        foreach (['/api/parties', '/api/session', '/api/books', '/api/parties/999'] as $path) {
            $this->assertStringContainsString('no-store', (string) $this->getJson($path)->headers->get('Cache-Control'), $path);
        }
        $this->actingAs($this->administrator->refresh())
            ->deleteJson('/api/session')
            ->assertNoContent()
            ->assertHeader('Clear-Site-Data', '"cache"');
        $this->getJson('/api/session', ['Origin' => 'https://elsewhere.example'])->assertHeaderMissing('Access-Control-Allow-Origin');
    }

    public function test_tokens_are_listed_end_and_are_revoked(): void
    {
        $clerk = $this->user(Role::Clerk);
        $make = fn (string $email, array $more = []) => $this->postJson(
            '/api/tokens',
            $more + ['email' => $email, 'password' => self::PASSWORD, 'name' => 'nightly list'],
        )
            ->assertCreated()
            ->json('token');
        $token = $make($clerk->email, ['days' => 10]);
        $make($this->administrator->email);
        $this->actingAs($clerk)
            ->getJson('/api/tokens')
            ->assertJsonCount(1)
            ->assertJsonPath('0.hasEnded', false)
            ->assertJsonPath('0.usedText', '')
            ->assertJsonMissingPath('0.token');
        $this->asAdministrator()
            ->getJson('/api/tokens')
            ->assertJsonPath('*.userName', ['Maud Ferris', 'Clerk']);
        [$theirs, $ours] = PersonalAccessToken::query()->orderBy('id')->pluck('id')->all();
        $this->actingAs($clerk)->deleteJson("/api/tokens/$ours")->assertForbidden();
        $this->app['auth']->forgetGuards();
        $this->withToken($token)->getJson('/api/parties')->assertOk();
        $this->deleteJson('/api/session')->assertNoContent();
        $this->app['auth']->forgetGuards();
        $this->travel(11)->days();
        $this->getJson('/api/parties')->assertUnauthorized();
        $this->travelBack();
        $this->withoutToken()->asAdministrator()->deleteJson("/api/tokens/$theirs")->assertNoContent();
        $this->app['auth']->forgetGuards();
        $this->withToken($token)->getJson('/api/parties')->assertUnauthorized();
        $this->postJson('/api/tokens', [
            'email' => $clerk->email,
            'password' => self::PASSWORD,
            'name' => 'x',
            'days' => 4000,
        ])->assertUnprocessable();
    }

    public function test_a_new_password_and_leaving_the_office_end_tokens_and_calendar_addresses(): void
    {
        $clerk = $this->user(Role::Clerk);
        $open = function () use ($clerk): void {
            $clerk->refresh()->createToken('list');
            $clerk->forceFill(['calendar_hash' => 'x'])->save();
        };
        $state = fn () => [PersonalAccessToken::query()->count(), User::query()->findOrFail($clerk->id)->getAttribute('calendar_hash')];
        $save = fn (array $more) => $this->asAdministrator()
            ->putJson("/api/users/{$clerk->id}", $more + ['name' => 'Clerk', 'role' => 'clerk', 'password' => '', 'isRetired' => false])
            ->assertOk();
        $open();
        $save([]);
        $this->assertSame([1, 'x'], $state());
        $save(['password' => 'another-long-one-7']);
        $this->assertSame([0, null], $state());
        $open();
        $save(['isRetired' => true]);
        $save(['isRetired' => false]);
        $this->assertSame([0, null], $state(), 'what ended does not come back');
        $open();
        $change = fn (string $current, string $password) => $this->actingAs($clerk->refresh())->putJson('/api/password', [
            'current' => $current,
            'password' => $password,
        ]);
        $change('wrong', 'quarter-days-4-us')
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'current', 'message' => 'That is not your password.']);
        $change('another-long-one-7', 'password1234567')->assertUnprocessable()->assertJsonPath('errors.0.field', 'password');
        $change('another-long-one-7', str_repeat('ä', 40))->assertUnprocessable();
        $change('another-long-one-7', 'quarter-days-4-us')->assertNoContent();
        $this->assertSame([0, null], $state());
    }

    public function test_one_place_cannot_try_many_emails(): void
    {
        $this->withHeaders(['Origin' => 'http://localhost', 'Referer' => 'http://localhost/']);
        // However long they take, they are of one moment.
        $this->freezeTime();
        $statuses = [];
        for ($n = 0; $n < 110; $n++) {
            $statuses[] = $this->postJson('/api/session', ['email' => "somebody$n@b.example", 'password' => 'x'])->status();
        }
        $this->assertSame(100, array_count_values($statuses)[422]);
        $this->assertSame(429, $statuses[109]);
    }

    public function test_signing_in_from_nowhere_says_what_to_do(): void
    {
        $this->postJson('/api/session', ['email' => $this->administrator->email, 'password' => self::PASSWORD])
            ->assertBadRequest()
            ->assertJsonPath('detail', 'Sign in from a page of Neat Almanac, or make a token for a script at /api/tokens.');
    }

    public function test_a_refusal_says_which_role_may(): void
    {
        $company = $this->addCompany('Brass');
        $clerk = $this->user(Role::Clerk);
        $this->actingAs($clerk)->getJson('/api/office')->assertForbidden()->assertJsonPath('detail', 'Only administrators may do this.');
        $this->actingAs($this->user(Role::Reader))
            ->putJson("/api/parties/{$company->id}/archive", ['reason' => 'x'])
            ->assertForbidden()
            ->assertJsonPath('detail', 'Only administrators, clerks and approvers may do this.');
    }

    public function test_handed_out_addresses_do_not_believe_the_host_of_a_request(): void
    {
        $this->asAdministrator()->postJson('/api/calendar', [], ['Host' => 'evil.example'])->assertCreated()
            ->assertJsonPath('address', fn (string $address) => str_starts_with($address, 'http://localhost/calendar/'));
    }

    public function test_a_refusal_is_not_logged_as_an_error(): void
    {
        $log = storage_path('logs/laravel.log');
        $before = is_file($log) ? (int) filesize($log) : 0;
        $company = $this->addCompany('Brass');
        $this->pay($company, '1,2,3')->assertUnprocessable();
        $this->postJson("/api/documents/{$this->issued($company, 'invoice', '5')->id}/issue", [
            'isConfirmed' => false,
            'version' => 0,
        ])->assertUnprocessable();
        clearstatcache();
        $this->assertSame($before, is_file($log) ? (int) filesize($log) : 0);
    }

    public function test_files_are_for_nobody_else_on_the_machine(): void
    {
        Storage::put('privacy/one.txt', 'x');
        clearstatcache();
        $this->assertSame('0600', substr(sprintf('%o', fileperms(Storage::path('privacy/one.txt'))), -4));
        $this->assertSame('0700', substr(sprintf('%o', fileperms(Storage::path('privacy'))), -4));
        Storage::deleteDirectory('privacy');
    }
}
