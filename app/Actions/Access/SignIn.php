<?php

declare(strict_types=1);

namespace App\Actions\Access;

use App\Models\User;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Checks an email and a password, so many times a minute for one email from one place. */
final class SignIn
{
    private const SECONDS = 60;

    /** As many colleagues may mistype at once behind one address. */
    private const EMAILS = 6;

    /** What a password is compared with when the email is unknown, so that both take the same time. */
    private const NOBODY = '$2y$12$wJ7Rgk5cMYrm7b9uV2Wc2.9gX1mVtqz6wQ9Q3Qk3Qy2pGQ1q0l1dG';

    /**
     * @throws ThrottleRequestsException after too many tries
     * @throws ValidationException when the two do not belong together
     */
    public function handle(string $email, string $password, string $from): User
    {
        $key = 'sign-in|'.Str::lower($email).'|'.$from;
        // One email from one place; and from one place, whatever the emails.
        foreach ([$key => 1, 'sign-in||'.$from => self::EMAILS] as $counted => $times) {
            if (RateLimiter::tooManyAttempts($counted, $times * (int) config('almanac.sign_in_attempts'))) {
                throw new ThrottleRequestsException('', headers: ['Retry-After' => RateLimiter::availableIn($counted)]);
            }
            RateLimiter::hit($counted, self::SECONDS);
        }

        $user = User::query()->firstWhere('email', Str::lower($email));
        $fits = Hash::check($password, $user->password ?? self::NOBODY);
        if ($user === null || ! $fits || $user->isRetired()) {
            throw ValidationException::withMessages([
                'password' => 'The email and the password do not belong together. Check both, then try again.',
            ]);
        }
        RateLimiter::clear($key);

        return $user;
    }
}
