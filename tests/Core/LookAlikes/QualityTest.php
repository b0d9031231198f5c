<?php

declare(strict_types=1);

namespace Tests\Core\LookAlikes;

use Almanac\LookAlikes\Likeness;
use PHPUnit\Framework\TestCase;
use Tests\MadeUp\Judged;
use Tests\MadeUp\MadeUpBook;

/**
 * How good the comparison is on made-up books of 6,000 records with hard negatives, of seeds that were not used while
 * anything was chosen: nothing may be tuned by them. The figures stand in docs/look-alikes.md.
 */
final class QualityTest extends TestCase
{
    private const HELD_BACK = [1969, 1988, 1990];

    public function test_it_is_nearly_always_right_when_sure_and_misses_little(): void
    {
        $all = Judged::nothing();
        $books = array_combine(self::HELD_BACK, array_map(MadeUpBook::of(...), self::HELD_BACK));
        foreach ($books as $seed => $book) {
            $judged = Judged::book($book);
            fwrite(STDERR, $judged->row("seed $seed")."\n");
            $all = $all->and($judged);
        }
        fwrite(STDERR, $all->row('all three')."\n");
        foreach (self::simpleWays() as $way => $shared) {
            $simply = Judged::nothing();
            foreach ($books as $book) {
                $simply = $simply->and(Judged::simply($book, $shared));
            }
            fwrite(STDERR, $simply->row($way)."\n");
            $this->assertLessThan($all->precisionOfSame(), $simply->precisionOfSame(), $way);
        }
        $this->assertGreaterThanOrEqual(0.99, $all->precisionOfSame());
        $this->assertGreaterThanOrEqual(0.80, $all->recallOfSame());
        $this->assertGreaterThanOrEqual(0.60, $all->precision());
        $this->assertGreaterThanOrEqual(0.96, $all->recall());
        $this->assertGreaterThanOrEqual(0.995, $all->blocking());
    }

    /** @return array<string, \Closure(Likeness): list<string>> */
    private static function simpleWays(): array
    {
        return [
            'equal names' => fn (Likeness $one) => [implode(' ', $one->given).' '.implode(' ', $one->name)],
            'equal email or phone' => fn (Likeness $one) => [...$one->emails, ...$one->phones],
        ];
    }
}
