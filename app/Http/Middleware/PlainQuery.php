<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** The API's addresses carry plain text only: lists are left out, and what is no UTF-8 is made so. No number has more than 18 figures. */
final class PlainQuery
{
    private const FIGURES = 18;

    public function handle(Request $request, Closure $next): Response
    {
        $request->query->replace(array_map(
            fn (string $value) => mb_scrub($value),
            array_filter($request->query->all(), is_string(...)),
        ));

        foreach ($request->route()?->parameters() ?? [] as $parameter) {
            if (is_string($parameter) && ctype_digit($parameter) && strlen($parameter) > self::FIGURES) {
                throw new NotFoundHttpException('There is nothing here.');
            }
        }

        return $next($request);
    }
}
