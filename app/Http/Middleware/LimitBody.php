<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What is sent to the API as JSON is bounded before anything is made of it; files come another way and have limits of their own. */
final class LimitBody
{
    /** Bytes; the largest that the program itself sends, a bulk edit of 20,000 records, is a quarter of it. */
    public const MOST = 1_000_000;

    public function handle(Request $request, Closure $next): Response
    {
        $isElsewhere = ! $request->is('api/*') || str_starts_with((string) $request->headers->get('Content-Type'), 'multipart/form-data');
        if (! $isElsewhere && ((int) $request->headers->get('Content-Length') > self::MOST || strlen((string) $request->getContent()) > self::MOST)) {
            throw new HttpException(413, 'That is more than 1 MB. Send less at a time, or upload a file.');
        }

        return $next($request);
    }
}
