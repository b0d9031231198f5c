<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/**
 * Which records of a book are compared at all: those that share a key, never all with all. A key of very many (a front
 * desk's number, a common name) is cut by second keys; what is still too much is put in order and only neighbours are
 * compared (M. A. Hernández and S. J. Stolfo, "The Merge/Purge Problem for Large Databases", 1995), so that the work
 * grows with n log n.
 */
final class Blocks
{
    private const MOST = 30;

    private const NEIGHBOURS = 6;

    /**
     * @param iterable<array{string, int}> $keys keys and records, those of one key one after another
     * @param \Closure(int): list<string> $secondKeys of a record
     * @param \Closure(string): bool $isWeak whether a key of very many says too little for its neighbours to be compared
     *
     * @return \Generator<array{int, int}> the smaller first; a pair that shares several keys comes several times
     */
    public static function pairs(iterable $keys, \Closure $secondKeys, \Closure $isWeak): \Generator
    {
        $block = [];
        $of = null;
        foreach ($keys as [$key, $id]) {
            if ($key !== $of) {
                yield from self::within($block, $secondKeys, $of !== null && $isWeak($of));
                $block = [];
                $of = $key;
            }
            $block[] = $id;
        }
        yield from self::within($block, $secondKeys, $of !== null && $isWeak($of));
    }

    /**
     * @param list<int> $ids
     * @param \Closure(int): list<string> $secondKeys
     *
     * @return \Generator<array{int, int}>
     */
    private static function within(array $ids, \Closure $secondKeys, bool $isWeak): \Generator
    {
        if (count($ids) <= self::MOST) {
            yield from self::neighbours($ids, self::MOST);

            return;
        }
        $cut = $order = [];
        foreach ($ids as $id) {
            $seconds = $secondKeys($id);
            $order[$id] = implode(' ', $seconds);
            foreach ($seconds as $key) {
                $cut[$key][] = $id;
            }
        }
        if (! $isWeak) {
            asort($order);
            yield from self::neighbours(array_keys($order), self::NEIGHBOURS);
        }
        foreach ($cut as $some) {
            if (count($some) <= self::MOST) {
                yield from self::neighbours($some, self::MOST);
            }
        }
    }

    /**
     * @param list<int> $ids
     *
     * @return \Generator<array{int, int}>
     */
    private static function neighbours(array $ids, int $most): \Generator
    {
        foreach ($ids as $at => $one) {
            for ($next = $at + 1; $next <= $at + $most && isset($ids[$next]); $next++) {
                yield [min($one, $ids[$next]), max($one, $ids[$next])];
            }
        }
    }
}
