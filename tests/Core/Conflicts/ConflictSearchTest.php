<?php

declare(strict_types=1);

namespace Tests\Core\Conflicts;

use Almanac\Conflicts\ConflictSearch;
use Almanac\Conflicts\Degree;
use Almanac\Conflicts\Finding;
use Almanac\Conflicts\Opposition;
use Almanac\Conflicts\PastRole;
use Almanac\Conflicts\Tie;
use Almanac\Conflicts\Ties;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Paths and degrees on a graph made by hand, and shortest ways on random ones. */
final class ConflictSearchTest extends TestCase
{
    private const NAMES = [
        1 => 'Tarn & Whitlow',
        2 => 'Whitlow Holdings',
        3 => 'Isolde Quill',
        4 => 'Ambrose Quill',
        5 => 'Ledger Mutual',
        6 => 'Somebody New',
        7 => 'Fern Adjusters',
    ];

    /** @return iterable<string, array{int, string, int, list<string>}> */
    public static function names(): iterable
    {
        $opposing = 'Whitlow Holdings — opposing side in case 2024-007, closed 2025';
        yield 'the other side itself' => [2, 'client', 1, ["opposes: $opposing"]];
        yield 'the other side once more' => [2, 'opposing side', 1, ["known: $opposing"]];
        yield 'a role that has no side' => [2, 'adjuster', 1, ["known: $opposing"]];
        yield 'a branch of the other side' => [
            1, 'client', 1, ['opposes: Tarn & Whitlow — branch of Whitlow Holdings — opposing side in case 2024-007, closed 2025'],
        ];
        yield 'a branch, where only they themselves count' => [
            1, 'client', 0, ['near: Tarn & Whitlow — branch of Whitlow Holdings — opposing side in case 2024-007, closed 2025'],
        ];
        yield 'the spouse of a director of the other side' => [
            4, 'client', 1,
            ['near: Ambrose Quill — spouse of Isolde Quill — director at Whitlow Holdings — opposing side in case 2024-007, closed 2025'],
        ];
        yield 'the same, where two steps are close' => [
            4, 'client', 2,
            [
                'opposes: Ambrose Quill — spouse of Isolde Quill — director at Whitlow Holdings — opposing side in case 2024-007, closed 2025',
            ],
        ];
        yield 'a client of ours, to be acted against' => [
            5, 'Opposing side ', 1,
            ['opposes: Ledger Mutual — client in case 2026-002', 'opposes: In a case that you may not open; ask Cordelia Vane'],
        ];
        yield 'nobody has had to do with anything' => [7, 'client', 1, ['known: Fern Adjusters']];
    }

    /** @param  list<string>  $found */
    #[DataProvider('names')]
    public function test_the_ways_to_the_other_side(int $partyId, string $role, int $close, array $found): void
    {
        $search = ConflictSearch::of(
            Ties::of([
                Tie::of(1, 2, 'branch of', 'head office of'),
                Tie::of(3, 2, 'director at', 'employer of'),
                Tie::of(4, 3, 'spouse of', 'spouse of'),
            ]),
            [
                PastRole::of(2, 70, 'opposing side', 'case 2024-007, closed 2025'),
                PastRole::of(5, 71, 'client', 'case 2026-002'),
                PastRole::hidden(5, 72, 'client', 'case', 'Cordelia Vane'),
            ],
            Opposition::of([['client', 'opposing side']]),
            $close,
        );
        $findings = $search->findings([$partyId], $role);
        $this->assertSame($found, array_map(
            fn (Finding $finding) => "{$finding->degree->value}: {$finding->sentence(self::NAMES)}",
            $findings,
        ));
        $this->assertSame(
            explode(':', $found[0])[0],
            Degree::greatest(array_map(fn (Finding $finding) => $finding->degree, $findings))->value,
        );
    }

    public function test_nobody_alike_is_unknown(): void
    {
        $search = ConflictSearch::of(Ties::of([]), [], Opposition::of([]));
        $this->assertSame([], $search->findings([], 'client'));
        $this->assertSame(Degree::Unknown, Degree::greatest([]));
        $asked = array_filter(Degree::cases(), fn (Degree $degree) => $degree->isToBeDecided());
        $this->assertSame([Degree::Near, Degree::Opposes], array_values($asked));
    }

    public function test_what_weighs_most_comes_first_and_of_that_the_nearest(): void
    {
        $search = ConflictSearch::of(
            Ties::of([Tie::of(1, 2, 'near', 'near'), Tie::of(2, 3, 'near', 'near')]),
            [
                PastRole::of(1, 10, 'witness', 'case A'),
                PastRole::of(3, 11, 'opposing side', 'case B'),
                PastRole::of(2, 12, 'opposing side', 'case C'),
                PastRole::of(1, 13, 'opposing side', 'case D'),
                PastRole::of(2, 14, 'witness', 'case E'),
            ],
            Opposition::of([['opposing side', 'client']]),
        );
        $this->assertSame(
            ['case D', 'case C', 'case B', 'case A'],
            array_map(fn (Finding $finding) => $finding->role?->engagement, $search->findings([1], 'client')),
        );
    }

    /** Against a plain walk that tries every way of up to two steps. */
    public function test_ways_are_the_shortest_on_random_graphs(): void
    {
        mt_srand(20);
        for ($round = 0; $round < 60; $round++) {
            $ties = array_map(fn () => [mt_rand(1, 12), mt_rand(1, 12)], range(1, mt_rand(1, 25)));
            $linked = fn (int $one, int $other) => in_array([$one, $other], $ties, true) || in_array([$other, $one], $ties, true);
            $graph = Ties::of(array_map(fn (array $tie) => Tie::of($tie[0], $tie[1], 'to', 'from'), $ties));
            $start = mt_rand(1, 12);
            $expected = [$start => 0];
            foreach (range(1, 12) as $one) {
                foreach (range(1, 12) as $two) {
                    if ($linked($start, $one)) {
                        $expected[$one] = min($expected[$one] ?? 1, 1);
                    }
                    if ($linked($start, $one) && $linked($one, $two)) {
                        $expected[$two] = min($expected[$two] ?? 2, 2);
                    }
                }
            }
            $ways = $graph->within(2, $start);
            $lengths = array_map(count(...), $ways);
            ksort($expected);
            ksort($lengths);
            $this->assertSame($expected, $lengths);
            foreach ($ways as $reached => $way) {
                $at = $start;
                foreach ($way as $step) {
                    $this->assertTrue($linked($at, $step->partyId));
                    $at = $step->partyId;
                }
                $this->assertSame($reached, $at);
            }
        }
    }
}
