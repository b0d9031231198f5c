<?php

declare(strict_types=1);

namespace App\Actions\Access;

use App\Models\User;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Checks an email and a password; who fails too often has to wait. */
final class SignIn
{
    /** What a password is compared with when the email is unknown, so that both take the same time. */
    private const NOBODY = '$2y$12$wJ7Rgk5cMYrm7b9uV2Wc2.9gX1mVtqz6wQ9Q3Qk3Qy2pGQ1q0l1dG';

    /**
     * @throws ThrottleRequestsException after too many tries
     * @throws ValidationException when the two do not belong together
     */
    public function handle(string $email, string $password, string $from): User
    {
        $attempts = new Attempts($email, $from);
        $attempts->mustBeAllowed();

        $user = User::query()->firstWhere('email', Str::lower($email));
        $fits = Hash::check($password, $user->password ?? self::NOBODY);
        if ($user === null || ! $fits || $user->isRetired()) {
            $attempts->failed();
            throw ValidationException::withMessages([
                'password' => 'The email and the password do not belong together. Check both, then try again.',
            ]);
        }
        $attempts->succeeded();

        return $user;
    }
}
