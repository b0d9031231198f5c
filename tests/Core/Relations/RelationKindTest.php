<?php

declare(strict_types=1);

namespace Tests\Core\Relations;

use Almanac\Records\PartyKind;
use Almanac\Relations\RelationKind;
use PHPUnit\Framework\TestCase;

final class RelationKindTest extends TestCase
{
    public function test_the_inverse_of_the_inverse_is_the_relation_itself(): void
    {
        foreach (RelationKind::cases() as $kind) {
            $this->assertSame($kind, $kind->inverse()->inverse());
        }
        $this->assertSame(RelationKind::Child, RelationKind::Parent->inverse());
        $this->assertSame(RelationKind::Spouse, RelationKind::Spouse->inverse());
    }

    public function test_a_relation_fits_from_one_end_when_its_inverse_fits_from_the_other(): void
    {
        foreach (RelationKind::cases() as $kind) {
            foreach (PartyKind::cases() as $from) {
                foreach (PartyKind::cases() as $to) {
                    $this->assertSame($kind->fits($from, $to), $kind->inverse()->fits($to, $from), $kind->value);
                }
            }
        }
    }

    public function test_who_can_be_what(): void
    {
        $this->assertTrue(RelationKind::Executor->fits(PartyKind::Person, PartyKind::Company), 'a bank may be executor');
        $this->assertFalse(RelationKind::Executor->fits(PartyKind::Company, PartyKind::Person), 'a company leaves no will');
        $this->assertFalse(RelationKind::Spouse->fits(PartyKind::Person, PartyKind::Company));
        $this->assertContains(RelationKind::Branch, RelationKind::of(PartyKind::Company));
        $this->assertNotContains(RelationKind::Branch, RelationKind::of(PartyKind::Person));
    }
}
