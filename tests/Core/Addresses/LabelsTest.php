<?php

declare(strict_types=1);

namespace Tests\Core\Addresses;

use Almanac\Addresses\Formatter;
use PHPUnit\Framework\TestCase;

/** Labels of 41 characters a line: common practice, no published source. */
final class LabelsTest extends TestCase
{
    public function test_no_line_is_too_long_and_nothing_is_lost(): void
    {
        mt_srand(41);
        $words = [
            'The',
            'Society',
            'of',
            'Zifferblätter',
            'und',
            'Glocken',
            '時計',
            'am',
            'Räderstraße',
            '🕰',
            'Preservation',
            str_repeat('w', 60),
        ];
        for ($round = 0; $round < 300; $round++) {
            $lines = [];
            for ($n = mt_rand(1, 5); $n > 0; $n--) {
                $lines[] = implode(' ', array_map(fn () => $words[mt_rand(0, count($words) - 1)], range(1, mt_rand(1, 9))));
            }
            $label = Formatter::onLabel($lines);
            foreach ($label as $line) {
                $this->assertLessThanOrEqual(Formatter::MAX_CHARACTERS, grapheme_strlen($line));
                $this->assertNotSame('', $line);
            }
            $plain = fn (array $all) => str_replace(' ', '', implode('', $all));
            $this->assertSame($plain($lines), $plain($label));
        }
    }

    public function test_what_fits_stays_as_it_is(): void
    {
        $lines = ['Mr. Silas A. Wren III', str_repeat('x', 41), 'KEENE, NH 03431'];
        $this->assertSame($lines, Formatter::onLabel($lines));
        $this->assertTrue(Formatter::fits($lines));
        $this->assertFalse(Formatter::fits([str_repeat('x', 42)]));
        $this->assertFalse(Formatter::fits(array_fill(0, 9, 'x')));
    }
}
