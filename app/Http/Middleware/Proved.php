<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Access\OpenSession;
use App\Http\Problems\SecondFactorMissing;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Before something delicate, a user with a second factor proves anew who is there. */
final readonly class Proved
{
    public function __construct(private OpenSession $sessions)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && ! $this->sessions->isProved($request, $user)) {
            throw SecondFactorMissing::codeNeeded();
        }

        return $next($request);
    }
}
