<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Actions\Access\Attempts;
use App\Actions\Office\KeepUsers;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Tests\TestCase;

/** Who guesses has to wait, and nobody else; who has left does not come back by an old cookie. */
final class SignInTest extends TestCase
{
    public function test_wrong_passwords_of_one_account_lock_out_no_colleague_at_the_same_address(): void
    {
        $this->user(Role::Clerk);
        for ($n = 0; $n < 30; $n++) {
            $this->signIn('maud@orreryvane.example', 'wrong-'.$n);
        }
        $this->signIn('maud@orreryvane.example', self::PASSWORD)->assertStatus(429);
        $this->signIn('clerk@orreryvane.example', self::PASSWORD)->assertOk();
        // The same account at its own desk is not the one that is guessed at.
        $this->signIn('maud@orreryvane.example', self::PASSWORD, '10.0.0.9')->assertOk();
    }

    public function test_each_failure_after_the_first_few_doubles_the_wait(): void
    {
        $waits = [];
        for ($n = 0; $n < 9; $n++) {
            $attempts = new Attempts('maud@orreryvane.example', '10.0.0.1');
            try {
                $attempts->mustBeAllowed();
            } catch (ThrottleRequestsException $wait) {
                $waits[] = $seconds = (int) $wait->getHeaders()['Retry-After'];
                $this->travel($seconds + 1)->seconds();
            }
            $attempts->failed();
        }
        $this->assertSame([15, 30, 60, 120], $waits);
        $attempts->succeeded();
        $attempts->mustBeAllowed();
    }

    public function test_many_accounts_from_one_address_slow_down_only_those_who_never_signed_in_there(): void
    {
        $known = new Attempts('maud@orreryvane.example', '10.0.0.1');
        $known->succeeded();
        for ($n = 0; $n < 120; $n++) {
            (new Attempts("guess-$n@orreryvane.example", '10.0.0.1'))->failed();
        }
        $known->mustBeAllowed();
        $this->expectException(ThrottleRequestsException::class);
        (new Attempts('another@orreryvane.example', '10.0.0.1'))->mustBeAllowed();
    }

    public function test_many_wrong_app_passwords_lock_out_nobody_else(): void
    {
        $token = $this->administrator->createToken('Phone', ['cards'])->plainTextToken;
        $ask = fn (string $name, string $password) => $this->call('PROPFIND', '/dav/', server: [
            'HTTP_AUTHORIZATION' => 'Basic '.base64_encode("$name:$password"), 'HTTP_DEPTH' => '0',
        ])->status();
        for ($n = 0; $n < 30; $n++) {
            $ask('clerk@orreryvane.example', "wrong-$n");
        }
        $this->assertSame(429, $ask('clerk@orreryvane.example', 'wrong'));
        $this->assertSame(207, $ask('maud@orreryvane.example', $token));
    }

    public function test_a_cookie_of_before_somebody_left_does_not_work_when_they_return(): void
    {
        $clerk = $this->user(Role::Clerk);
        $this->signIn('clerk@orreryvane.example', self::PASSWORD)->assertOk();
        $this->getJson('/api/parties')->assertOk();
        $users = $this->app->make(KeepUsers::class);
        $users->change($clerk, 'Clerk', Role::Clerk, true, '');
        $this->fresh()->getJson('/api/parties')->assertUnauthorized();
        $users->change($clerk->refresh(), 'Clerk', Role::Clerk, false, '');
        $this->fresh()->getJson('/api/parties')->assertUnauthorized();
        $this->fresh()->getJson('/api/session')->assertOk()->assertJsonPath('userId', null);
        $this->signIn('clerk@orreryvane.example', self::PASSWORD)->assertOk();
        $this->fresh()->getJson('/api/parties')->assertOk();
    }

    public function test_an_app_password_learns_nothing_of_its_owner(): void
    {
        $token = $this->administrator->createToken('Phone', ['cards'])->plainTextToken;
        $this->withToken($token)->getJson('/api/session')->assertOk()->assertJsonPath('userId', null)->assertJsonPath('role', null);
    }

    public function test_who_may_not_is_told_the_same_of_what_is_there_and_of_what_is_not(): void
    {
        $there = $this->addCompany('Brass')->id;
        $this->actingAs($this->user(Role::Reader));
        foreach ([$there, 999_999] as $id) {
            $this->putJson("/api/parties/$id/reach", [])->assertForbidden();
        }
    }

    public function test_the_password_that_holds_is_no_new_one(): void
    {
        $this->asAdministrator()->putJson('/api/password', ['current' => self::PASSWORD, 'password' => self::PASSWORD])
            ->assertStatus(422)->assertJsonPath('errors.0.message', 'That is the password that you have now. Choose a new one.');
    }

    /** @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response> */
    private function signIn(string $email, string $password, string $from = '10.0.0.1'): \Illuminate\Testing\TestResponse
    {
        return $this->withServerVariables(['REMOTE_ADDR' => $from])->withHeader('Origin', 'http://localhost')
            ->postJson('/api/session', ['email' => $email, 'password' => $password]);
    }

    /** The next request reads anew who asks. */
    private function fresh(): static
    {
        $this->app->make('auth')->forgetGuards();

        return $this;
    }
}
