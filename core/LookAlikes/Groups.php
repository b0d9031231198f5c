<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/**
 * Records that belong together, by the pairs that look alike: closed over links that are nearly sure, never over a chain of
 * weak ones, and split where two inside contradict each other.
 */
final class Groups
{
    /**
     * @param list<array{int, int, float, Verdict}> $pairs records, score and verdict
     * @param \Closure(int, int): bool $areTwo whether two records cannot be one
     *
     * @return list<list<int>> the records of each group; two that look alike and are kept apart by others are a group of their own
     */
    public static function of(array $pairs, \Closure $areTwo): array
    {
        usort($pairs, fn (array $a, array $b) => [$b[2], $a[0], $a[1]] <=> [$a[2], $b[0], $b[1]]);
        $linked = [];
        foreach ($pairs as [$one, $other]) {
            $linked["$one $other"] = $linked["$other $one"] = true;
        }
        $groupOf = $groups = $apart = [];
        foreach ($pairs as [$one, $other, , $verdict]) {
            $a = $groupOf[$one] ?? $one;
            $b = $groupOf[$other] ?? $other;
            if ($a === $b) {
                continue;
            }
            [$some, $others] = [$groups[$a] ?? [$one], $groups[$b] ?? [$other]];
            if (! self::mayJoin($some, $others, $verdict, $linked, $areTwo)) {
                $apart[] = [$one, $other];

                continue;
            }
            unset($groups[$b]);
            $groups[$a] = [...$some, ...$others];
            foreach ($groups[$a] as $id) {
                $groupOf[$id] = $a;
            }
        }
        $groups = [...array_values($groups), ...$apart];
        foreach ($groups as &$group) {
            sort($group);
        }

        return $groups;
    }

    /**
     * @param list<int> $some
     * @param list<int> $others
     * @param array<string, true> $linked
     * @param \Closure(int, int): bool $areTwo
     */
    private static function mayJoin(array $some, array $others, Verdict $verdict, array $linked, \Closure $areTwo): bool
    {
        foreach ($some as $one) {
            foreach ($others as $other) {
                if (! isset($linked["$one $other"]) && ($verdict !== Verdict::Same || $areTwo($one, $other))) {
                    return false;
                }
            }
        }

        return true;
    }
}
