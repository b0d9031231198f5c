<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Almanac\Access\TokenUse;
use App\Actions\Access\Attempts;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Laravel\Sanctum\PersonalAccessToken;
use Symfony\Component\HttpFoundation\Response;

/** Lets phones and mail programs in, with an email and a password made for them (RFC 7617). */
final class CardPassword
{
    public function handle(Request $request, Closure $next): Response
    {
        $attempts = new Attempts('dav '.$request->getUser(), (string) $request->ip());
        $attempts->mustBeAllowed();
        $token = PersonalAccessToken::findToken((string) $request->getPassword());
        $user = $token?->tokenable;
        $isGood = $user instanceof User
            && ! $user->isRetired()
            && $token->can(TokenUse::Cards->value)
            && $token->expires_at?->isPast() !== true
            && mb_strtolower((string) $request->getUser()) === mb_strtolower($user->email);
        if (! $isGood) {
            // Without a password a program only asks how it can sign in.
            if ((string) $request->getPassword() !== '') {
                $attempts->failed();
            }

            return new \Illuminate\Http\Response(
                'Sign in with your email and an app password.',
                401,
                ['WWW-Authenticate' => 'Basic realm="Neat Almanac", charset="UTF-8"'],
            );
        }
        $attempts->succeeded();
        $token->forceFill(['last_used_at' => now()])->save();
        Auth::setUser($user);
        $request->setUserResolver(fn () => $user);

        return $next($request);
    }
}
