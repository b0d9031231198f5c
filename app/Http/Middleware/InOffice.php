<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems\SecondFactorMissing;
use App\Models\SecondFactor;
use App\Models\User;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Whoever has been retired is out at once, not when the session ends. */
final class InOffice
{
    /** Where a user gets who has yet to set up a second factor. */
    private const TO_SET_UP = ['api/session', 'api/session/*', 'api/second-factor', 'api/second-factor/*', 'api/sessions', 'api/password'];

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $user->isRetired()) {
            throw new AuthenticationException;
        }
        // A session of before they left, or chose a new password, does not come back with them.
        if ($user instanceof User && ! $user->hasSession($request)) {
            Auth::guard('web')->logout();
            throw new AuthenticationException;
        }
        // What was made for a phone opens its address books, and nothing else.
        if ($user instanceof User && ! $user->mayUseAll()) {
            throw new AuthenticationException;
        }

        if ($user instanceof User && SecondFactor::isMissingOf($user) && ! $request->is(...self::TO_SET_UP)) {
            throw SecondFactorMissing::notSetUp();
        }

        return $next($request);
    }
}
