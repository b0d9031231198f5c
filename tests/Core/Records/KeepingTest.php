<?php

declare(strict_types=1);

namespace Tests\Core\Records;

use Almanac\Calendar\Day;
use Almanac\Records\Difference;
use Almanac\Records\Grade;
use Almanac\Records\Inherited;
use Almanac\Records\LoggedFact;
use Almanac\Records\PartyKind;
use Almanac\Records\WordingRefused;
use Almanac\Relations\RelationKind;
use Almanac\Relations\RelationName;
use PHPUnit\Framework\TestCase;

final class KeepingTest extends TestCase
{
    public function test_the_log_tells_that_a_private_value_changed_and_not_what_it_is(): void
    {
        $tell = fn (string $from, string $to) => array_map(
            fn (Difference $difference) => [$difference->label, $difference->from, $difference->to],
            Difference::between(['b' => LoggedFact::private('Birth date', $from)], ['b' => LoggedFact::private('Birth date', $to)]),
        );
        $this->assertSame([['Birth date', '', 'kept, private']], $tell('', '1950-02-03'));
        $this->assertSame([['Birth date', 'kept, private', 'another, private']], $tell('1950-02-03', '1950-02-04'));
        $this->assertSame([['Birth date', 'kept, private', '']], $tell('1950-02-03', ''));
        $this->assertSame([], $tell('1950-02-03', '1950-02-03'));
    }

    public function test_the_nearest_value_is_inherited(): void
    {
        $of = fn (?string $own, ?string $company, ?string $parent) => Inherited::nearest($own, [['Foundry', $company], ['Group', $parent]]);
        $this->assertSame(['Maud', ''], [$of('Maud', 'Tobias', null)->value, $of('Maud', 'Tobias', null)->from]);
        $this->assertSame(['Tobias', 'Foundry'], [$of(null, 'Tobias', 'Ada')->value, $of(null, 'Tobias', 'Ada')->from]);
        $this->assertSame(['Ada', 'Group'], [$of(null, null, 'Ada')->value, $of(null, null, 'Ada')->from]);
        $this->assertNull($of(null, null, null)->value);
        $this->assertTrue($of(null, null, 'Ada')->isInherited());
        $this->assertFalse($of(null, null, null)->isInherited());
    }

    public function test_a_grade_goes_from_one_to_five(): void
    {
        foreach ([1, 5] as $grade) {
            $this->assertSame($grade, Grade::of($grade));
        }
        foreach ([0, 6, -1] as $none) {
            try {
                Grade::of($none);
                $this->fail("$none is no grade");
            } catch (WordingRefused $refusal) {
                $this->assertSame('Choose a grade from 1 to 5.', $refusal->getMessage());
            }
        }
    }

    public function test_an_age_grows_on_the_birthday(): void
    {
        $age = fn (string $born, string $on) => Day::fromIso($born)->yearsUntil(Day::fromIso($on));
        $this->assertSame(76, $age('1950-03-01', '2026-03-01'));
        $this->assertSame(75, $age('1950-03-01', '2026-02-28'));
        $this->assertSame(1, $age('2024-02-29', '2026-02-28'), 'whoever was born on a leap day waits for March');
        $this->assertSame(2, $age('2024-02-29', '2026-03-01'));
        $this->assertSame(0, $age('2026-03-01', '2020-01-01'));
    }

    public function test_a_tie_told_twice_from_the_other_end_is_itself(): void
    {
        $ties = [
            ...array_map(RelationName::of(...), RelationKind::cases()),
            RelationName::own('landlord', 'tenant'),
            RelationName::own('old friend', ''),
        ];
        foreach ($ties as $tie) {
            $this->assertEquals($tie, $tie->inverse()->inverse());
        }
        $this->assertSame('tenant', RelationName::own('landlord', 'tenant')->inverse()->name);
        $this->assertSame('old friend', RelationName::own('old friend', '')->inverse()->name);
        $this->assertTrue(RelationName::own('landlord', 'tenant')->fits(PartyKind::Company, PartyKind::Person));
        $this->assertFalse(RelationName::of(RelationKind::Spouse)->fits(PartyKind::Company, PartyKind::Person));
        $this->assertSame(
            [0, 1, 2, null],
            array_map(fn (RelationKind $kind) => RelationName::of($kind)->standsInAs(), [
                RelationKind::Executor,
                RelationKind::NextOfKin,
                RelationKind::Spouse,
                RelationKind::Child,
            ]),
        );
        $this->assertNull(RelationName::own('executor of old', '')->standsInAs());
    }
}
