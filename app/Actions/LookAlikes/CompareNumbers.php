<?php

declare(strict_types=1);

namespace App\Actions\LookAlikes;

use App\Models\User;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\RateLimiter;

/** Comparing private numbers answers whether somebody has one: so often an hour, and never unseen. */
final class CompareNumbers
{
    private const MOST = 120;

    private const SECONDS = 3600;

    /** @throws ThrottleRequestsException after too many */
    public function note(User $user): void
    {
        $key = "compare-numbers|{$user->id}";
        if (RateLimiter::tooManyAttempts($key, self::MOST)) {
            throw new ThrottleRequestsException('', headers: ['Retry-After' => RateLimiter::availableIn($key)]);
        }
        RateLimiter::hit($key, self::SECONDS);
        Log::info('Private numbers were compared while typing.', ['user' => $user->id, 'times this hour' => RateLimiter::attempts($key)]);
    }
}
