<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use Almanac\Interchange\CsvTable;
use Almanac\Interchange\ImportState;
use App\Actions\Interchange\RunImport;
use App\Models\Import;
use App\Models\Party;
use App\Models\User;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Files of people and companies: read, matched, taken in, taken back. */
final class ImportsTest extends TestCase
{
    use TakesImports;

    private const TABLE = "Customer,First Name,Last Name,Mobile,Work Phone,E-mail,Street,City,State,Zip,Type,Tags,Terms,Customer or vendor,Notes\n"
        ."Tern Hill Timber,Ottilie,Larkin,802-555-0143,802 555 0170,ottilie@larkin.example,14 Canal Street,Brattleboro,Vermont,05301,,sawmill,net 30,vendor,Rings before noon\n"
        ."Tern Hill Timber,Ambrose,Teel,802-555-0144,,ambrose@ternhill.example,,,,,,,,,\n"
        ."Copper & Quill Ltd,,,,802 555 0171,office@copperquill.example,3 Mill Lane,Putney,VT,05346,,,2/10 net 30,client,\n"
        .",Bad,Line,12,,not an email,,,,,,,,,\n";

    protected function setUp(): void
    {
        parent::setUp();
        $this->asAdministrator();
    }

    public function test_a_table_is_understood_checked_taken_and_taken_back(): void
    {
        $before = $this->counted();
        $id = $this->handIn(self::TABLE)->assertCreated()->assertJsonPath('of', 'records')->json('id');
        $this->read($id)->assertJsonPath('state', 'columns')->assertJsonPath('lines', 4);
        $columns = $this->getJson("/api/imports/$id/columns")->assertOk();
        $this->assertSame(
            [
                'company', 'given', 'family', 'phone:mobile', 'phone:office', 'email', 'street', 'locality', 'region',
                'postcode', 'types', 'tags', 'client-terms', 'role', 'note',
            ],
            $columns->json('columns.*.target'),
        );
        $this->match($id)->assertJsonPath('state', 'checked')
            ->assertJsonPath('outcomes.*.outcome', ['new', 'wrong'])->assertJsonPath('outcomes.*.count', [3, 1]);
        $this->getJson("/api/imports/$id/lines?outcome=wrong")
            ->assertJsonPath('lines.0.line', 5)->assertJsonPath('lines.0.problems.*.column', [3, 5]);
        $this->assertSame($before, $this->counted(), 'checking changes nothing');
        // The wrong line is mended on the spot.
        $this->putJson("/api/imports/$id/lines/5", [
            'cells' => [['column' => 3, 'text' => '802-555-0188'], ['column' => 5, 'text' => 'bad@line.example']],
            'decision' => null, 'recordId' => null, 'existing' => null,
        ])->assertOk()->assertJsonPath('outcome', 'new')->assertJsonPath('name', 'Bad Line');
        $this->act($id, 'take')->assertJsonPath('state', 'taken')->assertJsonPath('results.0.count', 4);
        $ottilie = Party::query()->where('family', 'Larkin')->firstOrFail();
        $this->assertTrue($ottilie->is_vendor);
        $this->assertSame('net 30', $ottilie->clientTerms?->listed->shorthand ?? $ottilie->clientTerms?->shorthand);
        $this->assertSame('Tern Hill Timber', $ottilie->heldPositions()->firstOrFail()->company->display_name);
        $this->assertSame(1, Party::query()->where('company_name', 'Tern Hill Timber')->count(), 'a company that lines name is made once');
        $this->getJson("/api/parties/$ottilie->id")->assertJsonPath('reach.contactPoints.0.value', '802-555-0143');
        // The same file once more changes nothing.
        $again = $this->handIn(self::TABLE)->json('id');
        $this->match($again)->assertJsonPath('outcomes.*.outcome', ['same', 'wrong'])->assertJsonPath('mayTake', false);
        $this->postJson("/api/imports/$again/take")->assertStatus(422);
        // Taken back as one.
        $this->act($id, 'take-back')
            ->assertJsonPath('state', 'taken-back')->assertJsonPath('results.0.outcome', 'taken-back')
            ->assertJsonPath('results.0.count', 4);
        $this->assertSame($before, $this->counted());
    }

    public function test_several_at_one_company_are_taken_back_whether_they_were_new_or_not_and_each_is_told_once(): void
    {
        $company = $this->addCompany('Larch Joiners');
        $pell = $this->addPerson('Ignatius', 'Pell');
        $this->saveSection($pell, 'reach', ['contactPoints' => [['id' => null, 'kind' => 'email', 'value' => 'ignatius@pell.example', 'label' => '', 'uses' => [], 'isPrimary' => false, 'sameAsId' => null, 'addressUseId' => null]]])->assertOk();
        $told = fn (): int => DB::table('changes')->where('subject_id', $company->id)->where('section', 'positions')->count();
        $id = $this->handIn("First,Last,Company,Title,Email,Phone,Street,City,State,Zip\n"
            ."Ada,Tolliver,Larch Joiners,Owner,ada@larch.example,,,,,\n"
            ."Ignatius,Pell,Larch Joiners,Foreman,ignatius@pell.example,802-555-0144,4 Shaving Lane,Putney,VT,05346\n"
            ."Rufus,Larch,Larch Joiners,Joiner,rufus@larch.example,,,,,\n")->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.count', [2, 1]);
        $before = $this->getJson("/api/parties/$pell->id")->json();
        $this->act($id, 'take')->assertJsonPath('results.*.count', [2, 1]);
        $this->assertSame(3, $told(), 'each of them once');
        $this->getJson("/api/parties/$pell->id")->assertJsonPath('positions.positions.0.title', 'Foreman');
        $this->act($id, 'take-back')->assertJsonPath('results', [['outcome' => 'taken-back', 'title' => 'taken back', 'count' => 3]]);
        $after = $this->getJson("/api/parties/$pell->id")->json();
        foreach (['positions', 'reach', 'addresses'] as $section) {
            $this->assertSame(
                array_diff_key($before[$section] ?? [], ['version' => 0]), array_diff_key($after[$section] ?? [], ['version' => 0]), $section,
            );
        }
        $this->assertSame(0, DB::table('positions')->count());
        $this->assertSame(6, $told());
    }

    public function test_the_demo_office_goes_out_and_comes_in_again_and_nothing_is_changed(): void
    {
        $this->demo();
        $this->actingAs(User::query()->where('email', 'maud@orreryvane.example')->firstOrFail());
        $before = $this->counted();
        foreach ([['csv', 'private=1&'], ['xlsx', ''], ['ods', 'private=1&']] as [$format, $private]) {
            $file = $this->get("/api/parties/export?{$private}whole=1&format=$format")->assertOk()->streamedContent();
            $id = $this->handIn($file, "all.$format")->json('id');
            $this->read($id)->assertJsonPath('failure', '')->assertJsonPath('state', 'columns');
            $this->assertSame(
                [],
                array_filter(
                    $this->getJson("/api/imports/$id/columns")->json('columns'),
                    fn (array $one) => $one['filled'] > 0 && $one['target'] === '',
                ),
                'every column that is written is known again',
            );
            $outcomes = $this->match($id, ['existing' => 'take-over'])->json('outcomes');
            $this->assertSame(
                ['same'],
                array_column($outcomes, 'outcome'),
                "$format: ".json_encode($this->notTheSame($id), JSON_PRETTY_PRINT),
            );
        }
        // Cards hold less; what they hold is the same.
        foreach (['vcard4', 'vcard3', 'jcard'] as $format) {
            $id = $this->handIn($this->get("/api/parties/export?format=$format")->assertOk()->streamedContent(), "all.$format")->json('id');
            $this->match($id);
            $this->assertSame([], $this->notTheSame($id), $format);
        }
        $this->assertSame($before, $this->counted());
    }

    public function test_who_is_in_the_book_is_found_and_what_is_doubtful_is_asked(): void
    {
        $wren = $this->addPerson('Silas', 'Wren');
        $this->saveSection($wren, 'reach', ['contactPoints' => [$this->contact('phone', '603-555-0164')]])->assertOk();
        $this->saveSection(
            $wren,
            'classification',
            [
                'types' => [], 'tags' => [], 'ownerId' => null, 'accountManagerId' => null, 'buyerId' => null,
                'source' => 'fair', 'language' => '', 'grade' => null,
                'codes' => [['id' => null, 'system' => 'Guild', 'value' => 'G7']],
            ],
        )
            ->assertOk();
        $edith = $this->addPerson('Edith', 'Larkin');
        $gone = $this->addCompany('Closed Mill');
        $this->putJson("/api/parties/$gone->id/archive", ['reason' => 'closed'])->assertOk();
        $id = $this->handIn(
            "Number,First,Last,Company,Phone,Source,\"Number elsewhere, Guild\",Street,City,Zip\n"
            .",Silas,Wren,,603-555-0164,letter,,,,\n"                              // the same phone
            .",Edith,Larkin,,802-555-0190,,,9 Pond Street,Putney,05346\n"          // only the name
            ."$gone->number,,,Closed Mill,,,,,,\n"                                  // archived
            ."$wren->number,Ottilie,Unlike,,,,,,,\n"                                // our number, and another name
            .",Beatrix,Tolliver,,802-555-0131,,,4 Shaving Lane,Putney,05346\n"
            .",Beatrix,Tolliver,,802-555-0131,,,4 Shaving Lane,Putney,05346\n",     // twice in the file
        )->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.outcome', ['new', 'same', 'doubtful'])->assertJsonPath('outcomes.*.count', [1, 1, 4]);
        $doubtful = $this->getJson("/api/imports/$id/lines?outcome=doubtful")->json('lines');
        $this->assertSame([3, 4, 5, 7], array_column($doubtful, 'line'));
        $this->assertSame(
            [
                'It may be somebody who is in the book.',
                'Closed Mill is archived. Restore the record, or leave the line out.',
                'It may be somebody who is in the book.', 'Line 6 of the file looks the same.',
            ],
            array_column($doubtful, 'message'),
        );
        $this->assertSame(
            [[$edith->id], [], [$wren->id], []],
            array_map(fn (array $line) => array_column($line['candidates'], 'id'), $doubtful),
        );
        // For one: it is she; she gets what she lacks. For all others: they are left out.
        $this->say($id, 3, ['decision' => 'record', 'recordId' => $edith->id])
            ->assertJsonPath('outcome', 'changes')->assertJsonPath('changes.*.title', ['Phone', 'Address']);
        $this->say($id, 5, ['decision' => 'new'])->assertJsonPath('outcome', 'new');
        $this->say($id, 99, ['decision' => 'new'])->assertStatus(422);
        $this->say($id, 7, ['decision' => 'record', 'recordId' => 99999])->assertStatus(422);
        $this->postJson("/api/imports/$id/decide", ['outcome' => 'doubtful', 'decision' => 'out'])
            ->assertOk()->assertJsonPath('outcomes.*.outcome', ['new', 'changes', 'same', 'left-out']);
        // Taking over is said for all: then the source is other too.
        $this->match($id, ['existing' => 'take-over'])
            ->assertJsonPath('outcomes.*.outcome', ['new', 'changes', 'left-out'])
            ->assertJsonPath('outcomes.1.count', 2);
        $this->act($id, 'take')->assertJsonPath('results.*.outcome', ['added', 'changed'])->assertJsonPath('results.*.count', [2, 2]);
        $this->assertSame(['letter', '9 Pond Street'], [$wren->refresh()->source, $edith->addressUses()->firstOrFail()->address->lines]);
        // Our number stays with who has it.
        $this->assertNotSame($wren->number, Party::query()->where('family', 'Unlike')->firstOrFail()->number);
        // Somebody changes one of them; the rest is taken back, and that stays.
        $this->saveSection($edith->refresh(), 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0177')]], 1)->assertOk();
        $this->act($id, 'take-back')
            ->assertJsonPath('results.*.outcome', ['taken-back', 'kept'])->assertJsonPath('results.*.count', [3, 1]);
        $this->getJson("/api/imports/$id/lines?done=kept")
            ->assertJsonPath('lines.0.message', 'It has been changed since, and keeps the later change.');
        $this->assertSame(['fair', '802-555-0177'], [$wren->refresh()->source, $edith->contactPoints()->firstOrFail()->typed]);
        $this->assertSame(0, Party::query()->whereIn('family', ['Unlike', 'Tolliver'])->count());
    }

    public function test_terms_numbers_balances_and_bank_details_come_in_and_details_are_on_hold(): void
    {
        $file = "Company,EIN,Credit limit,Terms,Vendor terms,Opening balance,Vendor balance,As of,IBAN,Routing number,Bank account,Account holder,Type\n"
            ."Zahnrad GmbH,12-3456789,\"5,000.00\",2/10 net 30,net 15,250.50,80,10/31/2026,DE89370400440532013000,,,Zahnrad,Gear cutter\n"
            ."Brass Inc,,,,,,,,,021000021,123456789,Brass,Gear cutter\n";
        $id = $this->handIn($file)->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.outcome', ['wrong']);
        $this->match($id, ['takesNewWords' => true, 'roles' => ['client', 'vendor']])->assertJsonPath('outcomes.*.outcome', ['new']);
        $this->act($id, 'take')->assertJsonPath('results.0.count', 2)->assertJsonPath('failure', '');
        $party = Party::query()->where('company_name', 'Zahnrad GmbH')->firstOrFail();
        $this->assertTrue($party->is_client && $party->is_vendor);
        $this->assertSame(
            ['12-3456789', 500_000, 'net 15'],
            [
                $party->taxNumbers()->firstOrFail()->number()->display(),
                $party->clientTerms?->limit_minor,
                $party->vendorTerms?->listed->shorthand ?? $party->vendorTerms?->shorthand,
            ],
        );
        $this->assertSame([25_050, 8_000], $party->openings()->orderBy('kind', 'desc')->pluck('total_minor')->all());
        $this->assertSame('2026-10-31', $party->openings()->firstOrFail()->dated_on->toIso());
        $this->assertSame(['on-hold', 'on-hold'], DB::table('bank_details')->pluck('state')->all());
        $this->assertSame(
            ['Gear cutter', 'Gear cutter'],
            DB::table('party_list_items')->join('list_items', 'list_items.id', '=', 'list_item_id')->pluck('name')->all(),
        );
        $again = $this->handIn($file)->json('id');
        $this->match($again, ['takesNewWords' => true, 'roles' => ['client', 'vendor'], 'existing' => 'take-over'])
            ->assertJsonPath('outcomes.*.outcome', ['same']);
        $this->act($id, 'take-back')->assertJsonPath('results.*.outcome', ['taken-back']);
        $this->assertSame([0, 0, 0], [Party::query()->count(), DB::table('documents')->count(), DB::table('bank_details')->count()]);
    }

    public function test_who_wants_no_letters_comes_in_with_the_day_and_how(): void
    {
        $file = "Company,Unsubscribed,Opt out reason\nTern Hill Timber,yes,\nPutney Glass,2026-01-31,by phone\nSaxtons Lumber,no,\n";
        $id = $this->handIn($file)->json('id');
        $this->match($id);
        $this->act($id, 'take')->assertJsonPath('state', 'taken');
        $this->assertSame(
            ['Putney Glass' => ['2026-01-31', 'by phone'], 'Saxtons Lumber' => [null, ''], 'Tern Hill Timber' => ['2026-11-24', '']],
            Party::query()->orderBy('display_name')->get()
                ->mapWithKeys(fn (Party $one) => [$one->display_name => [$one->no_letters_on?->toIso(), $one->no_letters_how]])->all(),
        );
        $again = $this->handIn($file)->json('id');
        $this->match($again)->assertJsonPath('outcomes.*.outcome', ['same']);
    }

    public function test_another_sheet_and_a_first_line_that_names_nothing_are_read_when_somebody_says_so(): void
    {
        $id = $this->handIn("Ottilie Larkin,o@larkin.example\nSilas Wren,s@wren.example\n")->json('id');
        $columns = $this->getJson("/api/imports/$id/columns")
            ->assertJsonPath('hasHeadings', false)->assertJsonPath('columns.*.heading', ['Column 1', 'Column 2']);
        $this->assertSame(['', 'email'], $columns->json('columns.*.target'));
        $this->match($id, ['hasHeadings' => true])->assertJsonPath('state', 'columns')->assertJsonPath('lines', 1);
        $this->match($id, ['hasHeadings' => false])->assertJsonPath('lines', 2);
        $this->match($id, ['targets' => ['name', 'email']])->assertJsonPath('state', 'checked')->assertJsonPath('outcomes.0.count', 2);
        $path = (string) tempnam(sys_get_temp_dir(), 'book');
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::OVERWRITE);
        $cell = fn (string $text) => "<table:table-cell office:value-type=\"string\"><text:p>$text</text:p></table:table-cell>";
        $sheet = fn (string $name, string ...$texts) => "<table:table table:name=\"$name\">".implode(
            '',
            array_map(fn (string $text) => "<table:table-row>{$cell($text)}</table:table-row>", $texts),
        ).'</table:table>';
        $zip->addFromString('mimetype', 'application/vnd.oasis.opendocument.spreadsheet');
        $zip->setCompressionName('mimetype', \ZipArchive::CM_STORE);
        $zip->addFromString(
            'content.xml',
            '<office:document-content xmlns:office="o" xmlns:table="t" xmlns:text="x"><office:body><office:spreadsheet>'.$sheet('Notes', 'Nothing', 'here').$sheet(
                'People', 'Name', 'Ann Bell', 'Tom Ames',
            ).'</office:spreadsheet></office:body></office:document-content>',
        );
        $zip->close();
        $id = $this->handIn((string) file_get_contents($path), 'book.ods')->json('id');
        unlink($path);
        $this->getJson("/api/imports/$id/columns")->assertJsonPath('sheets', ['Notes', 'People'])->assertJsonPath('sheet', 'Notes');
        $this->match($id, ['sheet' => 'People'])->assertJsonPath('state', 'columns')->assertJsonPath('lines', 2);
        $this->getJson("/api/imports/$id/columns")->assertJsonPath('columns.0.target', 'name')->assertJsonPath('sheet', 'People');
        $this->match($id)->assertJsonPath('outcomes.0.count', 2);
    }

    public function test_thirty_seven_wrong_lines_of_many_are_all_told_and_given_back_as_a_table(): void
    {
        $file = "Name,Email\n";
        for ($n = 1; $n <= 500; $n++) {
            $file .= "Firm $n Ltd,".($n % 13 === 0 && $n <= 481 ? 'nobody' : "post@firm$n.example")."\n";
        }
        $id = $this->handIn($file)->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.count', [463, 37]);
        $this->assertSame(0, Party::query()->count(), 'nothing is taken before one says so');
        $this->getJson("/api/imports/$id/lines?outcome=wrong")->assertJsonPath('total', 37)->assertJsonPath('lines.0.line', 14);
        $wrong = $this->get("/api/imports/$id/wrong")->assertOk()->streamedContent();
        $rows = array_values(iterator_to_array(CsvTable::rows($wrong)));
        $this->assertSame([38, ['Name', 'Email', 'What is wrong']], [count($rows), $rows[0]]);
        $this->assertSame(
            ['Firm 13 Ltd', 'nobody', 'Email: “nobody” lacks the @ of an email address. Type it like name@company.example.'],
            $rows[1],
        );
        // Mended, it can be handed in as it is.
        $mended = $this->handIn(str_replace('nobody,', 'post@mended.example,', $wrong))->json('id');
        $this->read($mended)->assertJsonPath('lines', 37);
    }

    public function test_it_is_stopped_and_gone_on_with_and_somebody_who_may_no_longer_stops_it(): void
    {
        $id = $this->handIn("Name\n".implode('', array_map(fn (int $n) => "Firm $n Ltd\n", range(1, 60))))->json('id');
        $this->match($id);
        // After the first few somebody stops it.
        $taken = 0;
        DB::listen(function (QueryExecuted $query) use (&$taken, $id): void {
            if (str_starts_with($query->sql, 'insert into "import_lines"') && $taken++ === 0) {
                DB::table('imports')->where('id', $id)->update(['state' => ImportState::Stopped->value]);
            }
        });
        $stopped = $this->act($id, 'take')->assertJsonPath('state', 'stopped')->assertJsonPath('mayTake', true);
        $few = $stopped->json('results.0.count');
        $this->assertGreaterThan(0, $few);
        $this->assertLessThan(60, $few);
        $this->deleteJson("/api/imports/$id")->assertOk();
        $this->assertSame($few, Party::query()->count(), 'what was taken stays when the file is forgotten');
        $other = $this->handIn("Name\nAnother Ltd\n")->json('id');
        $this->match($other);
        $this->administrator->forceFill(['retired_at' => now()])->save();
        Import::query()->whereKey($other)->update(['state' => ImportState::Taking->value]);
        $this->app->make(RunImport::class)->handle(Import::query()->whereKey($other)->firstOrFail());
        $this->assertSame(ImportState::Stopped, Import::query()->whereKey($other)->firstOrFail()->state);
        $this->assertSame($few, Party::query()->count());
    }

    public function test_what_is_wrong_with_a_request_is_said_and_a_file_is_nobody_elses(): void
    {
        $id = $this->handIn("Name,Born\nOttilie Larkin,3/4/1971\n")->json('id');
        $base = $this->getJson("/api/imports/$id/columns")->assertJsonPath('areDaysAmbiguous', true);
        $said = fn (array $targets) => $this->putJson("/api/imports/$id/columns", [
            'sheet' => '', 'hasHeadings' => true, 'targets' => $targets, 'isMonthFirst' => true, 'decimalSign' => '.',
            'existing' => 'fill', 'takesNewWords' => false, 'kind' => null, 'roles' => [],
        ])->assertUnprocessable()->json('errors.0.message');
        $this->assertSame($base->json('columns.*.target'), ['name', 'birth-date']);
        $this->assertSame('Say which column has the names: without one nobody can be told from another.', $said(['email', '']));
        $this->assertSame(
            'One of the columns is said to be something that is no longer there. Choose again.',
            $said(['name', 'detail:99']),
        );
        $this->assertSame('Two columns are said to be “Birth date”. Leave one of them out.', $said(['birth-date', 'birth-date']));
        $this->assertSame('Say of every column what it is.', $said(['name']));
        $this->match($id, ['isMonthFirst' => false]);
        $this->act($id, 'take');
        $this->assertSame('1971-04-03', Party::query()->firstOrFail()->born_on);
        $this->putJson("/api/imports/$id/columns", [])->assertUnprocessable();
        $this->say($id, 2, ['decision' => 'out'])
            ->assertStatus(422)->assertJsonPath('detail', 'That can’t be done now: the file is imported.');
        $this->actingAs($this->user(Role::Clerk));
        foreach (['columns', 'lines', 'wrong'] as $what) {
            $this->getJson("/api/imports/$id/$what")->assertForbidden();
        }
        $this->postJson("/api/imports/$id/take-back")->assertForbidden();
        $this->getJson('/api/imports')->assertOk()->assertJsonPath('0.isTheirs', false);
        $this->assertStringNotContainsString(
            'Larkin',
            (string) json_encode(DB::table('import_lines')->get()),
            'what a file says is encrypted',
        );
        foreach (['csv', 'xlsx', 'ods'] as $format) {
            $own = $this->handIn($this->get("/api/imports/template?format=$format")->assertOk()->streamedContent(), "template.$format")
                ->json('id');
            $this->read($own)->assertJsonPath('state', 'failed')->assertJsonPath('failure', 'There is nothing in the file.');
        }
    }

    /**
     * @param array<string, mixed> $said
     *
     * @return TestResponse<Response>
     */
    private function say(int $id, int $line, array $said): TestResponse
    {
        return $this->putJson(
            "/api/imports/$id/lines/$line",
            $said + ['cells' => [], 'decision' => null, 'recordId' => null, 'existing' => null],
        );
    }

    /** @return array<mixed> what would be other, and why */
    private function notTheSame(int $id): array
    {
        $lines = array_merge(
            [],
            ...array_map(
                fn (string $of) => $this->getJson("/api/imports/$id/lines?outcome=$of")->json('lines'),
                ['new', 'changes', 'doubtful', 'wrong'],
            ),
        );

        return array_map(
            fn (array $line) => array_intersect_key($line, array_flip(['outcome', 'name', 'message', 'problems', 'changes', 'candidates'])),
            $lines,
        );
    }

    /** @return array<string, int> */
    private function counted(): array
    {
        $tables = [
            'parties', 'subjects', 'contact_points', 'addresses', 'address_uses', 'positions', 'client_terms',
            'vendor_terms', 'log_entries', 'record_lines', 'balances',
        ];

        return array_combine($tables, array_map(fn (string $table) => DB::table($table)->count(), $tables));
    }
}
