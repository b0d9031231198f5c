<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Details\FieldKind;
use Almanac\Details\FieldReader;
use Almanac\Interchange\ColumnFacts;
use Almanac\Interchange\GuessColumns;
use Almanac\Interchange\OnExisting;
use Almanac\Interchange\PartyColumns;
use Almanac\Interchange\PartyReader;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\ReadingOffice;
use Almanac\Interchange\ReadLine;
use Almanac\Interchange\RowChange;
use Almanac\Interchange\RowChanges;
use Almanac\Interchange\RowWriter;
use Almanac\Interchange\Target;
use Almanac\Money\DecimalSign;
use Almanac\Records\PartyKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Tables of people and companies: what their columns are, what stands in them, and what that would change. */
final class PartyTableTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<string>}> headings as spreadsheets and other programs have them; common practice, no published source */
    public static function headed(): iterable
    {
        yield 'an address book' => [
            [
                'First Name', 'Middle Name', 'Last Name', 'Title', 'Company', 'Job Title', 'Business Phone',
                'Home Phone 2', 'Mobile Phone', 'E-mail Address', 'E-mail 2 Address', 'Business Street',
                'Business City', 'Home Postal Code', 'Birthday', 'Notes',
            ],
            [
                'given', 'middle', 'family', 'job-title', 'company', 'job-title:2', 'phone:office', 'phone:home',
                'phone:mobile', 'email', 'email:2', 'street:office', 'locality:office', 'postcode:home', 'birth-date',
                'note',
            ],
        ];
        yield 'a list of customers' => [
            [
                'Customer', 'Contact', 'Phone', 'Fax', 'Bill to street', 'Bill to city', 'Ship to city', 'Terms',
                'Credit limit', 'Open balance', 'Tax ID', 'Customer Type', 'Nothing that we know',
            ],
            [
                'company', 'name', 'phone', 'phone:fax', 'street:billing', 'locality:billing', 'locality:delivery',
                'client-terms', 'client-limit', 'receivable', 'tax-ein', 'types', '',
            ],
        ];
        yield 'in German and French' => [
            ['Vorname', 'Nachname', 'Firma', 'Telefon', 'Strasse', 'PLZ', 'Ort', 'Land', 'Anrede', 'Prénom'],
            ['given', 'family', 'company', 'phone', 'street', 'postcode', 'locality', 'country', 'prefix', ''],
        ];
        yield 'of several lines' => [
            ['name', 'AddressLine1', 'Address Line 2', 'Town', 'County', 'Postcode', 'phone_1', 'phone_2', 'VAT No', 'Hobby'],
            ['name', 'street', 'street', 'locality', 'region', 'postcode', 'phone', 'phone:2', 'tax-vat', 'detail:7'],
        ];
    }

    /**
     * @param list<string> $headings
     * @param list<string> $targets
     */
    #[DataProvider('headed')]
    public function test_headings_are_understood_however_they_are_written(array $headings, array $targets): void
    {
        $this->assertSame($targets, GuessColumns::of(array_map(ColumnFacts::titled(...), $headings), ['detail:7' => 'Hobby']));
    }

    public function test_where_headings_say_nothing_what_stands_there_does(): void
    {
        $columns = array_map(ColumnFacts::titled(...), ['Column 1', 'Column 2', 'Column 3', 'Title', 'Column 5']);
        foreach ([['a@b.example', '802-555-0143', 'www.b.example', 'Mrs.', '3/4/2026'], ['c@d.example', '+44 20 7946 0018', 'https://d.example', 'Dr.', '5/6/2026']] as $row) {
            array_map(fn (ColumnFacts $one, string $cell) => $one->add($cell), $columns, $row);
        }
        $this->assertSame(['email', 'phone', 'website', 'prefix', ''], GuessColumns::of($columns));
        $this->assertTrue(ColumnFacts::areAmbiguous([$columns[4]]));
        $columns[4]->add('31/12/2026');
        $this->assertFalse(ColumnFacts::monthFirst([$columns[4]]));
        $this->assertTrue(GuessColumns::isHeading(['Name', 'Phone', 'Street']));
        $this->assertFalse(GuessColumns::isHeading(['Ottilie', '802-555-0143', 'o@larkin.example']));
        $amounts = ColumnFacts::titled('Balance');
        array_map($amounts->add(...), ['1.250,50', '3,20', '77']);
        $this->assertSame(DecimalSign::Comma, ColumnFacts::sign([$amounts]));
    }

    public function test_every_heading_that_we_write_is_known_again(): void
    {
        $writer = new RowWriter(
            ['phone' => 3, 'email' => 2, 'website' => 2, 'handle' => 1, 'profile' => 1, 'address' => 3, 'position' => 2, 'account' => 2],
            ['Old program', 'Guild'],
            ['detail:7' => 'Hobby'],
            [],
            true,
        );
        $headings = $writer->headings();
        $this->assertCount(count($headings), array_unique($headings));
        $targets = GuessColumns::of(array_map(ColumnFacts::titled(...), $headings), ['detail:7' => 'Hobby']);
        $this->assertSame([], array_keys(array_combine($headings, $targets), '', true));
        $this->assertCount(count($targets), array_unique($targets));
        $this->assertContains('code:Old program', $targets);
    }

    public function test_no_two_columns_have_the_same_heading_and_none_means_two(): void
    {
        $seen = [];
        foreach (PartyColumns::all() as $column) {
            foreach (array_unique($column->known()) as $heading) {
                $seen[$heading][] = $column->key;
            }
        }
        $this->assertSame([], array_filter($seen, fn (array $keys) => count($keys) > 1));
    }

    public function test_a_person_and_their_company_stand_on_one_line(): void
    {
        $row = $this->row(['given' => 'Ottilie', 'family' => 'Larkin', 'company' => 'Tern Hill Timber', 'job-title' => 'Owner', 'phone:mobile' => '802-555-0143; 802-555-0144', 'phone:office' => '(802) 555-0170 ext. 4',
            'email' => 'o@larkin.example, two@larkin.example', 'street' => "14 Canal Street\nRear",
            'locality' => 'Brattleboro', 'region' => 'Vermont', 'postcode' => '5301', 'role' => 'Supplier',
            'birth-date' => '3/4/1971', 'tags' => 'a; b', 'grade' => '4', 'client-terms' => 'Usual',
            'vendor-terms' => 'net 30']);
        $this->assertSame(PartyKind::Person, $row->kind);
        $this->assertSame([['Tern Hill Timber', 'Owner', '']], array_map(array_values(...), $row->positions));
        $this->assertSame(
            [
                '+18025550143' => 'mobile', '+18025550144' => 'mobile', '+18025550170 x4' => 'office',
                'o@larkin.example' => '', 'two@larkin.example' => '',
            ],
            array_column($row->points, 'label', 'value'),
        );
        $this->assertSame(
            ['no', 'yes', '1971-03-04', '4', 'Usual', 'Usual'],
            array_map($row->value(...), ['client', 'vendor', 'birth-date', 'grade', 'client-terms', 'vendor-terms']),
        );
        $this->assertSame(['a', 'b'], $row->tags);
    }

    public function test_who_somebody_is_is_told_by_what_is_said_and_by_the_name(): void
    {
        $kind = fn (array $cells): PartyKind => $this->row($cells)->kind;
        $this->assertSame(PartyKind::Company, $kind(['name' => 'Copper & Quill']));
        $this->assertSame(PartyKind::Company, $kind(['name' => 'Town of Saltmarsh']));
        $this->assertSame(PartyKind::Company, $kind(['company' => 'Anything', 'email' => 'a@b.example']));
        $this->assertSame(PartyKind::Company, $kind(['name' => 'Silas Wren', 'kind' => 'Organization']));
        $this->assertSame(PartyKind::Person, $kind(['name' => 'Wren, Silas A.']));
        $this->assertSame(PartyKind::Person, $kind(['name' => 'Silas Wren', 'company' => 'Brass Foundry Inc']));
        $this->assertSame('Wren', $this->row(['name' => 'Mr. Silas A. Wren III'])->value('family'));
        $this->assertSame(
            'Brass Foundry Inc',
            $this->row(['name' => 'Brass Foundry Inc', 'company' => 'brass foundry inc'])->value('name'),
        );
    }

    /** @return iterable<string, array{array<string, string>, array<string, string|null>}> cells, and what is said of the wrong ones */
    public static function wrong(): iterable
    {
        yield 'a day that is not' => [
            ['given' => 'A', 'birth-date' => '31/02/1990'],
            ['birth-date' => 'There is no 31 February: February 1990 has 28 days.'],
        ];
        yield 'a day to come' => [
            ['given' => 'A', 'birth-date' => '2030-01-01'],
            ['birth-date' => 'That day is still to come. Check the year.'],
        ];
        yield 'nobody' => [['email' => 'a@b.example'], ['given' => 'Type the name of a person or a company.']];
        yield 'all at once' => [['given' => 'A', 'phone' => '12', 'email' => 'nobody', 'postcode' => 'O5301', 'street' => 'x', 'country' => 'Atlantis'], [
            'phone' => '“12” has too few digits for a phone number. Check it, or begin with + and the country code.',
            'email' => '“nobody” lacks the @ of an email address. Type it like name@company.example.',
            'country' => '“Atlantis” is not understood here. Write the name of a country, or its two letters.',
            'postcode' => '“O5301” is not a valid ZIP code for the United States, which looks like 05301 or 05301-1234. Correct it, or leave it empty for now.',
        ]];
        yield 'a new word' => [
            ['name' => 'A Inc', 'types' => 'Museum; Zoo'],
            ['types' => '“Zoo” is not in the office’s list. Choose another, or let new words be added.'],
        ];
        yield 'nobody’s colleague' => [
            ['name' => 'A Inc', 'owner' => 'Nobody'],
            ['owner' => '“Nobody” is not understood here. Write the name of a colleague, such as Cordelia Vane.'],
        ];
        yield 'a number that cannot be' => [
            ['name' => 'A Inc', 'tax-ein' => '12-34'],
            ['tax-ein' => '“12-34” is not a valid EIN, which looks like 12-3456789.'],
        ];
        yield 'an account' => [['name' => 'A Inc', 'iban' => 'DE00 1234'], ['iban' => null]];
        yield 'far too long' => [['name' => str_repeat('x', 40_000)], ['name' => 'This is over 10,000 letters long. Shorten it.']];
        yield 'an amount' => [
            ['name' => 'A Inc', 'receivable' => 'lots'],
            ['receivable' => '“lots” is not a number. Write it like 1250.00.'],
        ];
        yield 'a balance the other way round' => [
            ['name' => 'A Inc', 'payable' => '-5'],
            ['payable' => 'An opening balance is not below zero. Leave it empty, and record what was paid too much as a payment.'],
        ];
        yield 'terms' => [['name' => 'A Inc', 'client-terms' => 'some day'], ['client-terms' => null]];
    }

    /**
     * @param array<string, string> $cells
     * @param array<string, string|null> $said
     */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_told_at_its_column_all_of_it_at_once(array $cells, array $said): void
    {
        $read = $this->read($cells + ['given' => '']);
        $keys = array_keys($cells + ['given' => '']);
        $found = [];
        foreach ($read->problems as [$column, $message]) {
            $found[$keys[$column]] = $message;
        }
        $this->assertNull($read->row);
        foreach ($said as $key => $message) {
            $this->assertArrayHasKey($key, $found);
            $message === null ?: $this->assertSame($message, $found[$key]);
        }
    }

    public function test_what_was_masked_says_nothing_and_an_apostrophe_is_no_text(): void
    {
        $row = $this->row(['name' => 'A Inc', 'tax-ein' => '•••• 6789', 'phone' => "'+18025550143", 'source' => "'=sum"]);
        $this->assertSame([[], '=sum', '+18025550143'], [$row->taxNumbers, $row->value('source'), $row->points[0]['value']]);
    }

    public function test_who_wants_no_letters_says_since_when_or_just_so(): void
    {
        $read = fn (array $cells): array => array_map($this->row(['name' => 'A Inc'] + $cells)->value(...), ['no-letters', 'no-letters-how']);
        $this->assertSame(['2026-01-31', 'by phone'], $read(['no-letters' => '31 Jan 2026', 'no-letters-how' => 'by phone']));
        $this->assertSame(['yes', ''], $read(['no-letters' => 'Yes']));
        $this->assertSame(['', ''], $read(['no-letters' => 'no', 'no-letters-how' => 'by phone']));
        $kept = $this->row(['name' => 'A Inc', 'no-letters' => '2026-01-31']);
        $this->assertNull(RowChanges::between($kept, $this->row(['name' => 'A Inc', 'no-letters' => 'yes']), OnExisting::TakeOver));
        $this->assertNotNull(RowChanges::between($this->row(['name' => 'A Inc']), $this->row(['name' => 'A Inc', 'no-letters' => 'yes']), OnExisting::Fill));
        // The same of the day on which somebody died.
        $died = fn (string $when) => $this->row(['kind' => 'person', 'given' => 'Ada', 'family' => 'Pell', 'deceased' => $when]);
        $this->assertNull(RowChanges::between($died('31 Jan 2026'), $died('yes'), OnExisting::TakeOver));
        $this->assertNotNull(RowChanges::between($died('31 Jan 2026'), $died('no'), OnExisting::TakeOver));
        $this->assertNotNull(RowChanges::between($died('yes'), $died('31 Jan 2026'), OnExisting::TakeOver));
    }

    public function test_new_words_and_roles_for_all_are_taken_when_that_was_said(): void
    {
        $office = self::office(takesNewWords: true, roles: ['client']);
        $row = PartyReader::of(
            [Target::of('name'), Target::of('types'), Target::of('detail:7')],
            $office,
        )->read(['A Inc', 'museum; Zoo', 'chess;go'])->row;
        $this->assertSame([['Museum', 'Zoo'], 'yes', "chess\ngo"], [$row?->types, $row?->value('client'), $row?->value('detail:7')]);
    }

    public function test_what_would_change_is_what_is_other_as_far_as_was_said(): void
    {
        $kept = $this->row([
            'name' => 'A Inc', 'phone' => '802-555-0143', 'source' => 'fair', 'street' => '1 Lane',
            'locality' => 'Putney', 'postcode' => '05346', 'types' => 'Museum', 'code:Guild' => '7',
            'tax-ein' => '12-3456789',
        ]);
        $read = $this->row([
            'name' => 'A Inc', 'phone' => '(802) 555-0143; 802-555-0199', 'source' => 'letter', 'language' => 'German',
            'street' => '2 Road', 'locality' => 'Putney', 'postcode' => '05346', 'types' => 'museum',
            'code:guild' => '8', 'tax-ein' => '12-3456780', 'client' => 'yes',
        ]);
        $told = fn (OnExisting $how): array => array_map(
            fn (RowChange $one) => "$one->title: $one->from > $one->to",
            RowChanges::between($kept, $read, $how)->changes ?? [],
        );
        $this->assertSame([], $told(OnExisting::Leave));
        $this->assertSame(['Language:  > de', 'Client:  > yes', 'Phone:  > 802-555-0199'], $told(OnExisting::Fill));
        $this->assertSame([
            'Came from: fair > letter', 'Language:  > de', 'Client:  > yes', 'Phone:  > 802-555-0199',
            'Address: 1 Lane, Putney, 05346 > 2 Road, Putney, 05346', 'Guild: 7 > 8',
            'EIN: •••• 6789 > •••• 6780',
        ], $told(OnExisting::TakeOver));
        foreach (OnExisting::cases() as $how) {
            $this->assertNull(RowChanges::between($kept, $kept, $how), 'the same changes nothing');
        }
    }

    /** @param  array<string, string>  $cells */
    private function row(array $cells): PartyRow
    {
        $read = $this->read($cells);

        return $read->row ?? throw new \LogicException(json_encode($read->problems, JSON_THROW_ON_ERROR));
    }

    /** @param  array<string, string>  $cells */
    private function read(array $cells): ReadLine
    {
        return PartyReader::of(array_map(Target::of(...), array_keys($cells)), self::office())->read(array_values($cells));
    }

    /** @param  list<string>  $roles */
    private static function office(bool $takesNewWords = false, array $roles = []): ReadingOffice
    {
        $days = TypedDay::reader($today = Day::of(2026, 11, 24), true);

        return new ReadingOffice(
            $today, $days, DecimalSign::Point, 'US', 'USD', FieldReader::of($days, 'USD'), ['Museum', 'Parish'],
            $takesNewWords, ['Cordelia Vane'], ['Usual' => 'net 30'],
            ['detail:7' => [FieldKind::Choices, ['chess', 'go']]], null, $roles,
        );
    }
}
