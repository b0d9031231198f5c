<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Almanac\Access\Permission;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

/**
 * Asks the network before the act begins, so that nobody waits for a slow server elsewhere: an act holds the write lock.
 * What was answered is an attribute of the request, by the name of this class. Of one key, it is asked once.
 */
abstract class OutsideFirst
{
    /** Longer than anything outside is waited for. */
    private const SECONDS = 60;

    public function handle(Request $request, Closure $next): Response
    {
        Gate::authorize($this->permission()->value);
        $key = $request->headers->get('Idempotency-Key') ?? '';
        $of = hash('xxh128', "{$request->user()?->getAuthIdentifier()} $key");
        $ask = function () use ($request, $next, $key): Response {
            // Answered before: the act gives the same answer again.
            if ($key === '' || DB::table('idempotency_keys')->where(['user_id' => $request->user()?->getAuthIdentifier(), 'key' => $key])->doesntExist()) {
                $request->attributes->set(static::class, $this->ask($request));
            }

            return $next($request);
        };

        /** @var Response */
        return $key === '' ? $ask() : Cache::lock("outside $of", self::SECONDS)->block(self::SECONDS, $ask);
    }

    abstract protected function permission(): Permission;

    abstract protected function ask(Request $request): mixed;
}
