<?php

declare(strict_types=1);

namespace Tests\Core\Conflicts;

use Almanac\Conflicts\AlikeName;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AlikeNameTest extends TestCase
{
    /** @return iterable<string, array{string, string, bool}> */
    public static function names(): iterable
    {
        yield 'the same' => ['Edith Larkin', 'Mrs. Edith Larkin', true];
        yield 'turned round' => ['Larkin, Edith', 'Edith Larkin', true];
        yield 'a family name alone' => ['Larkin', 'Walter Larkin', true];
        yield 'a nickname' => ['Bill Wren', 'William Wren', true];
        yield 'without its legal form' => ['Tarn and Whitlow Ltd', 'Tarn & Whitlow Bellfounders Limited', true];
        yield 'with a slip' => ['Penhalow Observatory', 'Penhallow Observatory', true];
        yield 'by its sound' => ['Philip Wren', 'Filip Wren', true];
        yield 'without its accents' => ['Aebi-Muller', 'Regula Aebi-Müller', true];
        yield 'in another script' => ['王小明', '王小明', true];
        yield 'another given name' => ['Edith Larkin', 'Walter Larkin', false];
        yield 'another family name' => ['Edith Larkin', 'Edith Marlow', false];
        yield 'a word that is not there' => ['Whitlow Holdings', 'Tarn & Whitlow', false];
        yield 'short words are not guessed' => ['Ann Roe', 'Ana Rot', false];
        yield 'one letter means itself alone' => ['W', 'Walter Larkin', false];
        yield 'nothing' => [' ,. ', 'Edith Larkin', false];
    }

    #[DataProvider('names')]
    public function test_whom_a_name_may_mean(string $typed, string $kept, bool $means): void
    {
        $this->assertSame($means, AlikeName::of($typed)->means($kept));
    }

    public function test_a_name_means_itself_whatever_is_dropped_of_it(): void
    {
        foreach (['Dr. Augusta Penhallow', 'Zahnrad Lindqvist GmbH', 'The Company', 'Åsa de la Cruz', 'José Núñez III'] as $name) {
            $this->assertTrue(AlikeName::of($name)->means($name), $name);
            $this->assertTrue(AlikeName::of(mb_strtoupper($name))->means($name), $name);
        }
    }
}
