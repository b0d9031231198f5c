<?php

declare(strict_types=1);

namespace Tests\MadeUp;

use Almanac\LookAlikes\Keys;
use Almanac\LookAlikes\Likeness;
use Almanac\LookAlikes\Scan;

/** What a scan said of a made-up book, beside the truth. */
final readonly class Judged
{
    private function __construct(
        private int $true,
        private int $met,
        private int $same,
        private int $rightlySame,
        private int $alike,
        private int $rightlyAlike,
        public int $compared,
    ) {
    }

    public static function nothing(): self
    {
        return new self(0, 0, 0, 0, 0, 0, 0);
    }

    public static function book(MadeUpBook $book): self
    {
        $truth = $book->truth();
        $all = $book->likenesses();
        $met = [];
        [$same, $rightlySame, $alike, $rightlyAlike, $compared] = [0, 0, 0, 0, 0];
        foreach (['person', 'company'] as $kind) {
            $some = array_filter($all, fn (Likeness $one) => $one->kind->value === $kind);
            $scan = Scan::of($some, self::keysOf($some));
            foreach (Scan::candidates($some, self::keysOf($some)) as [$one, $other]) {
                $met["$one $other"] = true;
            }
            $compared += $scan->compared;
            foreach ($scan->alike as [$one, $other, $comparison]) {
                $isTrue = isset($truth["$one $other"]);
                $alike++;
                $rightlyAlike += (int) $isTrue;
                $same += (int) $comparison->isLikely();
                $rightlySame += (int) ($comparison->isLikely() && $isTrue);
            }
        }

        return new self(count($truth), count(array_intersect_key($truth, $met)), $same, $rightlySame, $alike, $rightlyAlike, $compared);
    }

    /**
     * What a simple way would say: two records are the same where they share one of these.
     *
     * @param \Closure(Likeness): list<string> $shared
     */
    public static function simply(MadeUpBook $book, \Closure $shared): self
    {
        $truth = $book->truth();
        $holders = $pairs = [];
        foreach ($book->likenesses() as $id => $one) {
            foreach ($shared($one) as $value) {
                foreach ($holders[$one->kind->value.$value] ?? [] as $other) {
                    $pairs["$other $id"] = true;
                }
                $holders[$one->kind->value.$value][] = $id;
            }
        }
        $rightly = count(array_intersect_key($truth, $pairs));

        return new self(count($truth), $rightly, count($pairs), $rightly, count($pairs), $rightly, count($pairs));
    }

    /**
     * @param array<int, Likeness> $book
     *
     * @return list<array{string, int}> sorted
     */
    public static function keysOf(array $book): array
    {
        $keys = [];
        foreach ($book as $id => $one) {
            foreach (Keys::of($one) as $key) {
                $keys[] = [$key, $id];
            }
        }
        sort($keys);

        return $keys;
    }

    public function and(self $other): self
    {
        return new self(...array_map(
            fn (int $a, int $b) => $a + $b,
            array_values(get_object_vars($this)),
            array_values(get_object_vars($other)),
        ));
    }

    public function precisionOfSame(): float
    {
        return $this->rightlySame / max(1, $this->same);
    }

    public function recallOfSame(): float
    {
        return $this->rightlySame / max(1, $this->true);
    }

    public function precision(): float
    {
        return $this->rightlyAlike / max(1, $this->alike);
    }

    public function recall(): float
    {
        return $this->rightlyAlike / max(1, $this->true);
    }

    /** Of those that are the same, how many were compared at all. */
    public function blocking(): float
    {
        return $this->met / max(1, $this->true);
    }

    public function row(string $title): string
    {
        return sprintf(
            '%-12s %5d that are the same, %7d compared, %.4f of them met | same: %.4f right, %.4f found | same or perhaps: %.4f right, %.4f found',
            $title, $this->true, $this->compared, $this->blocking(), $this->precisionOfSame(), $this->recallOfSame(),
            $this->precision(), $this->recall(),
        );
    }
}
