<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Office\BeginDay;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** The first request of a day sets off what has to be worked out anew each day, and does not wait for it. */
final readonly class NewDay
{
    public function __construct(private BeginDay $day)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $this->day->ask();

        return $response;
    }
}
