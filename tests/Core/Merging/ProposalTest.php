<?php

declare(strict_types=1);

namespace Tests\Core\Merging;

use Almanac\Calendar\Day;
use Almanac\Merging\Belonging;
use Almanac\Merging\Bundles;
use Almanac\Merging\Offer;
use Almanac\Merging\Proposal;
use Almanac\Merging\Why;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is proposed where several records say something; common practice, no published source. */
final class ProposalTest extends TestCase
{
    /**
     * @param list<array{string, int|null, bool}> $said by each: what, when it was changed, and whether it is confirmed
     */
    #[TestWith([[['', null, false], ['', null, false]], false, 0, Why::AllSaySo])]
    #[TestWith([[['', 9, false], ['Wren', null, false]], false, 1, Why::OnlyOne])]
    #[TestWith([[['Wren', 9, false], ['Wren', 2, false]], false, 0, Why::AllSaySo])]
    #[TestWith([[['Bob', 9, false], ['Robert', 2, false]], true, 1, Why::Fuller])]
    #[TestWith([[['R.', null, false], ['Rob', 3, false]], true, 1, Why::Fuller])]
    // As many letters: what was changed last.
    #[TestWith([[['Anna', 3, false], ['Anne', 5, false]], true, 1, Why::Changed])]
    #[TestWith([[['net 30', 3, false], ['net 10', 5, false]], false, 1, Why::Changed])]
    #[TestWith([[['net 30', 7, false], ['net 10', 5, false]], false, 0, Why::Changed])]
    #[TestWith([[['net 30', null, false], ['net 10', null, false]], false, 0, Why::Stays])]
    // What was confirmed goes before what was only changed.
    #[TestWith([[['•••• 1', 9, false], ['•••• 2', 5, true]], false, 1, Why::Confirmed])]
    #[TestWith([[['•••• 1', 9, true], ['•••• 2', 5, true], ['•••• 3', 12, true]], false, 2, Why::Confirmed])]
    public function test_what_is_proposed_and_why(array $said, bool $isName, int $at, Why $why): void
    {
        $offers = array_map(
            fn (int $id, array $one) => new Offer($id, $one[0] === '' ? null : $one[0], $one[0], $one[0] === '', $one[1], null, $one[2]),
            array_keys($said),
            $said,
        );
        if ($offers === []) {
            $this->fail('Somebody says something.');
        }
        $proposal = Proposal::of($offers, $isName);
        $this->assertSame([$at, $why], [$proposal->offer->partyId, $proposal->why]);
    }

    public function test_why_is_said_with_the_day(): void
    {
        $this->assertSame(
            'changed last, on '.Day::fromIso('2026-05-03')->toText(),
            Why::Changed->words(Day::fromIso('2026-05-03')->toText()),
        );
        $this->assertSame('confirmed', Why::Confirmed->words(''));
    }

    public function test_documents_and_money_that_hang_together_go_together(): void
    {
        $this->assertSame(
            [['d1', 'p1', 'd3'], ['d2'], ['p2']],
            Bundles::of(['d1', 'd2', 'p1', 'd3', 'p2'], [['p1', 'd1'], ['d3', 'p1'], ['d9', 'd2']]),
        );
        $this->assertSame([], Bundles::of([], [['a', 'b']]));
        // However they are tied, none is lost and none is twice.
        mt_srand(5);
        for ($n = 0; $n < 50; $n++) {
            $members = array_map(fn (int $at) => "m$at", range(1, mt_rand(1, 30)));
            $ties = array_map(fn () => [$members[array_rand($members)], $members[array_rand($members)]], range(1, 20));
            $bundles = Bundles::of($members, $ties);
            $this->assertEqualsCanonicalizing($members, array_merge(...$bundles));
            foreach ($ties as [$one, $other]) {
                $this->assertCount(
                    1,
                    array_filter($bundles, fn (array $bundle) => in_array($one, $bundle, true) && in_array($other, $bundle, true)),
                );
            }
        }
    }

    public function test_what_came_belongs_to_whoever_was_called_so(): void
    {
        $names = [3 => ['Robert Larkin'], 5 => ['Bob Larkin', 'B. Larkin']];
        $this->assertSame(
            [5, 5, 3, 3],
            array_map(fn (string $name) => Belonging::byName($name, $names), ['bob larkin', 'B. Larkin', 'Robert Larkin', 'Somebody else']),
        );
        $this->assertSame(3, Belonging::byName('Larkin', [3 => ['Larkin'], 5 => ['Larkin']]));
    }
}
