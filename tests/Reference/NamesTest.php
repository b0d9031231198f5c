<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Names\TypedPersonName;
use PHPUnit\Framework\TestCase;

/**
 * Against the npm package humanname, which knows no "Family, Given" order, no Esq. after a comma
 * and no middle names but initials, and writes Jr. as Jr; names with any of these are left to the worked examples.
 */
final class NamesTest extends TestCase
{
    public function test_names_in_the_usual_order_are_taken_apart_alike(): void
    {
        $names = [];
        foreach (['', 'Mr. ', 'Mrs. ', 'Ms. ', 'Dr. '] as $prefix) {
            foreach (['Silas', 'Anne-Marie', 'Zoë'] as $given) {
                foreach (['', 'A. ', 'A. B. '] as $initials) {
                    foreach (['Wren', 'O\'Neil', 'Aebi-Müller', 'van der Rohe', 'de la Cruz', 'MacFinch'] as $family) {
                        foreach (['', ' Jr.', ' III'] as $suffix) {
                            $names[] = $prefix.$given.' '.$initials.$family.$suffix;
                        }
                    }
                }
            }
        }
        foreach (NodeReference::ask('names.mjs', $names) as $index => $theirs) {
            $ours = TypedPersonName::read($names[$index])->name;
            $this->assertSame(
                [$theirs['salutation'], $theirs['firstName'], $theirs['initials'], $theirs['lastName'], $theirs['suffix']],
                [$ours->prefix, $ours->given, $ours->middle, $ours->family, rtrim($ours->suffix, '.')],
                $names[$index],
            );
        }
        $this->assertCount(810, $names);
    }
}
