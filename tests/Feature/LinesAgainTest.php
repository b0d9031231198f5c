<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Party;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Lines that say little, or come a second time: nobody comes into the book twice, and nobody is taken for another. */
final class LinesAgainTest extends TestCase
{
    use TakesImports;

    protected function setUp(): void
    {
        parent::setUp();
        $this->asAdministrator();
    }

    public function test_a_line_that_was_taken_is_known_again_though_a_name_is_all_that_it_says(): void
    {
        $file = "First,Last,Company\nAda,Tolliver,\n,Larkin,Putney Mill\nOttilie,,\n";
        $first = $this->checked($file)->assertJsonPath('outcomes.*.outcome', ['new'])->json('id');
        $this->act($first, 'take')->assertJsonPath('results.*.count', [3]);
        // With new ones beneath, and one who is called as somebody of the first.
        $second = $this->checked($file."Ada,Tolliver,Alder Mills\nIda,Holm,\n")->json('id');
        $this->assertSame(['same', 'same', 'same', 'doubtful', 'new'], $this->outcomes($second));
        // Whoever looks at it later is the same, though the record is called otherwise by then.
        $larkin = Party::query()->where('family', 'Larkin')->sole();
        $larkin->update(['family' => 'Wren', 'display_name' => 'Wren', 'file_as' => 'Wren', 'sort_key' => 'wren']);
        $this->assertSame(['same', 'changes', 'same'], $this->outcomes($this->checked($file, ['existing' => 'take-over'])->json('id')));
        // Taken back, they were never there.
        $this->act($first, 'take-back')->assertJsonPath('results.0.outcome', 'taken-back');
        $this->assertSame(['new', 'new', 'new'], $this->outcomes($this->checked($file)->json('id')));
    }

    public function test_the_same_line_of_a_table_with_other_headings_is_another(): void
    {
        $this->act($this->checked("Last,First\nWren,Ada\n")->json('id'), 'take');
        $this->assertSame(['doubtful'], $this->outcomes($this->checked("First,Last\nWren,Ada\n")->json('id')));
        // A column more that says nothing makes no difference.
        $this->assertSame(['same'], $this->outcomes($this->checked("Last,First,Phone\nWren,Ada,\n")->json('id')));
    }

    public function test_the_same_line_twice_in_a_file_is_asked_about_once(): void
    {
        $id = $this->checked("Name,Tags\nLarkin,mill\nLarkin,mill\nLarkin,\n")->json('id');
        $this->assertSame(['new', 'doubtful', 'new'], $this->outcomes($id));
        $this->assertSame('Line 2 of the file looks the same.', $this->getJson("/api/imports/$id/lines")->json('lines.1.message'));
        $this->postJson("/api/imports/$id/decide", ['outcome' => 'doubtful', 'decision' => 'new'])->assertOk();
        $this->act($id, 'take')->assertJsonPath('results.*.count', [3]);
        // Two became of it: which one is meant is not known.
        $this->assertSame(['doubtful', 'doubtful', 'same'], $this->outcomes($this->checked("Name,Tags\nLarkin,mill\nLarkin,mill\nLarkin,\n")->json('id')));
    }

    public function test_two_who_hand_in_one_file_enter_nobody_twice(): void
    {
        $file = "Last,Tags\nLarkin,mill\nHolm,mill\n";
        [$one, $other] = [$this->checked($file)->json('id'), $this->checked($file)->json('id')];
        $this->act($one, 'take')->assertJsonPath('results.*.outcome', ['added']);
        $this->act($other, 'take')->assertJsonPath('results.*.outcome', ['refused']);
        $this->assertSame(2, Party::query()->count());
        $this->assertStringStartsWith('Larkin has come into the book meanwhile', $this->getJson("/api/imports/$other/lines")->json('lines.0.message'));
    }

    public function test_who_was_made_one_with_another_is_that_one(): void
    {
        $file = "Last,Tags\nLarkin,mill\n";
        $first = $this->checked($file)->json('id');
        $this->act($first, 'take');
        $larkin = Party::query()->sole();
        $kept = $this->addPerson('Ottilie', 'Larkin');
        $input = [
            'partyIds' => [$larkin->id, $kept->id], 'keptId' => $kept->id, 'chosen' => [], 'lines' => [], 'withArchived' => false,
            'seen' => '', 'why' => '',
        ];
        $seen = $this->postJson('/api/merges/preview', $input)->assertOk()->json('seen');
        $this->postJson('/api/merges', ['seen' => $seen] + $input)->assertCreated();
        $id = $this->checked($file)->json('id');
        $this->assertSame(['same'], $this->outcomes($id));
        $this->assertSame('Ottilie Larkin', $this->getJson("/api/imports/$id/lines")->json('lines.0.record.name'));
        $this->act($first, 'take-back')->assertJsonPath('results.*.outcome', ['kept']);
    }

    public function test_who_was_a_person_is_not_the_company_that_the_line_is_now(): void
    {
        $file = "Name,Tags\nLarkin,mill\n";
        $this->act($this->checked($file, ['kind' => 'person'])->json('id'), 'take');
        $id = $this->checked($file, ['kind' => 'company'])->json('id');
        $this->assertSame(['new'], $this->outcomes($id));
        // Somebody comes into the book meanwhile, so that everybody new is looked for once more.
        $this->actingAs($this->user(Role::Clerk));
        $this->postJson('/api/parties', ['kind' => 'person', 'given' => 'Ida', 'family' => 'Holm', 'isClient' => false, 'isVendor' => false])->assertCreated();
        $this->asAdministrator();
        $this->act($id, 'take')->assertJsonPath('results.*.outcome', ['added']);
        $this->assertSame(['company', 'person', 'person'], Party::query()->orderBy('kind')->toBase()->pluck('kind')->all());
    }

    public function test_of_whom_half_a_name_is_known_is_asked_about(): void
    {
        $this->addPerson('', 'Larkin');
        $this->addPerson('Ottilie', 'Holm');
        $id = $this->checked("First,Last,Phone\n,LARKIN,\nOttilie,,\n,Holm,\n,Larkin,802-555-0143\n")->json('id');
        $this->assertSame(['doubtful', 'new', 'new', 'doubtful'], $this->outcomes($id));
        $this->assertSame(['Larkin'], $this->getJson("/api/imports/$id/lines")->json('lines.0.candidates.*.name'));
    }

    public function test_numbers_that_lines_have_go_to_nobody_else_of_the_file(): void
    {
        $this->act($this->checked("Name,Record number,Company\nAda Tolliver,1003,Putney Mill\nRufus Larch,,\nInes Ostrow,1002,\nLarch Joiners,,\n")->json('id'), 'take');
        $numbers = Party::query()->pluck('number', 'display_name')->all();
        $this->assertSame([1003, 1002], [$numbers['Ada Tolliver'], $numbers['Ines Ostrow']]);
        $this->assertSame([1004, 1005, 1006], collect($numbers)->only('Putney Mill', 'Rufus Larch', 'Larch Joiners')->sort()->values()->all());
    }

    public function test_what_could_not_be_taken_is_told_when_it_is_checked(): void
    {
        $id = $this->checked("Name,Currency,Credit limit,IBAN 1,IBAN 2,Opening balance\n"
            ."Ada Tolliver,JPY,250.50,,,\nIda Holm,JPY,2500,,,\nRufus Larch,,,GB82WEST12345698765432,CH9300762011623852957,\nInes Ostrow,,,,,0.00\n")->json('id');
        $this->assertSame(['wrong', 'new', 'wrong', 'new'], $this->outcomes($id));
        $lines = $this->getJson("/api/imports/$id/lines");
        $this->assertSame([
            '“250.50” has more decimals than JPY has: at most 0.',
            'Another IBAN stands on this line, and a record has one. Clear the one that is not in use.',
        ], [$lines->json('lines.0.problems.0.message'), $lines->json('lines.2.problems.0.message')]);
        $this->assertSame([2, 4], [$lines->json('lines.0.problems.0.column'), $lines->json('lines.2.problems.0.column')]);
        // Cleared, the line is good.
        $this->putJson("/api/imports/$id/lines/4", [
            'cells' => [['line' => 4, 'column' => 4, 'text' => '']], 'decision' => null, 'recordId' => null, 'existing' => null,
        ])->assertOk()->assertJsonPath('outcome', 'new');
        $this->act($id, 'take')->assertJsonPath('results.*.count', [3]);
        $this->assertSame([2500, 0], [DB::table('client_terms')->max('limit_minor'), DB::table('documents')->count()]);
    }

    public function test_what_is_written_of_an_account_is_what_is_in_force(): void
    {
        $party = $this->addCompany('Zahnrad', ['isVendor' => true]);
        foreach (['GB82WEST12345698765432', 'CH9300762011623852957'] as $iban) {
            $this->postJson("/api/parties/$party->id/bank-details", [
                'kind' => 'iban', 'iban' => $iban, 'bic' => '', 'routing' => '', 'sortCode' => '', 'account' => '', 'use' => 'checking',
                'holder' => 'Zahnrad', 'bankName' => '',
            ])->assertSuccessful();
            // The first is confirmed; what came after it waits.
            DB::table('bank_details')->where('state', 'on-hold')->whereRaw('id = (select min(id) from bank_details)')->update(['state' => 'confirmed']);
        }
        $written = $this->get('/api/parties/export?private=1&whole=1&format=csv')->streamedContent();
        $this->assertStringContainsString('GB82WEST12345698765432', $written);
        $this->assertStringNotContainsString('CH9300762011623852957', $written);
        $this->assertSame(['same'], $this->outcomes($this->checked($written, ['existing' => 'take-over'])->json('id')));
        $this->assertSame(['confirmed', 'on-hold'], DB::table('bank_details')->orderBy('id')->pluck('state')->all());
    }

    public function test_what_was_changed_and_taken_back_is_no_change(): void
    {
        $head = "Tax ID,Name,Phone,Street,City,Tags,Terms,Language\n";
        $first = $this->checked($head."12-3456789,Ada Tolliver,802-555-0143,4 Lane,Putney,mill,net 30,German\n12-3456780,Ida Holm,,,,,,\n")->json('id');
        $this->act($first, 'take')->assertJsonPath('results.*.count', [2]);
        $second = $this->checked($head."12-3456789,Ada Tolliver,802-555-0144,5 Road,Keene,clock,net 10,French\n12-3456780,Ida Holm,,,,bell,,\n", ['existing' => 'take-over'])->json('id');
        $this->assertSame(['changes', 'changes'], $this->outcomes($second));
        $this->act($second, 'take')->assertJsonPath('results.*.outcome', ['changed']);
        $this->act($second, 'take-back')->assertJsonPath('results.*.outcome', ['taken-back']);
        $ida = Party::query()->where('family', 'Holm')->sole();
        $this->saveSection($ida, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0177')]])->assertOk();
        $this->act($first, 'take-back')->assertJsonPath('results.*.outcome', ['taken-back', 'kept']);
        $this->assertSame(['Ida Holm'], Party::query()->pluck('display_name')->all());
    }

    public function test_that_somebody_has_seen_what_is_private_keeps_nothing_from_going_back(): void
    {
        $id = $this->checked("Name,EIN\nTern Hill Timber,12-3456789\n")->json('id');
        $this->act($id, 'take');
        $this->get('/api/parties/export?private=1&whole=1&format=csv')->assertOk()->streamedContent();
        $this->assertSame(1, DB::table('changes')->where('key', 'seen')->count());
        $this->act($id, 'take-back')->assertJsonPath('results.*.outcome', ['taken-back']);
        $this->assertSame(0, Party::query()->count());
    }

    /**
     * @param array<string, mixed> $said
     *
     * @return TestResponse<Response>
     */
    private function checked(string $file, array $said = []): TestResponse
    {
        /** @var int $id */
        $id = $this->handIn($file)->assertCreated()->json('id');

        return $this->match($id, $said)->assertJsonPath('state', 'checked');
    }

    /** @return list<string> of each line, as they stand in the file */
    private function outcomes(mixed $id): array
    {
        return array_values(DB::table('import_lines')->where('import_id', $id)->orderBy('line')->pluck('outcome')->map(strval(...))->all());
    }
}
