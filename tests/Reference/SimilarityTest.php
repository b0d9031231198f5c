<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Finding\Fold;
use Almanac\LookAlikes\JaroWinkler;
use Almanac\LookAlikes\NameForm;
use PHPUnit\Framework\TestCase;
use Tests\MadeUp\Words;

/** Against the npm package talisman. */
final class SimilarityTest extends TestCase
{
    public function test_a_thousand_pairs_of_names_agree(): void
    {
        mt_srand(1990);
        $names = ['penhallow', 'wren', 'larkin', 'petrov-ames', 'tanaka', 'quill', 'obuya', 'brass lantern foundry', 'zahnrad lindqvist'];
        $pairs = [];
        for ($n = 0; $n < 1000; $n++) {
            $one = $names[mt_rand(0, count($names) - 1)];
            $other = $n % 3 === 0 ? $names[mt_rand(0, count($names) - 1)] : $one;
            for ($slips = mt_rand(0, 3); $slips > 0; $slips--) {
                $at = mt_rand(0, strlen($other) - 1);
                $other = substr_replace($other, chr(mt_rand(97, 122)), $at, mt_rand(0, 1));
            }
            $pairs[] = [$one, $other];
        }
        foreach (NodeReference::ask('similarity.mjs', $pairs) as $index => $similarity) {
            $this->assertEqualsWithDelta($similarity, JaroWinkler::similarity(...$pairs[$index]), 1e-9, implode(' and ', $pairs[$index]));
        }
    }

    /**
     * Sounds of names. The two differ where the published rules are read differently (doubled c and k, x, tth, gh, mb, gn, wr):
     * names with those letters are left out.
     */
    public function test_names_sound_the_same(): void
    {
        $names = array_values(array_filter(
            array_unique(array_map(
                fn (string $name) => preg_replace('/[^a-z]/', '', Fold::text($name)) ?? '',
                [...Words::MEN, ...Words::WOMEN, ...Words::FAMILIES, ...Words::TOWNS, ...Words::STREETS],
            )),
            fn (string $name) => $name !== '' && preg_match('/ck|cc|tth|x|gh|mb|gn/', $name) === 0,
        ));
        $this->assertGreaterThan(250, count($names));
        $this->assertSame(array_map(NameForm::sound(...), $names), NodeReference::ask('sounds.mjs', $names));
    }
}
