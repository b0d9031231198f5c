<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** The API's addresses carry plain text only: lists are left out, and what is no UTF-8 is made so. */
final class PlainQuery
{
    public function handle(Request $request, Closure $next): Response
    {
        $request->query->replace(array_map(
            fn (string $value) => mb_scrub($value),
            array_filter($request->query->all(), is_string(...)),
        ));

        return $next($request);
    }
}
