<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/**
 * How often each sign is seen of records that are the same, estimated from a book of which nobody has said which are, by
 * expectation maximisation (A. P. Dempster, N. M. Laird and D. B. Rubin, 1977; for record linkage W. E. Winkler, "Using the
 * EM Algorithm for Weight Computation in the Fellegi-Sunter Model of Record Linkage", 1988).
 *
 * Candidates of a scan are a mixture of pairs that are the same and of pairs that only share a key; both are estimated, and
 * the second is then put aside: it is no picture of strangers, whose figures come from pairs drawn at random.
 */
final readonly class Estimate
{
    private const STEPS = 60;

    private const STILL = 0.0001;

    private const PRIOR = 40.0;

    private const HELD = 1.0;

    /**
     * @param array<string, float> $m how often each sign is seen of pairs that are the same
     * @param array<string, float> $u and of the others among the candidates
     * @param float $share of the pairs that are the same
     * @param int $steps that it took
     */
    private function __construct(public array $m, public array $u, public float $share, public int $steps)
    {
    }

    /**
     * @param array<string, int> $patterns how many pairs show the same signs, by Evidence::pattern()
     * @param array<string, array{float, float}> $start m and u by sign
     * @param float $share of the pairs that are the same, to begin with
     * @param bool $isShareKnown whether that is not to be estimated
     * @param float $prior as if so many pairs had been seen by the figures that it begins with
     * @param float $held and so many times as many as are taken for the same: in a book in which nobody stands twice, all that
     *                    have one name would be taken for it, and nothing speak against it any more
     */
    public static function of(
        array $patterns,
        array $start,
        float $share = 0.2,
        bool $isShareKnown = false,
        float $prior = self::PRIOR,
        float $held = self::HELD,
        int $steps = self::STEPS,
    ): self {
        $signs = [];
        foreach (array_keys($patterns) as $pattern) {
            $signs[$pattern] = $pattern === '' ? [] : explode(' ', $pattern);
        }
        $m = array_map(fn (array $rate) => $rate[0], $start);
        $u = array_map(fn (array $rate) => $rate[1], $start);
        $things = [];
        foreach (array_keys($start) as $sign) {
            $things[explode('-', $sign)[0]][] = $sign;
        }
        for ($step = 1; $step <= $steps; $step++) {
            $same = $other = [];
            $allSame = $all = 0.0;
            foreach ($patterns as $pattern => $pairs) {
                [$one, $two] = [log($share), log(1 - $share)];
                foreach ($signs[$pattern] as $sign) {
                    $one += log($m[$sign]);
                    $two += log($u[$sign]);
                }
                $chance = 1 / (1 + exp($two - $one));
                $allSame += $pairs * $chance;
                $all += $pairs;
                foreach ($signs[$pattern] as $sign) {
                    $same[$sign] = ($same[$sign] ?? 0.0) + $pairs * $chance;
                    $other[$sign] = ($other[$sign] ?? 0.0) + $pairs * (1 - $chance);
                }
            }
            $was = $m;
            foreach ($things as $of) {
                $m = [...$m, ...self::rates($of, $same, $start, 0, $prior + $held * self::seen($of, $same))];
                $u = [...$u, ...self::rates($of, $other, $start, 1, $prior)];
            }
            $share = $isShareKnown || $all === 0.0 ? $share : min(0.999, max(0.001, $allSame / $all));
            $moved = array_filter(array_map(fn (float $a, float $b) => abs($a - $b), $m, $was), fn (float $by) => $by >= self::STILL);
            if ($moved === []) {
                break;
            }
        }

        return new self($m, $u, $share, min($step, $steps));
    }

    /**
     * @param list<string> $of signs of one thing
     * @param array<string, float> $seen
     */
    private static function seen(array $of, array $seen): float
    {
        return array_sum(array_map(fn (string $sign) => $seen[$sign] ?? 0.0, $of));
    }

    /**
     * @param list<string> $of signs of one thing
     * @param array<string, float> $seen
     * @param array<string, array{float, float}> $start
     *
     * @return array<string, float>
     */
    private static function rates(array $of, array $seen, array $start, int $which, float $prior): array
    {
        $sum = $prior + self::seen($of, $seen);
        $total = array_sum(array_map(fn (string $sign) => $start[$sign][$which], $of));
        if ($sum === 0.0) {
            return [];
        }
        $rates = [];
        foreach ($of as $sign) {
            $rates[$sign] = max(1e-7, (($seen[$sign] ?? 0.0) + $prior * $start[$sign][$which] / $total) / $sum);
        }

        return $rates;
    }
}
