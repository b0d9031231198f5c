<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Records\PositionsSection;
use App\Models\Document;
use App\Models\Party;
use App\Models\Position;
use App\Models\SectionState;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tests\TestCase;

/** What comes into the book by whole batches is what had come one by one. */
final class TakenLinesTest extends TestCase
{
    use CountsTheBook;
    use TakesImports;

    public function test_everybody_of_the_demo_office_comes_in_once_more_as_they_went_out(): void
    {
        $this->demo();
        $this->actingAs(User::query()->where('email', 'maud@orreryvane.example')->firstOrFail());
        $whole = fn (): string => $this->get('/api/parties/export?private=1&whole=1&format=csv')->assertOk()->streamedContent();
        $before = self::rows($whole());
        $id = $this->handIn($whole(), 'all.csv')->json('id');
        $this->read($id);
        DB::table('import_lines')->where('import_id', $id)->update(['decision' => 'new']);
        $this->match($id)->assertJsonPath('outcomes.*.outcome', ['new']);
        $this->act($id, 'take')->assertJsonPath('state', 'taken');
        $after = self::rows($whole());
        $this->assertCount(2 * count($before), $after);
        foreach ($before as $row) {
            $this->assertCount(2, array_keys($after, $row, true), json_encode($row, JSON_PRETTY_PRINT) ?: '');
        }
        $this->assertKeptAsWritten();
    }

    public function test_a_company_has_its_own_line_first_and_is_made_once_wherever_it_stands(): void
    {
        $this->asAdministrator();
        $before = $this->counted();
        $id = $this->handIn("First,Last,Company,Title,Phone,Record number\n"
            ."Ada,Tolliver,Larch Joiners,Owner,802-555-0143,1500\n"
            ."Rufus,Larch,Larch Joiners,Joiner,,1500\n"
            .",,Larch Joiners,,802-555-0144,1400\n"
            ."Ines,Ostrow,1907,Clerk,,\n"
            ."Otto,Ostrow,1907,Porter,,\n")->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.count', [5]);
        $this->act($id, 'take')->assertJsonPath('results.*.count', [5]);
        $larch = Party::query()->where('company_name', 'Larch Joiners')->sole();
        $this->assertSame(1400, $larch->number);
        $this->assertSame('+18025550144', $larch->contactPoints()->sole()->value);
        $this->assertSame(
            ['Ada Tolliver', 'Rufus Larch'],
            $larch->load('staffPositions.person')->staffPositions->map(fn (Position $held) => $held->person->display_name)->all(),
        );
        $this->assertSame([true, false], $larch->staffPositions->pluck('is_primary')->all(), 'one is reached first');
        // A number that two lines name is the first one's.
        $this->assertSame([1500, 1501], Party::query()->whereIn('given', ['Ada', 'Rufus'])->orderBy('number')->pluck('number')->all());
        $this->assertSame(2, Party::query()->where('company_name', '1907')->sole()->staffPositions()->count());
        $this->assertKeptAsWritten();
        $this->act($id, 'take-back')->assertJsonPath('results.*.count', [5]);
        $this->assertSame($before, $this->counted());
    }

    /** What is told of a company, and kept of it for a past day, is what it would be if everybody there were looked at. */
    public function test_a_company_is_told_who_comes_to_it_and_nobody_who_was_there(): void
    {
        $this->asAdministrator();
        [$larch, $alder] = [$this->addCompany('Larch Joiners'), $this->addCompany('Alder Mills')];
        $ada = $this->addPerson('Ada', 'Tolliver');
        $this->saveSection($ada, 'positions', ['positions' => [$this->position($larch, ['title' => 'Owner', 'until' => '2026-10-31'])]])->assertOk();
        $last = DB::table('changes')->max('id');
        $id = $this->handIn("First,Last,Company,Title\n"
            ."Rufus,Larch,Larch Joiners,Joiner\nInes,Ostrow,larch joiners,Clerk\nJan,Vogel,Alder Mills,Agent\n")->json('id');
        $this->match($id);
        $this->act($id, 'take')->assertJsonPath('results.*.count', [3]);
        $told = fn (Party $company): array => DB::table('changes')->where('subject_id', $company->id)->where('id', '>', $last)
            ->orderBy('id')->get(['section', 'from', 'to'])->map(fn (object $row) => (array) $row)->all();
        $this->assertSame([
            ['section' => 'positions', 'from' => '', 'to' => 'Rufus Larch, Joiner, primary'],
            ['section' => 'positions', 'from' => '', 'to' => 'Ines Ostrow, Clerk'],
        ], $told($larch));
        $this->assertSame([['section' => 'positions', 'from' => '', 'to' => 'Jan Vogel, Agent, primary']], $told($alder));
        $section = $this->app->make(PositionsSection::class);
        foreach ([[$larch, [0, 1, 3]], [$alder, [0, 1]]] as [$company, $many]) {
            $kept = SectionState::query()->where('subject_id', $company->id)->where('section', 'positions')->orderBy('version')->get();
            $this->assertSame(array_keys($many), $kept->pluck('version')->all());
            $this->assertSame($many, $kept->map(fn (SectionState $one) => count($one->state['positions']))->all());
            $this->assertSame($section->state($company->refresh()->load($section->reads())), $kept->last()?->state);
        }
        $this->assertKeptAsWritten();
    }

    public function test_one_whose_balance_cannot_be_taken_is_left_out_and_the_others_come_in_with_theirs(): void
    {
        $this->asAdministrator();
        $id = $this->handIn("Name,Opening balance receivable,Balance as of,IBAN 1,IBAN 2\n"
            ."Ada Tolliver,120.50,2026-10-31,,\n"
            // The same account in two places is one.
            ."Rufus Larch,5.00,2026-10-31,GB82WEST12345698765432,GB82 WEST 1234 5698 7654 32\n"
            ."Ines Ostrow,80.00,2026-10-31,,\n")->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.count', [3]);
        // Whatever is refused by then, such as a balance once there are documents, is refused to one of them.
        Document::creating(fn (Document $one) => $one->total_minor !== 500 ?: throw ValidationException::withMessages(['amount' => 'No more.']));
        $this->act($id, 'take');
        $this->assertSame(
            [['added', ''], ['refused', 'No more.'], ['added', '']],
            $this->getJson("/api/imports/$id/lines")->collect('lines')->map(fn (array $line) => [$line['done'], $line['message']])->all(),
        );
        $this->assertSame(['Ines Ostrow', 'Ada Tolliver'], Party::query()->orderBy('sort_key')->pluck('display_name')->all());
        $this->assertSame([12050, 8000], DB::table('balances')->orderBy('party_id')->pluck('receivable_minor')->all());
        $this->assertSame([0, 0], [DB::table('bank_details')->count(), DB::table('documents')->where('total_minor', 500)->count()]);
        $this->assertSame([1001, 1002], Party::query()->orderBy('number')->pluck('number')->all());
        $this->assertKeptAsWritten();
        // What was refused may be taken again.
        $id = $this->handIn("Name,IBAN 1,IBAN 2\nRufus Larch,GB82WEST12345698765432,GB82 WEST 1234 5698 7654 32\n")->json('id');
        $this->match($id);
        $this->act($id, 'take')->assertJsonPath('results.*.outcome', ['added']);
        $this->assertSame(['on-hold'], DB::table('bank_details')->pluck('state')->all());
    }

    public function test_lines_that_change_people_of_one_company_go_one_after_the_other_and_back(): void
    {
        $this->asAdministrator();
        $company = $this->addCompany('Larch Joiners');
        $people = [];
        foreach (['Ada' => 'Tolliver', 'Rufus' => 'Larch', 'Ines' => 'Ostrow'] as $given => $family) {
            $people[$given] = $this->addPerson($given, $family);
            $this->saveSection($people[$given], 'reach', ['contactPoints' => [[
                'id' => null, 'kind' => 'email', 'value' => strtolower($given).'@larch.example', 'label' => '', 'uses' => [], 'isPrimary' => false,
                'sameAsId' => null, 'addressUseId' => null,
            ]]])->assertOk();
        }
        $before = $this->counted();
        $id = $this->handIn("First,Last,Company,Title,Email,Street,City,State,Zip,Tags,Terms\n"
            ."Ada,Tolliver,Larch Joiners,Owner,ada@larch.example,4 Shaving Lane,Putney,VT,05346,timber,net 30\n"
            ."Rufus,Larch,Larch Joiners,Joiner,rufus@larch.example,,,,,timber,\n"
            ."Ines,Ostrow,Larch Joiners,Clerk,ines@larch.example,5 Shaving Lane,Putney,VT,05346,,net 10\n"
            ."Ines,Ostrow,Alder Mills,Agent,ines@larch.example,,,,,,\n")->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.outcome', ['changes']);
        $this->act($id, 'take')->assertJsonPath('results', [['outcome' => 'changed', 'title' => 'changed', 'count' => 4]]);
        $this->assertSame(3, $company->staffPositions()->count());
        $this->assertSame(1, $company->staffPositions()->where('is_primary', true)->count());
        $this->assertSame(3, DB::table('changes')->where('subject_id', $company->id)->where('section', 'positions')->count(), 'each told once');
        $this->assertSame(['Clerk', 'Agent'], $people['Ines']->heldPositions()->reorder('id')->pluck('title')->all());
        $this->assertKeptAsWritten();
        $this->act($id, 'take-back')->assertJsonPath('results', [['outcome' => 'taken-back', 'title' => 'taken back', 'count' => 4]]);
        $this->assertSame($before, $this->counted());
        $this->assertKeptAsWritten();
    }

    public function test_a_change_that_is_refused_leaves_its_record_as_it_was_and_the_others_are_changed(): void
    {
        $this->asAdministrator();
        [$ada, $rufus] = [$this->addPerson('Ada', 'Tolliver'), $this->addPerson('Rufus', 'Larch')];
        $this->saveSection($ada, 'reach', ['contactPoints' => [$this->contact('email', 'ada@larch.example')]])->assertOk();
        $this->saveSection($rufus, 'reach', ['contactPoints' => [$this->contact('email', 'rufus@larch.example')]])->assertOk();
        // A currency without cents.
        $this->saveSection($ada, 'client-terms', ['listedId' => null, 'shorthand' => null, 'fields' => [['name' => 'currency', 'value' => 'JPY']]])->assertOk();
        $id = $this->handIn("First,Last,Email,Middle name,Phone,Credit limit\n"
            ."Ada,Tolliver,ada@larch.example,Jane,802-555-0143,250.50\n"
            ."Rufus,Larch,rufus@larch.example,John,802-555-0144,\n")->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.outcome', ['changes']);
        $before = $this->getJson("/api/parties/$ada->id")->json();
        $told = fn (): array => DB::table('changes')->groupBy('subject_id')->orderBy('subject_id')->selectRaw('count(*) as n')->pluck('n')->all();
        [$first, $second] = $told();
        $this->act($id, 'take')->assertJsonPath('results.*.outcome', ['changed', 'refused']);
        $this->assertSame($before, $this->getJson("/api/parties/$ada->id")->json());
        $this->assertSame([$first, $second + 2], $told(), 'of one that was refused nothing is told');
        $this->assertSame('John', $rufus->refresh()->middle);
        $this->assertKeptAsWritten();
    }

    public function test_changes_of_which_one_balance_cannot_be_taken_go_each_by_itself(): void
    {
        $this->asAdministrator();
        [$ada, $rufus] = [$this->addPerson('Ada', 'Tolliver'), $this->addPerson('Rufus', 'Larch')];
        $this->saveSection($ada, 'reach', ['contactPoints' => [$this->contact('email', 'ada@larch.example')]])->assertOk();
        $this->saveSection($rufus, 'reach', ['contactPoints' => [$this->contact('email', 'rufus@larch.example')]])->assertOk();
        $id = $this->handIn("First,Last,Email,Middle name,Opening balance receivable\n"
            ."Rufus,Larch,rufus@larch.example,John,80.00\n"
            ."Ada,Tolliver,ada@larch.example,Jane,5.00\n")->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.outcome', ['changes']);
        // Meanwhile she is billed: an opening balance would come too late.
        $ada->refresh()->update(['is_client' => true]);
        $this->issued($ada, 'invoice', '1');
        $this->act($id, 'take')->assertJsonPath('results.*.outcome', ['changed', 'refused']);
        $this->assertSame(['', 'John'], [$ada->refresh()->middle, $rufus->refresh()->middle]);
        $this->assertSame([100, 8000], DB::table('balances')->orderBy('party_id')->pluck('receivable_minor')->all());
        $this->assertKeptAsWritten();
    }

    public function test_who_was_archived_meanwhile_is_left_out_though_the_line_names_a_company_that_nobody_had_entered(): void
    {
        $this->asAdministrator();
        $ada = $this->addPerson('Ada', 'Tolliver');
        $this->saveSection($ada, 'reach', ['contactPoints' => [$this->contact('email', 'ada@larch.example')]])->assertOk();
        $id = $this->handIn("First,Last,Email,Company,Title\nAda,Tolliver,ada@larch.example,Alder Mills,Agent\n")->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.outcome', ['changes']);
        DB::table('parties')->where('id', $ada->id)->update(['archived_on' => '2026-11-24']);
        $this->act($id, 'take')->assertJsonPath('state', 'taken')->assertJsonPath('results.*.outcome', ['refused']);
        $this->assertStringContainsString('archived', $this->getJson("/api/imports/$id/lines")->json('lines.0.message'));
        $this->assertSame(1, Party::query()->count(), 'nobody would work there');
    }

    public function test_a_phone_is_taken_as_it_was_checked_whatever_country_the_record_is_of(): void
    {
        $this->asAdministrator();
        $ida = $this->addPerson('Ida', 'Holm');
        $this->saveSection($ida, 'reach', ['contactPoints' => [$this->contact('email', 'ida@holm.example')]])->assertOk();
        $this->saveSection($ida, 'addresses', ['addresses' => [[
            'id' => null, 'linkedAddressId' => null, 'country' => 'DK', 'lines' => 'Havnegade 4', 'locality' => 'Odense', 'region' => '',
            'postcode' => '5000', 'attention' => '', 'careOf' => '', 'uses' => [], 'isPrimary' => true, 'since' => '', 'until' => '',
        ]]])->assertOk();
        $id = $this->handIn("First,Last,Email,Phone\nIda,Holm,ida@holm.example,802-555-0143\n")->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.outcome', ['changes']);
        $this->assertSame('802-555-0143', $this->getJson("/api/imports/$id/lines")->json('lines.0.changes.0.to'));
        $this->act($id, 'take')->assertJsonPath('results.*.outcome', ['changed']);
        $this->assertSame('+18025550143', $ida->contactPoints()->where('kind', 'phone')->sole()->value);
    }

    public function test_whom_somebody_enters_meanwhile_is_not_entered_twice(): void
    {
        $this->asAdministrator();
        $id = $this->handIn("First,Last,Email\nAda,Tolliver,ada@larch.example\nRufus,Larch,rufus@larch.example\n")->json('id');
        $this->match($id)->assertJsonPath('outcomes.*.outcome', ['new']);
        $rufus = $this->addPerson('Rufus', 'Larch');
        $this->saveSection($rufus, 'reach', ['contactPoints' => [[
            'id' => null, 'kind' => 'email', 'value' => 'rufus@larch.example', 'label' => '', 'uses' => [], 'isPrimary' => false,
            'sameAsId' => null, 'addressUseId' => null,
        ]]])->assertOk();
        $this->act($id, 'take')->assertJsonPath('results.*.outcome', ['added', 'refused']);
        $this->assertSame(2, Party::query()->count());
        $this->assertStringContainsString('Rufus Larch', $this->getJson("/api/imports/$id/lines")->json('lines.1.message'));
    }

    /** @return list<array<string, string>> */
    private static function rows(string $csv): array
    {
        $file = fopen('php://memory', 'w+') ?: throw new \RuntimeException('No memory.');
        fwrite($file, ltrim($csv, "\u{FEFF}"));
        rewind($file);
        $lines = [];
        while (($line = fgetcsv($file, escape: '')) !== false) {
            $lines[] = array_map(strval(...), $line);
        }
        $heads = array_shift($lines) ?? [];

        return array_map(fn (array $line) => array_diff_key(array_combine($heads, $line), ['Number' => '', 'Our number' => '']), $lines);
    }
}
