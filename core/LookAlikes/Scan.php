<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/** Goes through all people, or all companies, of a book: estimates what each sign says there, and finds those that look alike. */
final readonly class Scan
{
    /** Pairs drawn at random, to see how strangers agree. */
    private const DRAWN = 40_000;

    private const SEED = 1969;

    /** With fewer candidates than that nothing is estimated: the shipped figures hold. */
    private const FEWEST = 400;

    /**
     * @param list<array{int, int, Comparison}> $alike records, the smaller first, that are perhaps or nearly surely the same
     * @param int $compared how many pairs were looked at
     */
    private function __construct(public Weights $weights, public array $alike, public int $compared)
    {
    }

    /**
     * @param array<int, Likeness> $book by record, all of one kind
     * @param iterable<array{string, int}> $keys keys and records, those of one key one after another; others than of the book are left out
     * @param \Closure(int): mixed|null $tell is told now and then how many of the keys are done
     */
    public static function of(array $book, iterable $keys, ?\Closure $tell = null): self
    {
        $frequencies = Frequencies::count($book);
        [$evidence, $patternOf, $compared] = self::compare($book, $keys, $tell);
        $counts = array_count_values($patternOf);
        $patterns = [];
        foreach ($evidence as $at => $one) {
            $patterns[$one->pattern()] = $counts[$at] ?? 0;
        }
        $weights = count($patternOf) < self::FEWEST
            ? Weights::shipped($frequencies)
            : Weights::estimated($patterns, self::strangers($book), $frequencies);
        $alike = [];
        foreach ($patternOf as $pair => $at) {
            [$one, $other] = [$pair >> 32, $pair & 0xFFFFFFFF];
            $comparison = Comparison::weigh($evidence[$at], $book[$one], $book[$other], $weights);
            if ($comparison->isPossible()) {
                $alike[] = [$one, $other, $comparison];
            }
        }

        return new self($weights, $alike, $compared);
    }

    /**
     * @param array<int, Likeness> $book
     * @param iterable<array{string, int}> $keys
     * @param \Closure(int): mixed|null $tell
     *
     * @return array{list<Evidence>, array<int, int>, int} what pairs show, each once; which of that a pair shows, of those that
     *                                                     may be one; how many were compared
     */
    private static function compare(array $book, iterable $keys, ?\Closure $tell): array
    {
        $evidence = $places = $patternOf = $seen = [];
        foreach (self::candidates($book, $keys, $tell) as [$one, $other]) {
            $pair = $one << 32 | $other;
            if (isset($seen[$pair]) || $one === $other) {
                continue;
            }
            $seen[$pair] = true;
            $found = Evidence::between($book[$one], $book[$other]);
            if ($found !== null && ! Contradictions::areTwo($found)) {
                $pattern = $found->pattern();
                if (! isset($places[$pattern])) {
                    $places[$pattern] = count($evidence);
                    $evidence[] = $found;
                }
                $patternOf[$pair] = $places[$pattern];
            }
        }

        return [$evidence, $patternOf, count($seen)];
    }

    /**
     * The pairs that are compared at all, some of them several times.
     *
     * @param array<int, Likeness> $book
     * @param iterable<array{string, int}> $keys
     * @param \Closure(int): mixed|null $tell
     *
     * @return \Generator<array{int, int}>
     */
    public static function candidates(array $book, iterable $keys, ?\Closure $tell = null): \Generator
    {
        $secondKeys = fn (int $id): array => Keys::second($book[$id]);
        $ours = function () use ($book, $keys, $tell): \Generator {
            $done = 0;
            foreach ($keys as [$key, $id]) {
                if (isset($book[$id])) {
                    yield [$key, $id];
                }
                if (++$done % 20_000 === 0 && $tell !== null) {
                    $tell($done);
                }
            }
        };
        yield from Blocks::pairs($ours(), $secondKeys, Keys::isWeak(...));
        // A birth date is nobody's key where keys are kept, since whoever reads them would know it.
        $born = [];
        foreach ($book as $id => $one) {
            if ($one->born !== null) {
                $born[$one->born->toIso()][] = $id;
            }
        }
        foreach ($born as $day => $ids) {
            yield from Blocks::pairs(array_map(fn (int $id) => [(string) $day, $id], $ids), $secondKeys, fn () => false);
        }
    }

    /**
     * How often each sign is seen of pairs drawn at random, nearly all of whom are strangers; the same pairs each time.
     *
     * @param array<int, Likeness> $book
     *
     * @return array<string, int> by sign
     */
    private static function strangers(array $book): array
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(self::SEED));
        $records = array_values($book);
        $seen = [];
        for ($n = 0; $n < self::DRAWN; $n++) {
            [$one, $other] = [$random->getInt(0, count($records) - 1), $random->getInt(0, count($records) - 1)];
            foreach ($one === $other ? [] : Evidence::between($records[$one], $records[$other])->signs ?? [] as $sign) {
                $seen[$sign->value] = ($seen[$sign->value] ?? 0) + 1;
            }
        }

        return $seen;
    }
}
