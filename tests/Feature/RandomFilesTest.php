<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Interchange\CsvTable;
use App\Models\User;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/**
 * Files of random lines, some of which say little, some the same in several places, some nonsense: what is checked as good is
 * taken, the same file again changes nothing, nor does what the book then writes, and taken back it is as it was.
 */
final class RandomFilesTest extends TestCase
{
    use CountsTheBook;
    use TakesImports;

    private const LINES = 30;

    /** What stands in the cells of a column; "#" is a number of the line. */
    private const CELLS = [
        'Name' => ['Ada Tolliver#', 'Larch Joiners#', 'Ольга Петрова#', 'O’Brien & Sons#, LLC', 'Dr. Jan van der Berg# Jr.'],
        'Title before the name' => ['Mr.', 'Dr.', 'Countess'], 'Given name' => ['Zoë#', '山田#'], 'Middle name' => ['J.', 'Mary Ann'],
        'Family name' => ['van Dyck#', '太郎#'], 'Suffix' => ['Jr.', 'CPA'], 'Preferred name' => ['Addy'], 'Pronouns' => ['she/her'],
        'Legal name' => ['Larch Joiners, Inc.'], 'Payee' => ['Larch J'], 'Legal form' => ['LLC'], 'Industry' => ['Timber'],
        'Company' => ['Putney Mill', 'putney mill', 'Alder Mills'], 'Company 2' => ['PUTNEY MILL', 'Alder Mills'],
        'Position' => ['Owner', 'Clerk'], 'Position 2' => ['Agent'], 'Department' => ['Yard'], 'Role' => ['client', 'vendor', 'both', 'neither'],
        'Phone' => ['802-555-01##', '(802) 555-01##', '+44 20 7946 00## ext. 5'], 'Phone 2' => ['+1 802 555 01##'], 'Phone label' => ['fax'],
        'Email' => ['p#@larch.example', 'P#@LARCH.EXAMPLE', 'p#@münchen.example', 'a b'], 'Email 2' => ['p#@larch.example', 'q#@larch.example'],
        'Website' => ['www.w#.example', 'https://w#.example/a?b=c'], 'Messaging' => ['@a#'], 'Street' => ['4 Shaving Lane', 'Flat 3; 9 Oak St'],
        'City' => ['Putney', 'Genève'], 'State' => ['VT', 'Ontario'], 'Postcode' => ['05346', '1204', 'K1A 0B1'], 'Country' => ['Switzerland', 'CA'],
        'Address uses' => ['billing', 'postal; home'], 'Street 2' => ['4 Shaving Lane', '9 Mill St'], 'City 2' => ['Putney', 'Keene'],
        'Types' => ['New type; Museum', 'museum'], 'Tags' => ['timber; Timber', 'a;b'], 'Came from' => ['Fair'], 'Language' => ['German', 'en-US'],
        'Grade' => ['1', '5'], 'No letters since' => ['yes', '2026-01-01', 'no'], 'Birth date' => ['1950-02-03'],
        'Has died' => ['yes', 'no', '2020-01-01'], 'Payment terms when we bill them' => ['net 30', '2/10 net 30'],
        'Payment terms when we pay them' => ['COD'], 'Currency when we bill them' => ['jpy', 'CHF'], 'Credit limit' => ['250.50', '1000'],
        'EIN' => ['12-34567##'], 'EIN 2' => ['1234567##', '12-34566##'], 'VAT number' => ['DE136695976; DE129273398'], 'Form on file' => ['2025-01-01'],
        'IBAN' => ['GB82WEST12345698765432', 'CH9300762011623852957'], 'IBAN 2' => ['GB82 WEST 1234 5698 7654 32'],
        'Routing number' => ['021000021'], 'Account number' => ['12345678'], 'Opening balance receivable' => ['120.50', '0'],
        'Opening balance payable' => ['12'], 'Opening balance as of' => ['2026-10-31'], 'Note' => ['Met at the fair.'], 'Number' => ['20##', '3'],
        'Crm number' => ['N#'],
    ];

    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    #[TestWith([4])]
    public function test_what_is_good_is_taken_once(int $seed): void
    {
        mt_srand($seed);
        $this->asAdministrator();
        $before = $this->counted();
        $file = self::file();
        $first = $this->taken($file, ['existing' => 'fill']);
        $lines = $this->linesOf($first);
        $this->assertNotContains('refused', array_column($lines, 'done'), json_encode($lines, JSON_PRETTY_PRINT) ?: '');
        $added = array_column(array_filter($lines, fn (array $line) => $line['done'] === 'added'), 'line');
        $this->assertNotSame([], $added);
        $this->assertKeptAsWritten();
        foreach (['fill', 'take-over'] as $existing) {
            $this->assertSame([], array_filter(
                $this->linesOf($this->checked($file, 'people.csv', ['existing' => $existing])),
                fn (array $line) => in_array($line['line'], $added, true) && $line['outcome'] !== 'same',
            ));
        }
        $written = $this->get('/api/parties/export?private=1&whole=1&format=csv')->assertOk()->streamedContent();
        $again = $this->checked($written, 'all.csv', ['existing' => 'take-over']);
        $this->assertSame(['same'], array_values(array_unique(array_column($this->linesOf($again), 'outcome'))));
        $this->act($first, 'take-back')->assertJsonPath('results', [['outcome' => 'taken-back', 'title' => 'taken back', 'count' => count($added)]]);
        $this->assertSame($before, $this->counted());
    }

    /** The demo office, with what stands in cells carried over to others of the same column. */
    #[TestWith([3, 'take-over'])]
    #[TestWith([4, 'fill'])]
    public function test_what_was_changed_goes_back_to_the_letter(int $seed, string $existing): void
    {
        mt_srand($seed);
        $this->demo();
        $this->actingAs(User::query()->where('email', 'maud@orreryvane.example')->firstOrFail());
        $whole = fn (): string => $this->get('/api/parties/export?private=1&whole=1&format=csv')->assertOk()->streamedContent();
        $before = $whole();
        $file = $this->carriedAbout($before);
        $id = $this->taken($file, ['existing' => $existing]);
        $done = array_column(array_filter($this->linesOf($id), fn (array $line) => $line['outcome'] === 'changes'), 'done', 'line');
        $this->assertGreaterThan(10, count($done));
        $this->assertSame(['changed'], array_values(array_unique($done)));
        $this->assertNotSame($before, $whole());
        $this->assertKeptAsWritten();
        $again = $this->checked($file, 'all.csv', ['existing' => $existing]);
        $this->assertSame([], array_filter($this->linesOf($again), fn (array $line) => isset($done[$line['line']]) && $line['outcome'] !== 'same'));
        $this->act($id, 'take-back')->assertJsonPath('results.*.outcome', ['taken-back']);
        $this->assertSame($before, $whole());
        $this->assertKeptAsWritten();
    }

    private function carriedAbout(string $table): string
    {
        $rows = array_values(iterator_to_array(CsvTable::rows($table)));
        $kind = (int) array_search('Kind', $rows[0], true);
        for ($made = 0; $made < 120;) {
            [$to, $from, $column] = [mt_rand(1, count($rows) - 1), mt_rand(1, count($rows) - 1), mt_rand(0, count($rows[0]) - 1)];
            $text = $rows[$from][$column];
            if ($text !== '' && $text !== $rows[$to][$column] && $rows[0][$column] !== 'Number' && $rows[$from][$kind] === $rows[$to][$kind]) {
                $rows[$to][$column] = $text;
                $made++;
            }
        }

        return CsvTable::write($rows);
    }

    private static function file(): string
    {
        $headings = array_keys(self::CELLS);
        shuffle($headings);
        $headings = array_unique(['Name', 'Email', ...array_slice($headings, 0, mt_rand(10, 40))]);
        $file = fopen('php://memory', 'w+') ?: throw new \RuntimeException('No memory.');
        fputcsv($file, $headings, escape: '');
        for ($line = 10; $line < 10 + self::LINES; $line++) {
            fputcsv($file, array_map(function (string $heading) use ($line): string {
                $cells = self::CELLS[$heading];
                $cell = mt_rand(1, 100) <= ($heading === 'Name' ? 80 : 45) ? $cells[mt_rand(0, count($cells) - 1)] : '';

                // A name of one line and of another have no letters in common but those of all.
                return str_replace(['##', '#'], [(string) $line, strtr((string) $line, '0123456789', 'bcdfghklmn')], $cell);
            }, $headings), escape: '');
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /** @param  array<string, mixed>  $said */
    private function taken(string $file, array $said): int
    {
        $id = $this->checked($file, 'people.csv', $said);
        $this->act($id, 'take')->assertJsonPath('state', 'taken')->assertJsonPath('failure', '');

        return $id;
    }

    /** @param  array<string, mixed>  $said */
    private function checked(string $file, string $name, array $said): int
    {
        /** @var int $id */
        $id = $this->handIn($file, $name)->assertCreated()->json('id');
        $this->match($id, ['takesNewWords' => true, 'isMonthFirst' => true] + $said)->assertJsonPath('state', 'checked');

        return $id;
    }

    /** @return list<array{line: int, outcome: string, done: string|null, ...}> */
    private function linesOf(int $id): array
    {
        /** @var list<array{line: int, outcome: string, done: string|null, ...}> $lines */
        $lines = [];
        $pages = 1;
        for ($page = 1; $page <= $pages; $page++) {
            $read = $this->getJson("/api/imports/$id/lines?page=$page")->assertOk();
            $pages = (int) $read->json('pages');
            array_push($lines, ...array_values((array) $read->json('lines')));
        }

        return $lines;
    }
}
