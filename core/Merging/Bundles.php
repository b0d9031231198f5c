<?php

declare(strict_types=1);

namespace Almanac\Merging;

/** Documents and payments that go to one record together, since one settles or follows the other. */
final class Bundles
{
    /**
     * @param list<string> $members
     * @param list<array{string, string}> $ties between two members; those of anybody else are left aside
     *
     * @return list<list<string>> in the order of their first members
     */
    public static function of(array $members, array $ties): array
    {
        $root = array_combine($members, $members);
        foreach ($ties as [$one, $other]) {
            if (isset($root[$one], $root[$other])) {
                $root[self::rootOf($root, $one)] = self::rootOf($root, $other);
            }
        }
        $bundles = [];
        foreach ($members as $member) {
            $bundles[self::rootOf($root, $member)][] = $member;
        }

        return array_values($bundles);
    }

    /** @param  array<string, string>  $root */
    private static function rootOf(array $root, string $member): string
    {
        while ($root[$member] !== $member) {
            $member = $root[$member];
        }

        return $member;
    }
}
