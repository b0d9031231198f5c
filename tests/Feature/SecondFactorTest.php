<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use Almanac\Access\Totp;
use App\Actions\Access\KeepAccess;
use App\Actions\Office\KeepUsers;
use App\Http\Middleware\Proved;
use App\Models\SecondFactor;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Signing in with a code of an authenticator app beside the password, and the sessions of a user. */
final class SecondFactorTest extends TestCase
{
    private const HOME = ['Referer' => 'http://localhost/'];

    private Totp $totp;

    /** @var list<string> */
    private array $recovery;

    /** @return TestResponse<\Illuminate\Http\JsonResponse> */
    private function signIn(string $password = self::PASSWORD): TestResponse
    {
        return $this->postJson('/api/session', ['email' => 'maud@orreryvane.example', 'password' => $password], self::HOME);
    }

    /** @return TestResponse<\Illuminate\Http\JsonResponse> */
    private function enter(string $code, bool $remembers = false): TestResponse
    {
        return $this->postJson('/api/session/code', ['code' => $code, 'remembers' => $remembers], self::HOME);
    }

    /** A code of a step that was not used yet. */
    private function code(int $late = 0): string
    {
        SecondFactor::query()->update(['used_step' => null]);

        return $this->totp->codeAt(now()->getTimestamp() + $late);
    }

    private function another(): void
    {
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $this->defaultCookies = $this->unencryptedCookies = [];
    }

    private function turnOn(): void
    {
        $this->signIn()->assertOk();
        $setup = $this->postJson('/api/second-factor', ['password' => self::PASSWORD], self::HOME)->assertCreated();
        $this->totp = Totp::withSecret($setup->json('secret'));
        $this->recovery = $this->putJson('/api/second-factor', ['code' => $this->totp->codeAt(now()->getTimestamp())], self::HOME)->assertOk()->json('codes');
        $this->another();
    }

    public function test_it_is_set_up_with_the_password_and_a_first_code(): void
    {
        $this->signIn()->assertOk();
        $this->getJson('/api/second-factor', self::HOME)->assertExactJson(['isOn' => false, 'isRequired' => false, 'since' => null, 'recoveryCodesLeft' => 0]);
        $this->putJson('/api/second-factor', ['code' => '123456'], self::HOME)->assertUnprocessable()->assertJsonPath('errors.0.field', 'code');
    }

    public function test_a_code_is_asked_for_after_the_password_and_taken_once(): void
    {
        $this->turnOn();
        $this->signIn()->assertOk()->assertJson(['needsCode' => true, 'userName' => null]);
        $this->getJson('/api/today', self::HOME)->assertUnauthorized();
        $code = $this->code();
        $this->enter('000000')->assertUnprocessable();
        $this->enter($code)->assertOk()->assertJson(['userName' => 'Maud Ferris', 'needsCode' => false]);
        $this->getJson('/api/today', self::HOME)->assertOk();
        $this->another();
        $this->signIn()->assertJson(['needsCode' => true]);
        $this->enter($code)->assertUnprocessable();
    }

    public function test_the_qr_code_and_the_secret_are_shown_to_who_knows_the_password_only(): void
    {
        $this->signIn();
        $this->postJson('/api/second-factor', ['password' => 'wrong wrong wrong'], self::HOME)->assertUnprocessable();
        $setup = $this->postJson('/api/second-factor', ['password' => self::PASSWORD], self::HOME)->assertCreated()->json();
        $this->assertStringStartsWith('otpauth://totp/Orrery%20%26%20Vane:maud%40orreryvane.example?secret='.$setup['secret'], $setup['address']);
        // ISO/IEC 18004: square, 17 + 4 × version modules, a finder of 7 × 7 in the corner.
        $this->assertSame(1, count($setup['rows']) % 4);
        $this->assertSame([count($setup['rows'])], array_values(array_unique(array_map(strlen(...), $setup['rows']))));
        $this->assertSame(['1111111', '1000001', '1011101'], array_map(fn (string $row) => substr($row, 0, 7), array_slice($setup['rows'], 0, 3)));
        // Not on until a code was right; the secret is encrypted where it is kept.
        $this->getJson('/api/second-factor', self::HOME)->assertJson(['isOn' => false]);
        $this->assertStringNotContainsString($setup['secret'], (string) DB::table('second_factors')->value('secret'));
    }

    public function test_a_recovery_code_works_once(): void
    {
        $this->turnOn();
        $this->assertCount(10, $this->recovery);
        foreach ([[strtoupper($this->recovery[3]), 200], [$this->recovery[3], 422], [$this->recovery[4], 200]] as [$code, $status]) {
            $this->signIn();
            $this->enter($code)->assertStatus($status);
            $this->another();
        }
        $this->signIn();
        $this->enter($this->code())->assertOk();
        $this->getJson('/api/second-factor', self::HOME)->assertJson(['isOn' => true, 'recoveryCodesLeft' => 8]);
        $codes = $this->postJson('/api/second-factor/recovery-codes', [], self::HOME)->assertCreated()->json('codes');
        $this->another();
        $this->signIn();
        $this->enter($this->recovery[5])->assertUnprocessable();
        $this->enter($codes[0])->assertOk();
    }

    public function test_a_code_without_a_password_before_it_opens_nothing(): void
    {
        $this->turnOn();
        $this->enter($this->code())->assertUnauthorized();
        $this->signIn('wrong wrong wrong')->assertUnprocessable();
        $this->enter($this->code())->assertUnauthorized();
        // After ten minutes the password is asked for again; a new password ends what waits for a code.
        $this->signIn();
        $this->travel(11)->minutes();
        $this->enter($this->code())->assertUnauthorized();
        $this->signIn();
        $this->app->make(KeepAccess::class)->setPassword($this->administrator->refresh(), 'another good passphrase');
        $this->enter($this->code())->assertUnauthorized();
    }

    public function test_wrong_codes_have_to_wait_as_wrong_passwords_do(): void
    {
        $this->turnOn();
        $this->signIn();
        foreach (range(1, 5) as $ignored) {
            $this->enter('000000')->assertUnprocessable();
        }
        $this->enter($this->code())->assertTooManyRequests();
    }

    public function test_a_device_that_is_remembered_is_not_asked_for_thirty_days(): void
    {
        $this->turnOn();
        $this->signIn();
        $cookie = $this->enter($this->code(), true)->assertOk()->getCookie('almanac_device');
        $this->assertNotNull($cookie);
        $this->assertTrue($cookie->isHttpOnly());
        $this->another();
        $this->withCredentials()->withCookie('almanac_device', (string) $cookie->getValue());
        $this->signIn()->assertJson(['needsCode' => false, 'userName' => 'Maud Ferris']);
        // Not for somebody else, not after a month, and not after a new password.
        $this->another();
        $this->signIn()->assertJson(['needsCode' => true]);
        $this->withCredentials()->withCookie('almanac_device', (string) $cookie->getValue());
        Carbon::setTestNow(now()->addDays(31));
        $this->signIn()->assertJson(['needsCode' => true]);
        Carbon::setTestNow();
        $this->app->make(KeepAccess::class)->setPassword($this->administrator->refresh(), 'another good passphrase');
        $this->signIn('another good passphrase')->assertJson(['needsCode' => true]);
    }

    public function test_what_is_delicate_asks_for_a_code_again(): void
    {
        $this->turnOn();
        $this->signIn();
        $this->enter($this->code())->assertOk();
        $new = ['name' => 'Tobias Wren', 'email' => 'tobias@orreryvane.example', 'role' => 'clerk', 'password' => self::PASSWORD];
        $this->postJson('/api/users', $new, self::HOME)->assertCreated();
        $this->travelProof();
        foreach ([
            ['POST', '/api/users', ['email' => 'una@orreryvane.example'] + $new], ['PUT', "/api/users/{$this->administrator->id}", $new],
            ['POST', '/api/office/archive', []], ['PUT', '/api/office/second-factor', ['roles' => []]], ['DELETE', '/api/second-factor', []],
            ['POST', '/api/second-factor/recovery-codes', []], ['DELETE', "/api/users/{$this->administrator->id}/second-factor", []],
        ] as [$method, $path, $input]) {
            $this->json($method, $path, $input, self::HOME)->assertForbidden()->assertJson(['type' => '/problems/code-needed']);
        }
        $this->postJson('/api/session/proof', ['code' => '000000'], self::HOME)->assertUnprocessable();
        $this->postJson('/api/session/proof', ['code' => $this->code()], self::HOME)->assertOk();
        $this->postJson('/api/users', ['email' => 'una@orreryvane.example'] + $new, self::HOME)->assertCreated();
    }

    public function test_bank_details_are_confirmed_with_a_code(): void
    {
        $routes = collect(app('router')->getRoutes()->getRoutes())->filter(fn ($route) => str_ends_with($route->uri(), '/confirm') && str_contains($route->uri(), 'bank-details'));
        $this->assertCount(1, $routes);
        $this->assertContains(Proved::class, $routes->first()?->gatherMiddleware() ?? []);
    }

    public function test_a_token_takes_the_code_too_and_does_nothing_delicate(): void
    {
        $this->turnOn();
        $ask = ['email' => 'maud@orreryvane.example', 'password' => self::PASSWORD, 'name' => 'nightly list'];
        $this->postJson('/api/tokens', $ask)->assertUnprocessable()->assertJsonPath('errors.0.field', 'code');
        $this->postJson('/api/tokens', ['code' => '000000'] + $ask)->assertUnprocessable();
        $token = $this->postJson('/api/tokens', ['code' => $this->code()] + $ask)->assertCreated()->json('token');
        $this->withToken($token)->getJson('/api/today')->assertOk();
        $this->withToken($token)->postJson('/api/office/archive')->assertForbidden()->assertJson(['type' => '/problems/code-needed']);
    }

    public function test_a_role_that_requires_it_gets_nowhere_before_it_is_set_up(): void
    {
        $clerk = $this->user(Role::Clerk);
        $this->asAdministrator()->putJson('/api/office/second-factor', ['roles' => ['clerk', 'nobody']])->assertUnprocessable();
        $this->putJson('/api/office/second-factor', ['roles' => ['clerk']])->assertOk()->assertJsonPath('secondFactorRoles', ['clerk']);
        $this->actingAs($clerk)->putJson('/api/office/second-factor', ['roles' => []])->assertForbidden();
        $this->getJson('/api/today')->assertForbidden()->assertJson(['type' => '/problems/second-factor-not-set-up']);
        $this->getJson('/api/session')->assertJson(['mustSetUpSecondFactor' => true]);
        $this->postJson('/api/tokens', ['email' => $clerk->email, 'password' => self::PASSWORD, 'name' => 'x'])->assertForbidden();
        $totp = Totp::withSecret($this->postJson('/api/second-factor', ['password' => self::PASSWORD])->assertCreated()->json('secret'));
        $this->putJson('/api/second-factor', ['code' => $totp->codeAt(now()->getTimestamp())])->assertOk();
        $this->getJson('/api/today')->assertOk();
        $this->asAdministrator()->getJson('/api/today')->assertOk();
    }

    public function test_an_administrator_resets_it_and_that_is_logged(): void
    {
        $this->turnOn();
        $other = $this->app->make(KeepUsers::class)->add('Una', 'una@orreryvane.example', self::PASSWORD, Role::Administrator);
        $this->actingAs($other)->getJson('/api/users')->assertJsonPath('0.hasSecondFactor', true);
        $this->deleteJson("/api/users/{$this->administrator->id}/second-factor")->assertOk()->assertJsonPath('0.hasSecondFactor', false);
        $this->assertSame(0, DB::table('recovery_codes')->count() + DB::table('second_factors')->count());
        $this->assertStringContainsString('reset the second factor', (string) json_encode($this->getJson('/api/acts')->json()));
        $this->another();
        $this->signIn()->assertJson(['needsCode' => false]);
    }

    public function test_sessions_are_listed_and_ended(): void
    {
        $this->signIn();
        $first = $this->app['session']->all();
        $this->another();
        $this->withHeader('User-Agent', 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/156.0 Safari/537.36');
        $this->signIn();
        $sessions = $this->getJson('/api/sessions', self::HOME)->assertOk()->assertJsonCount(2)->json();
        $this->assertSame(['Chrome on Linux', '127.0.0.1', true], [$sessions[0]['device'], $sessions[0]['address'], $sessions[0]['isThis']]);
        $this->deleteJson('/api/sessions', [], self::HOME)->assertOk()->assertJsonCount(1)->assertJsonPath('0.isThis', true);
        // The other browser is signed out at its next request.
        $this->another();
        $this->withSession($first)->getJson('/api/today', self::HOME)->assertUnauthorized();
        $this->another();
        // Nobody ends those of others.
        $this->user(Role::Administrator);
        $mine = DB::table('user_sessions')->value('id');
        $this->postJson('/api/session', ['email' => 'administrator@orreryvane.example', 'password' => self::PASSWORD], self::HOME)->assertOk();
        $this->deleteJson("/api/sessions/$mine", [], self::HOME)->assertOk();
        $this->assertTrue(DB::table('user_sessions')->where('id', $mine)->exists());
    }

    /** The last code was entered more than ten minutes ago. */
    private function travelProof(): void
    {
        $this->travel(601)->seconds();
    }
}
