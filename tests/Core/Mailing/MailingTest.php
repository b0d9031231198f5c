<?php

declare(strict_types=1);

namespace Tests\Core\Mailing;

use Almanac\Mailing\Addressee;
use Almanac\Mailing\Envelope;
use Almanac\Mailing\LabelSheet;
use Almanac\Mailing\Mailing;
use Almanac\Mailing\MailingRefused;
use PHPUnit\Framework\TestCase;

/** Sheets of labels, and who gets one. Common practice, no published source. */
final class MailingTest extends TestCase
{
    public function test_every_sheet_has_its_labels_inside_the_page_and_none_over_another(): void
    {
        foreach (LabelSheet::all() as $sheet) {
            $seen = [];
            for ($at = 0; $at < $sheet->count(); $at++) {
                [$page, $left, $top] = $sheet->place($at);
                $this->assertSame(0, $page);
                $this->assertGreaterThanOrEqual(0, min($left, $top), $sheet->key);
                $this->assertLessThanOrEqual($sheet->pageWidth + 0.5, $left + $sheet->width, $sheet->key);
                $this->assertLessThanOrEqual($sheet->pageHeight + 0.5, $top + $sheet->height, $sheet->key);
                foreach ($seen as [$otherLeft, $otherTop]) {
                    $this->assertTrue(
                        abs($left - $otherLeft) >= $sheet->width - 0.01 || abs($top - $otherTop) >= $sheet->height - 0.01,
                        $sheet->key,
                    );
                }
                $seen[] = [$left, $top];
            }
            $this->assertSame(1, $sheet->place($sheet->count())[0], 'the next one is on the next page');
        }
        // As they are sold: 30 and 10 to a Letter sheet, 21 and 24 to A4.
        $this->assertSame([30, 10, 21, 24, 1, 1], array_map(fn (LabelSheet $sheet) => $sheet->count(), array_values(LabelSheet::all())));
        $this->assertSame(
            [0, 3, 4],
            [
                LabelSheet::named('letter-30')->sheets(0, 5),
                LabelSheet::named('letter-30')->sheets(90, 0),
                LabelSheet::named('letter-30')->sheets(90, 1),
            ],
        );
    }

    public function test_a_sheet_of_ones_own_has_to_fit(): void
    {
        $own = LabelSheet::own(210, 297, 2, 8, 5, 13, 99, 34, 2, 0);
        $this->assertSame([16, [1, 106.0, 13.0]], [$own->count(), $own->place(17)]);
        foreach ([[210, 297, 3, 8, 5, 13, 99, 34, 2, 0], [210, 297, 2, 9, 5, 13, 99, 34, 2, 0], [210, 297, 0, 8, 5, 13, 99, 34, 2, 0], [210, 297, 2, 8, 5, 13, 9, 34, 2, 0], [0, 0, 1, 1, 0, 0, 99, 34, 0, 0]] as $wrong) {
            try {
                LabelSheet::own(...$wrong);
                $this->fail('It does not fit.');
            } catch (MailingRefused $refused) {
                $this->assertMatchesRegularExpression('/do not fit|has to be at least/', $refused->getMessage());
            }
        }
        $this->assertSame(29, LabelSheet::named('letter-30')->startAt(30));
        $this->expectExceptionObject(MailingRefused::startsPastTheEnd(30));
        LabelSheet::named('letter-30')->startAt(31);
    }

    public function test_couples_and_households_get_one_and_who_cannot_be_written_to_is_told(): void
    {
        $home = ['9 Pond Street', 'NEWFANE, VT 05345'];
        $person = fn (int $id, string $given, string $family, string $place = 'p', ?int $with = null, array $names = []): Addressee => new Addressee(
            $id, "$family, $given", array_values([...$names === [] ? ["$given $family"] : $names, ...$home]), '', $with,
            $place, "$given $family", $family,
        );
        $couple = ['Edith Larkin and', 'Walter Larkin'];
        $list = [
            $person(1, 'Edith', 'Larkin', 'p', 2, $couple),
            $person(2, 'Walter', 'Larkin', 'p', 1, ['Walter Larkin and', 'Edith Larkin']), $person(3, 'Ottilie', 'Larkin'),
            $person(4, 'Silas', 'Wren', 'q'), $person(5, 'Ida', 'Bell', 'q'), $person(6, 'Tom', 'Ames', ''), $person(7, 'Ann', 'Ames', ''),
            new Addressee(8, 'Copper Ltd', ['Copper Ltd', ...$home]), new Addressee(9, 'Gone, A', [], 'has died'),
            new Addressee(10, 'Lost, B', [], 'no address'),
        ];
        $names = fn (bool $once): array => array_map(
            fn (Envelope $one) => implode(' / ', array_diff($one->lines, $home)),
            Mailing::to($list, $once)->envelopes,
        );
        $this->assertSame(
            ['Edith Larkin and / Walter Larkin', 'Ottilie Larkin', 'Silas Wren', 'Ida Bell', 'Tom Ames', 'Ann Ames', 'Copper Ltd'],
            $names(false),
        );
        $this->assertSame(['The Larkin household', 'Silas Wren / Ida Bell', 'Tom Ames', 'Ann Ames', 'Copper Ltd'], $names(true));
        $this->assertSame(
            ['Edith Larkin and', 'Walter Larkin', ...$home],
            Mailing::to(array_slice($list, 0, 2), true)->envelopes[0]->lines,
            'a couple by themselves is a couple',
        );
        $this->assertSame([9 => 'has died', 10 => 'no address'], array_column(Mailing::to($list, true)->leftOut, 'why', 'id'));
    }
}
