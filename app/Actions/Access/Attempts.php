<?php

declare(strict_types=1);

namespace App\Actions\Access;

use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;

/**
 * Counts attempts to sign in that failed, by account and network address together, so that guessing locks out nobody else:
 * not the account at its usual desk, and not colleagues behind the same address. Each failure after the first few
 * doubles the wait.
 *
 * Many accounts tried from one address, or one account from many, slow down pairs that have never signed in.
 *
 * Source: NIST SP 800-63B, 5.2.2 (rate limiting).
 */
final readonly class Attempts
{
    /** Failures are forgotten after so long without one. */
    private const FORGOTTEN_S = 3600;

    private const FIRST_WAIT_S = 15;

    private const LONGEST_WAIT_S = 900;

    /** Failures of one address, or of one account, before pairs that never signed in have to wait. */
    private const WIDE_FACTOR = 20;

    private const KNOWN_DAYS = 90;

    private string $pair;

    public function __construct(private string $account, private string $address)
    {
        $this->pair = self::key('pair', Str::lower($account).'|'.$address);
    }

    /** @throws ThrottleRequestsException while it has to wait */
    public function mustBeAllowed(): void
    {
        $keys = [$this->pair];
        if (! Cache::has(self::key('known', $this->pair))) {
            array_push($keys, ...$this->wide());
        }
        foreach ($keys as $key) {
            $wait = (int) Cache::get("$key until", 0) - time();
            if ($wait > 0) {
                throw new ThrottleRequestsException('', headers: ['Retry-After' => $wait]);
            }
        }
    }

    public function failed(): void
    {
        $this->count($this->pair, self::allowed());
        foreach ($this->wide() as $key) {
            $this->count($key, self::WIDE_FACTOR * self::allowed());
        }
    }

    public function succeeded(): void
    {
        Cache::forget($this->pair);
        Cache::forget("$this->pair until");
        Cache::put(self::key('known', $this->pair), true, now()->addDays(self::KNOWN_DAYS));
    }

    private function count(string $key, int $allowed): void
    {
        Cache::add($key, 0, self::FORGOTTEN_S);
        $failures = (int) Cache::increment($key);
        if ($failures >= $allowed) {
            $wait = min(self::LONGEST_WAIT_S, self::FIRST_WAIT_S * 2 ** min(10, $failures - $allowed));
            Cache::put("$key until", time() + $wait, $wait);
        }
    }

    /** @return list<string> */
    private function wide(): array
    {
        return [self::key('address', $this->address), self::key('account', Str::lower($this->account))];
    }

    private static function allowed(): int
    {
        return max(1, (int) config('almanac.sign_in_attempts'));
    }

    private static function key(string $of, string $what): string
    {
        return "sign-in $of ".hash('xxh128', $what);
    }
}
