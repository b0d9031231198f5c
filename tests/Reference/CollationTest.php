<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Lists\Collation;
use PHPUnit\Framework\TestCase;

/** The order of names against Node's Intl.Collator: CLDR root collation, as another program has it. */
final class CollationTest extends TestCase
{
    public function test_names_sort_as_another_program_sorts_them(): void
    {
        mt_srand(1815);
        $parts = ['Ångström', 'Angstrom', 'ångström', 'Strauß', 'Strauss', 'de la Tour', 'De La Tour', 'D’Arcy', 'Darcy', 'Øster', 'Oster', 'Łódź',
            'Lodz', 'Müller', 'Mueller', 'Muller', 'Žižka', 'Zizka', 'Æbel', 'Abel', '4 Winds', '12 Bells', 'St. Osyth',
            'Петров', 'Ёлкин', 'Ελένη',
            '李明', 'Smith & Sons', 'Smith and Sons', 'O’Neill', 'ONeill', 'van der Berg', 'Vandenberg'];
        $names = $parts;
        for ($n = 0; $n < 600; $n++) {
            $names[] = $parts[mt_rand(0, count($parts) - 1)].', '.$parts[mt_rand(0, count($parts) - 1)].(mt_rand(0, 3) === 0 ? ' '.mt_rand(1, 30) : '');
        }
        $names = array_values(array_unique($names));
        $ours = $names;
        usort($ours, fn (string $a, string $b) => strcmp(Collation::key($a), Collation::key($b)));
        $this->assertSame(NodeReference::ask('collation.mjs', $names), $ours);
    }

    public function test_each_name_stands_under_a_letter(): void
    {
        $letters = [
            'Ångström' => 'A', 'ärger' => 'A', '“Zebra”' => 'Z', 'Øster' => 'O', 'Łódź' => 'L',
            '4 Winds' => '#', 'Петров' => 'П', '李明' => '李', '' => '#',
        ];
        $this->assertSame(
            $letters,
            array_combine(
                array_keys($letters),
                array_map(fn (int|string $name) => Collation::letter((string) $name), array_keys($letters)),
            ),
        );
    }
}
