<?php

declare(strict_types=1);

namespace Tests\Core\LookAlikes;

use Almanac\LookAlikes\Estimate;
use PHPUnit\Framework\TestCase;
use Tests\MadeUp\Chance;

final class EstimateTest extends TestCase
{
    /**
     * Two coins, of which nobody has noted which was thrown: C. B. Do and S. Batzoglou, "What is the expectation maximization
     * algorithm?", Nature Biotechnology 26 (2008), figure 1, from memory. Five times ten throws, each coin as likely.
     */
    public function test_the_two_coins_of_the_textbook(): void
    {
        $thrown = fn (int $heads) => implode(' ', [...array_fill(0, $heads, 'coin-heads'), ...array_fill(0, 10 - $heads, 'coin-tails')]);
        $patterns = [$thrown(5) => 1, $thrown(9) => 1, $thrown(8) => 1, $thrown(4) => 1, $thrown(7) => 1];
        $start = ['coin-heads' => [0.6, 0.5], 'coin-tails' => [0.4, 0.5]];
        $of = fn (int $steps) => Estimate::of($patterns, $start, 0.5, isShareKnown: true, prior: 0.0, held: 0.0, steps: $steps);
        $this->assertEqualsWithDelta([0.71, 0.58], [$of(1)->m['coin-heads'], $of(1)->u['coin-heads']], 0.005);
        $this->assertEqualsWithDelta([0.80, 0.52], [$of(10)->m['coin-heads'], $of(10)->u['coin-heads']], 0.005);
    }

    /** What was drawn with known figures is estimated back. */
    public function test_it_finds_the_figures_that_pairs_were_made_by(): void
    {
        $chance = new Chance(1977);
        $true = ['phone' => [0.7, 0.1], 'email' => [0.8, 0.05], 'place' => [0.6, 0.2], 'born' => [0.9, 0.02]];
        $patterns = [];
        for ($n = 0; $n < 20_000; $n++) {
            $isSame = $chance->is(0.3);
            $signs = [];
            foreach ($true as $thing => [$m, $u]) {
                $signs[] = "$thing-".($chance->is($isSame ? $m : $u) ? 'same' : 'differs');
            }
            $pattern = implode(' ', $signs);
            $patterns[$pattern] = ($patterns[$pattern] ?? 0) + 1;
        }
        $start = [];
        foreach (array_keys($true) as $thing) {
            $start += ["$thing-same" => [0.75, 0.3], "$thing-differs" => [0.25, 0.7]];
        }
        $found = Estimate::of($patterns, $start, held: 0.0);
        $this->assertEqualsWithDelta(0.3, $found->share, 0.02);
        foreach ($true as $thing => [$m, $u]) {
            $this->assertEqualsWithDelta([$m, $u], [$found->m["$thing-same"], $found->u["$thing-same"]], 0.03, $thing);
            $this->assertEqualsWithDelta(1.0, $found->m["$thing-same"] + $found->m["$thing-differs"], 1e-9);
        }
        $this->assertEquals($found, Estimate::of($patterns, $start, held: 0.0), 'the same each time');
    }

    public function test_of_nothing_it_keeps_what_it_began_with(): void
    {
        $found = Estimate::of([], ['phone-same' => [0.7, 0.1], 'phone-differs' => [0.3, 0.9]]);
        $this->assertEqualsWithDelta([0.7, 0.3], array_values($found->m), 1e-9);
    }

    /** In a book in which nobody stands twice, namesakes with other phones are no proof that a phone says nothing. */
    public function test_a_book_without_doubles_does_not_teach_it_that_nothing_speaks_against(): void
    {
        $found = Estimate::of(
            ['name-same phone-differs' => 80_000, 'name-differs phone-differs' => 200_000, 'name-differs phone-same' => 500],
            ['name-same' => [0.9, 0.01], 'name-differs' => [0.1, 0.99], 'phone-same' => [0.7, 0.0003], 'phone-differs' => [0.3, 0.9997]],
        );
        $this->assertGreaterThan(0.3, $found->m['phone-same']);
        $this->assertLessThan(0.7, $found->m['phone-differs']);
    }
}
