<?php

declare(strict_types=1);

namespace Tests\Core\LookAlikes;

use Almanac\LookAlikes\Blocks;
use Almanac\LookAlikes\Groups;
use Almanac\LookAlikes\Verdict;
use PHPUnit\Framework\TestCase;

final class GroupsTest extends TestCase
{
    public function test_sure_links_close_and_a_contradiction_splits(): void
    {
        $never = fn () => false;
        $sure = fn (int $a, int $b, float $score = 9.0) => [$a, $b, $score, Verdict::Same];
        $perhaps = fn (int $a, int $b, float $score = 1.0) => [$a, $b, $score, Verdict::Perhaps];
        $this->assertSame([[1, 2, 3]], Groups::of([$sure(1, 2), $sure(2, 3)], $never));
        $this->assertSame([[1, 2], [2, 3]], Groups::of([$perhaps(1, 2), $perhaps(2, 3, 0.5)], $never), 'no chain of weak links');
        $this->assertSame([[1, 2, 3]], Groups::of([$perhaps(1, 2), $perhaps(2, 3, 0.5), $perhaps(1, 3, 0.2)], $never));
        // A father and his son, and a record that may be either's.
        $this->assertSame(
            [[1, 2], [2, 3]],
            Groups::of([$sure(1, 2), $sure(2, 3, 8.0)], fn (int $a, int $b) => [min($a, $b), max($a, $b)] === [1, 3]),
        );
        $this->assertSame([[1, 2], [3, 4]], Groups::of([$sure(3, 4, 8.0), $sure(1, 2)], $never));
        $this->assertSame([], Groups::of([], $never));
    }

    /** A key of very many is cut: the pairs grow with their number, and those that share a second key are still among them. */
    public function test_a_key_of_very_many_does_not_explode(): void
    {
        $pairs = fn (int $many, bool $isWeak = false) => iterator_to_array(Blocks::pairs(
            array_map(fn (int $id) => ['pw:SM0', $id], range(1, $many)),
            fn (int $id) => ['smith', 'street '.intdiv($id, 2)],
            fn () => $isWeak,
        ), false);
        $this->assertCount(30 * 29 / 2, $pairs(30));
        $this->assertLessThan(10 * 2000, count($pairs(2000)));
        $this->assertContains([1000, 1001], $pairs(2000));
        $this->assertCount(999, $pairs(2000, isWeak: true), 'of a weak key only those that share a second one');
        $this->assertSame([[3, 7]], iterator_to_array(Blocks::pairs([['a', 7], ['a', 3], ['b', 7]], fn () => [], fn () => false), false));
    }
}
