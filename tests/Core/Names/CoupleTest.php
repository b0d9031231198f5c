<?php

declare(strict_types=1);

namespace Tests\Core\Names;

use Almanac\Names\Couple;
use Almanac\Names\PersonName;
use Almanac\Names\TogetherAs;
use PHPUnit\Framework\TestCase;

/** Forms of American business letters; common practice, no published source. */
final class CoupleTest extends TestCase
{
    public function test_both_names_unless_told_otherwise(): void
    {
        $edith = PersonName::of('Edith', 'Larkin', 'Mrs.');
        $walter = PersonName::of('Walter', 'Larkin', 'Mr.', 'B.');
        $names = Couple::of($edith, $walter, TogetherAs::Names);
        $this->assertSame(['Mrs. Edith Larkin and', 'Mr. Walter B. Larkin'], $names->envelopeLines());
        $this->assertSame('Dear Mrs. Larkin and Mr. Larkin:', $names->salutation());
        $titles = Couple::of($edith, $walter, TogetherAs::Titles);
        $this->assertSame(['Mr. and Mrs. Walter B. Larkin'], $titles->envelopeLines());
        $this->assertSame('Dear Mr. and Mrs. Larkin:', $titles->salutation());
        $this->assertEquals($titles, Couple::of($walter, $edith, TogetherAs::Titles), 'whoever is asked first');
    }

    public function test_titles_are_drawn_together_only_where_they_can_be(): void
    {
        $ada = PersonName::of('Ada', 'Finch', 'Dr.');
        $silas = PersonName::of('Silas', 'Wren', 'Mr.');
        $this->assertSame(['Mr. Silas Wren and', 'Dr. Ada Finch'], Couple::of($ada, $silas, TogetherAs::Titles)->envelopeLines());
        $this->assertSame('Dear Mr. Wren and Dr. Finch:', Couple::of($ada, $silas, TogetherAs::Titles)->salutation());
        $this->assertSame(
            'Dear Si and Ada:',
            Couple::of(PersonName::of('Silas', 'Wren', preferred: 'Si'), $ada, TogetherAs::Names, true)->salutation(),
        );
        $this->assertSame(
            'Dear Thea Larkin and Mr. Wren:',
            Couple::of(PersonName::of('Thea', 'Larkin'), $silas, TogetherAs::Names)->salutation(),
        );
    }
}
