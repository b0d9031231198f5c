<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Interchange\CsvTable;
use Almanac\Interchange\DocumentColumns;
use Almanac\Interchange\DocumentReader;
use Almanac\Interchange\HolidayCalendar;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\ReadDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class DocumentTableTest extends TestCase
{
    /**
     * RFC 4180, section 2, and what spreadsheets make of it.
     *
     * @param array<int, list<string>> $rows by line
     */
    #[TestWith(["a,b\r\n1,2\r\n", [1 => ['a', 'b'], 2 => ['1', '2']]])]
    #[TestWith(["\xEF\xBB\xBFa;b\n1;\"2,5\"", [1 => ['a', 'b'], 2 => ['1', '2,5']]])]
    #[TestWith(["a\tb\n1\t2", [1 => ['a', 'b'], 2 => ['1', '2']]])]
    #[TestWith(["a,b\n\"x\ny\",2\n\n3,4", [1 => ['a', 'b'], 2 => ["x\ny", '2'], 5 => ['3', '4']]], 'a line break in quotes, an empty line')]
    #[TestWith(["a,b\n\"say \"\"so\"\"\",2", [1 => ['a', 'b'], 2 => ['say "so"', '2']]])]
    #[TestWith(["name\nZ\xFCrich", [1 => ['name'], 2 => ['Zürich']]], 'Windows-1252')]
    #[TestWith(["name\nЗахария 東京", [1 => ['name'], 2 => ['Захария 東京']]])]
    public function test_tables_are_read_as_spreadsheets_save_them(string $content, array $rows): void
    {
        $this->assertSame($rows, iterator_to_array(CsvTable::rows($content)));
    }

    public function test_what_is_no_text_is_refused(): void
    {
        $this->expectException(InterchangeRefused::class);
        iterator_to_array(CsvTable::rows("PK\x03\x04\0\0"));
    }

    public function test_nothing_written_runs_in_a_spreadsheet(): void
    {
        $rows = [['=1+1', '@SUM(A1)', '+49', '-5', '-5.20', '-x', 'plain', 'a,"b"']];
        $written = CsvTable::write($rows);
        $this->assertSame(
            [1 => ["'=1+1", "'@SUM(A1)", "'+49", '-5', '-5.20', "'-x", 'plain', 'a,"b"']],
            iterator_to_array(CsvTable::rows($written)),
        );
    }

    public function test_rows_of_one_number_are_one_document(): void
    {
        [$documents, $problems] = $this->read(
            "Kind;Number;Party;Date;Due;Currency;Tax;Text;Quantity;Amount\ninvoice;7;Penhallow;11/3/2026;12/3/2026;;6;Dome;2;100,50\ninvoice;7;Penhallow;;;;6;Lens;;9.99\ncredit note;8;Penhallow;2026-11-04;;EUR;;;;5\n",
        );
        $this->assertSame([], $problems);
        $this->assertSame([2, 4], array_keys($documents));
        $this->assertSame(['invoice', '7', '2026-11-03', '2026-12-03', 'USD', '210.99', '223.65'], $this->told($documents[2]));
        $this->assertSame(['credit-note', '8', '2026-11-04', '', 'EUR', '5.00', '5.00'], $this->told($documents[4]));
    }

    public function test_every_bad_line_is_told_at_its_column(): void
    {
        [$documents, $problems] = $this->read(
            "kind,number,party,date,due,amount,tax\ninvoice,1,A,2026-11-03,,ten,\nwarrant,2,A,2026-11-03,,5,\ninvoice,3,,31 Feb,,5,\ninvoice,4,A,2026-11-03,2026-11-01,5,\ninvoice,5,A,2026-11-03,,5,150\ninvoice,6,A,2026-11-03,,-5,\ninvoice,7,A,2026-11-03,,5,\ninvoice,7,A,2026-11-04,,5,\ninvoice,8,A,2026-11-05,,5,\n",
        );
        $this->assertSame([10], array_keys($documents));
        $this->assertSame([
            2 => ['amount: “ten” is not a number. Write it like 1250.00.'],
            3 => ['kind: “warrant” is not a kind of document. Write invoice, credit note, bill, quote, order or purchase order.'],
            4 => ['party: Type whose it is: a name, or their number.', 'date: There is no 31 February: February 2026 has 28 days.'],
            5 => ['due: A document dated 3 Nov 2026 cannot be due earlier, on 1 Nov 2026.'],
            6 => ['tax: “150” is not a percentage. Write a number from 0 to 100, like 2 or 2.5.'],
            7 => ['amount: The document comes to USD −5.00. For money that goes back, write a credit note.'],
            9 => ['date: The first line of this document has another date.'],
        ], array_map(fn (array $found) => array_map(fn (array $one) => "$one[0]: $one[1]", $found), $problems));
    }

    /** @param  list<string>  $targets */
    #[TestWith([['kind', 'number', '', '', ''], 'Say which column is: client or vendor, date, amount.'])]
    #[TestWith([['kind', 'number', 'party', 'date', 'amount', 'amount'], 'Two columns are said to be “Amount”. Leave one of them out.'])]
    #[TestWith([['kind', 'number', 'party', 'party-number', 'date', 'amount'], ''])]
    public function test_what_is_in_the_way_of_reading_columns_so_is_told(array $targets, string $problem): void
    {
        $this->assertSame($problem, DocumentColumns::problem($targets));
    }

    public function test_no_document_has_more_lines_than_an_office_would_write(): void
    {
        $reader = DocumentReader::of(['kind', 'number', 'party', 'date', 'amount'], TypedDay::reader(Day::of(2026, 11, 24), true), 'USD');
        $lines = array_fill(1, 1500, ['invoice', '7', 'Penhallow', '2026-11-03', '1']);
        $this->assertSame([1 => 1000, 1001 => 500], array_map(count(...), iterator_to_array($reader->documents($lines))));
    }

    /** RFC 5545: events of whole days, those that repeat, those that last. */
    public function test_holidays_are_read_from_a_calendar(): void
    {
        $event = fn (string ...$lines) => "BEGIN:VEVENT\r\nUID:".
            md5(implode($lines)).
            "\r\n".
            implode("\r\n", $lines).
            "\r\nEND:VEVENT\r\n";
        $calendar =
            "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n".
            $event('DTSTART;VALUE=DATE:20261224', 'DTEND;VALUE=DATE:20261226', 'SUMMARY:Shut').
            $event('DTSTART;VALUE=DATE:20200501', 'RRULE:FREQ=YEARLY', 'SUMMARY:May Day').
            $event('DTSTART:20261130T090000', 'SUMMARY:A meeting').
            "END:VCALENDAR\r\n";
        $days = array_map(fn (array $day) => $day[0]->toIso().' '.$day[1], HolidayCalendar::read($calendar, Day::of(2026, 11, 24)));
        $this->assertSame(
            [
                '2026-12-24 Shut',
                '2026-12-25 Shut',
                '2027-05-01 May Day',
                '2028-05-01 May Day',
                '2029-05-01 May Day',
                '2030-05-01 May Day',
                '2031-05-01 May Day',
            ],
            $days,
        );
        $this->expectExceptionMessage('This is not an iCalendar file. Such files end in .ics.');
        HolidayCalendar::read('kind,number', Day::of(2026, 11, 24));
    }

    /** @return array{array<int, ReadDocument>, array<int, list<array{string, string}>>} by line; what is wrong with the column's name */
    private function read(string $content): array
    {
        $rows = iterator_to_array(CsvTable::rows($content));
        $targets = DocumentColumns::guess(array_shift($rows) ?? []);
        $rows = array_combine(array_slice(array_keys(iterator_to_array(CsvTable::rows($content))), 1), $rows);
        $reader = DocumentReader::of($targets, TypedDay::reader(Day::of(2026, 11, 24), true), 'USD');
        $documents = $problems = [];
        foreach ($reader->documents($rows) as $head => $lines) {
            $read = $reader->read($lines);
            $documents += $read->document === null ? [] : [$head => $read->document];
            foreach ($read->problems as $line => $found) {
                $problems[$line] = array_map(fn (array $one) => [$targets[$one[0]], $one[1]], $found);
            }
        }

        return [$documents, $problems];
    }

    /** @return list<string> */
    private function told(ReadDocument $document): array
    {
        $totals = $document->totals();

        return [
            $document->kind->value,
            $document->number,
            $document->date->toIso(),
            $document->due?->toIso() ?? '',
            $document->currency,
            $totals->net->toDecimal(),
            $totals->gross->toDecimal(),
        ];
    }

    /** @return iterable<string, array{string}> an event of a holiday file, wrong in one way */
    public static function oddHolidays(): iterable
    {
        yield 'no day' => ['SUMMARY:Feast'];
        yield 'an odd day' => ["DTSTART:soon\nSUMMARY:Feast"];
        yield 'every second' => ["DTSTART;VALUE=DATE:20261124\nRRULE:FREQ=SECONDLY"];
        yield 'every day, for ever' => ["DTSTART;VALUE=DATE:00010101\nRRULE:FREQ=DAILY"];
        yield 'the last year' => ["DTSTART;VALUE=DATE:99991231\nRRULE:FREQ=YEARLY"];
        yield 'an odd rule' => ["DTSTART;VALUE=DATE:20261124\nRRULE:FREQ=YEARLY;BYMONTH=99"];
        yield 'no end' => ["DTSTART;VALUE=DATE:20261224\nDTEND;VALUE=DATE:99991231\nSUMMARY:Winter"];
    }

    #[DataProvider('oddHolidays')]
    public function test_an_odd_holiday_is_left_out_at_once(string $event): void
    {
        $began = hrtime(true);
        try {
            $days = HolidayCalendar::read(
                "BEGIN:VCALENDAR\nVERSION:2.0\nBEGIN:VEVENT\n$event\nEND:VEVENT\nBEGIN:VEVENT\nDTSTART;VALUE=DATE:20261225\nSUMMARY:Christmas\nEND:VEVENT\nEND:VCALENDAR\n",
                Day::of(2026, 11, 24),
            );
            $this->assertLessThan(70, count($days));
            $this->assertContains('2026-12-25', array_map(fn (array $day) => $day[0]->toIso(), $days));
        } catch (InterchangeRefused $refused) {
            $this->assertNotSame('', $refused->getMessage());
        }
        $this->assertLessThan(2e9, hrtime(true) - $began, 'it does not count for ever');
    }
}
