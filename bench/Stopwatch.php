<?php

declare(strict_types=1);

namespace Bench;

/** How long work takes. */
final class Stopwatch
{
    /**
     * @param \Closure(): mixed $work
     *
     * @return float in milliseconds
     */
    public static function time(\Closure $work): float
    {
        $start = hrtime(true);
        $work();

        return (hrtime(true) - $start) / 1e6;
    }

    /**
     * @param array<int, float> $times
     *
     * @return array{float, float, float} the median, the 95th percentile and the longest
     */
    public static function spread(array $times): array
    {
        sort($times);
        $count = count($times);

        return [$times[intdiv($count, 2)] ?? 0.0, $times[(int) floor(0.95 * max(0, $count - 1))] ?? 0.0, $times[$count - 1] ?? 0.0];
    }
}
