<?php

declare(strict_types=1);

namespace Tests\Core\Terms;

use Almanac\Calendar\BusinessCalendar;
use Almanac\Calendar\Day;
use Almanac\Calendar\NoHolidays;
use Almanac\Calendar\UsFederalHolidays;
use Almanac\Terms\Shorthand;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DueDateTest extends TestCase
{
    /**
     * Facts of the trade: common practice, no published source.
     *
     * @return iterable<string, array{string, string, string}>
     */
    public static function practice(): iterable
    {
        yield 'on receipt' => ['due on receipt', '2026-01-31', '2026-01-31'];
        yield 'cash on delivery' => ['COD', '2026-01-31', '2026-01-31'];
        yield 'net 30 over February' => ['net 30', '2026-01-31', '2026-03-02'];
        yield 'net 30 over a leap February' => ['net 30', '2028-01-31', '2028-03-01'];
        yield 'a bill due 14 days after its date' => ['14 days after the bill’s date', '2026-11-24', '2026-12-08'];
        yield 'an invoice due 7 days after its date' => ['7 days after invoice date', '2026-12-28', '2027-01-04'];
        yield 'net 15 for a favoured supplier' => ['net 15', '2026-02-20', '2026-03-07'];
        yield '60 days after the bill’s date' => ['60 days after the bill date', '2026-11-24', '2027-01-23'];
        yield 'days after the end of the month' => ['net 15 EOM', '2026-01-10', '2026-02-15'];
        yield 'days after the end of the bill’s month, on its last day' => ['net 15 EOM', '2026-01-31', '2026-02-15'];
        yield 'end of month' => ['EOM', '2026-02-01', '2026-02-28'];
        yield 'end of a leap February' => ['EOM', '2028-02-01', '2028-02-29'];
        yield 'end of the following month' => ['end of following month', '2026-01-31', '2026-02-28'];
        yield 'a day of the following month' => ['20th of following month', '2026-01-05', '2026-02-20'];
        yield 'a day that the following month lacks' => ['31st prox', '2026-03-05', '2026-04-30'];
        yield 'a day of this month, to come' => ['25th of this month', '2026-01-10', '2026-01-25'];
        yield 'a day of this month, today' => ['25th of this month', '2026-01-25', '2026-01-25'];
        yield 'a day of this month, past' => ['25th of this month', '2026-01-26', '2026-02-25'];
        yield 'before the cutoff' => ['10th prox cutoff 25', '2026-01-25', '2026-02-10'];
        yield 'after the cutoff' => ['10th proximo, cutoff 25', '2026-01-26', '2026-03-10'];
        yield 'a month after' => ['net 1 month', '2026-01-31', '2026-02-28'];
        yield 'the discount does not move the due date' => ['2/10 net 30', '2026-01-31', '2026-03-02'];
        yield 'next business day: 29 March is a Sunday' => ['net 30, next business day', '2026-02-27', '2026-03-30'];
        yield 'previous business day' => ['net 30, previous business day', '2026-02-27', '2026-03-27'];
        yield 'within the month: 31 May is a Sunday' => ['EOM, next business day within the month', '2026-05-04', '2026-05-29'];
        yield 'over a holiday: 25 December' => ['25th of this month, next business day', '2026-12-01', '2026-12-28'];
    }

    #[DataProvider('practice')]
    public function test_due_date(string $terms, string $documentDate, string $due): void
    {
        $outcome = Shorthand::read($terms)->applyTo(Day::fromIso($documentDate), BusinessCalendar::with(new UsFederalHolidays));
        $this->assertSame($due, $outcome->due()->toIso());
    }

    public function test_nothing_is_due_before_its_document_on_any_day_of_2023_to_2029(): void
    {
        $calendar = BusinessCalendar::with(new UsFederalHolidays);
        $terms = array_map(Shorthand::read(...), [
            'due on receipt',
            'net 0',
            'net 30',
            'net 0 EOM',
            'net 15 EOM',
            'EOM',
            'EOM + 1 month',
            '10th prox',
            '31st prox + 2 months cutoff 20',
            '1st of this month',
            '31st of this month',
            'net 1 month',
            '2/10 net 30',
            '1/15 EOM net 45',
            '30% on receipt, 70% net 30',
            'due on receipt, previous business day',
            'EOM, previous business day',
            'EOM, next business day within the month',
            'net 30, next business day',
        ]);
        for ($day = Day::of(2023, 1, 1); $day->year < 2030; $day = $day->plusDays(1)) {
            foreach ($terms as $one) {
                $outcome = $one->applyTo($day, $calendar);
                foreach ($outcome->parts as $part) {
                    $this->assertFalse($part->due->isBefore($day), $one->toShorthand().' on '.$day);
                    $this->assertFalse($part->due->isAfter($outcome->due()));
                }
                if ($outcome->discount !== null) {
                    $this->assertFalse($outcome->discount->lastDay->isBefore($day));
                    $this->assertFalse($outcome->discount->lastDay->isAfter($outcome->due()));
                }
            }
        }
    }

    public function test_days_count_as_phps_own_calendar_counts_them(): void
    {
        $calendar = BusinessCalendar::with(new NoHolidays);
        foreach ([1, 7, 14, 30, 45, 60, 90, 365] as $days) {
            $terms = Shorthand::read("net $days");
            $afterMonth = Shorthand::read("net $days EOM");
            for ($day = Day::of(2023, 1, 1); $day->year < 2030; $day = $day->plusDays(3)) {
                $php = new \DateTimeImmutable($day->toIso());
                $this->assertSame($php->modify("+$days days")->format('Y-m-d'), $terms->applyTo($day, $calendar)->due()->toIso());
                $this->assertSame(
                    $php->modify('last day of this month')->modify("+$days days")->format('Y-m-d'),
                    $afterMonth->applyTo($day, $calendar)->due()->toIso(),
                );
            }
        }
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function sentences(): iterable
    {
        yield 'days' => ['net 30', '2026-01-31', '31 Jan 2026, plus 30 days, is Mon 2 Mar 2026.'];
        yield 'one day' => ['net 1', '2026-01-31', '31 Jan 2026, plus 1 day, is Sun 1 Feb 2026.'];
        yield 'receipt' => ['COD', '2026-01-31', 'Due on receipt, the document’s own date, is Sat 31 Jan 2026.'];
        yield 'end of month' => ['EOM', '2026-01-10', 'The end of the document’s month is Sat 31 Jan 2026.'];
        yield 'short month' => ['31st prox', '2026-01-10', 'The 31st of the following month, which is its last day, is Sat 28 Feb 2026.'];
        yield 'cutoff' => [
            '10th prox cutoff 25',
            '2026-01-26',
            '26 Jan 2026 is after the cutoff on the 25th, so the 10th of the month 2 months on is Tue 10 Mar 2026.',
        ];
        yield 'past' => [
            '5th of this month',
            '2026-01-10',
            'The 5th is past on 10 Jan 2026, so the 5th of the next month is Thu 5 Feb 2026.',
        ];
        yield 'weekend' => [
            'net 30, next business day',
            '2026-02-27',
            '27 Feb 2026, plus 30 days, is Sun 29 Mar 2026. That is a Sunday, so the next business day: Mon 30 Mar 2026.',
        ];
        yield 'holiday' => [
            'net 2, next business day',
            '2026-11-24',
            '24 Nov 2026, plus 2 days, is Thu 26 Nov 2026. That is Thanksgiving Day, so the next business day: Fri 27 Nov 2026.',
        ];
        yield 'previous would be too early' => [
            'COD, previous business day',
            '2026-01-31',
            'Due on receipt, the document’s own date, is Sat 31 Jan 2026. That is a Saturday, so the next business day: Mon 2 Feb 2026.',
        ];
        yield 'discount' => [
            '2/10 net 30',
            '2026-01-31',
            '31 Jan 2026, plus 30 days, is Mon 2 Mar 2026. 2% off until 10 Feb 2026; not taking it costs 37.24% a year.',
        ];
        yield 'instalments' => [
            '30% on receipt, 70% net 30',
            '2026-01-31',
            '30%: Due on receipt, the document’s own date, is Sat 31 Jan 2026. 70%: 31 Jan 2026, plus 30 days, is Mon 2 Mar 2026.',
        ];
    }

    #[DataProvider('sentences')]
    public function test_every_date_comes_with_its_sentence(string $terms, string $documentDate, string $sentence): void
    {
        $outcome = Shorthand::read($terms)->applyTo(Day::fromIso($documentDate), BusinessCalendar::with(new UsFederalHolidays));
        $this->assertSame($sentence, $outcome->sentence());
    }
}
