<?php

declare(strict_types=1);

namespace Almanac\Reach;

/**
 * The last results of a computation that always gives the same for the same: while a record is read, written, logged and
 * indexed, the same phone is parsed half a dozen times, and parsing takes longer than all that is done with it.
 *
 * @template T
 *
 * @internal
 */
final class Recent
{
    private const MOST = 500;

    /** @var array<string, T> */
    private array $results = [];

    /**
     * @param \Closure(): T $compute what it throws is not kept
     *
     * @return T
     */
    public function of(string $key, \Closure $compute): mixed
    {
        if (! array_key_exists($key, $this->results)) {
            $result = $compute();
            if (count($this->results) >= self::MOST) {
                unset($this->results[array_key_first($this->results)]);
            }
            $this->results[$key] = $result;
        }

        return $this->results[$key];
    }
}
