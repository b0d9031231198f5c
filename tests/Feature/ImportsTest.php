<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Party;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Files of people and companies: read, matched, taken in, taken back. */
final class ImportsTest extends TestCase
{
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
        $id = $this->hand(self::TABLE)->assertCreated()->assertJsonPath('of', 'records')->json('id');
        $this->read($id)->assertJsonPath('state', 'columns')->assertJsonPath('lines', 4);
        $columns = $this->getJson("/api/imports/$id/columns")->assertOk();
        $this->assertSame(
            ['company', 'given', 'family', 'phone:mobile', 'phone:office', 'email', 'street', 'locality', 'region', 'postcode', 'types', 'tags', 'client-terms', 'role', 'note'],
            $columns->json('columns.*.target'),
        );
        $this->match($id)->assertJsonPath('state', 'checked')
            ->assertJsonPath('outcomes.*.outcome', ['new', 'wrong'])->assertJsonPath('outcomes.*.count', [3, 1]);
        $this->getJson("/api/imports/$id/lines?outcome=wrong")->assertJsonPath('lines.0.line', 5)->assertJsonPath('lines.0.problems.*.column', [3, 5]);
        $this->assertSame($before, $this->counted(), 'checking changes nothing');
        // The wrong line is mended on the spot.
        $this->putJson("/api/imports/$id/lines/5", [
            'cells' => [['column' => 3, 'text' => '802-555-0188'], ['column' => 5, 'text' => 'bad@line.example']], 'decision' => null, 'recordId' => null, 'existing' => null,
        ])->assertOk()->assertJsonPath('outcome', 'new')->assertJsonPath('name', 'Bad Line');
        $this->act($id, 'take')->assertJsonPath('state', 'taken')->assertJsonPath('results.0.count', 4);
        $ottilie = Party::query()->where('family', 'Larkin')->firstOrFail();
        $this->assertTrue($ottilie->is_vendor);
        $this->assertSame('net 30', $ottilie->clientTerms?->listed->shorthand ?? $ottilie->clientTerms?->shorthand);
        $this->assertSame('Tern Hill Timber', $ottilie->heldPositions()->firstOrFail()->company->display_name);
        $this->assertSame(1, Party::query()->where('company_name', 'Tern Hill Timber')->count(), 'a company that lines name is made once');
        $this->getJson("/api/parties/$ottilie->id")->assertJsonPath('reach.contactPoints.0.value', '802-555-0143');
        // The same file once more changes nothing.
        $again = $this->hand(self::TABLE)->json('id');
        $this->match($again)->assertJsonPath('outcomes.*.outcome', ['same', 'wrong'])->assertJsonPath('mayTake', false);
        $this->postJson("/api/imports/$again/take")->assertStatus(422);
        // Taken back as one.
        $this->act($id, 'take-back')->assertJsonPath('state', 'taken-back')->assertJsonPath('results.0.outcome', 'taken-back')->assertJsonPath('results.0.count', 4);
        $this->assertSame($before, $this->counted());
    }

    public function test_the_demo_office_goes_out_and_comes_in_again_and_nothing_is_changed(): void
    {
        $this->demo();
        $this->actingAs(User::query()->where('email', 'maud@orreryvane.example')->firstOrFail());
        $before = $this->counted();
        foreach ([['csv', 'private=1&'], ['xlsx', ''], ['ods', 'private=1&']] as [$format, $private]) {
            $file = $this->get("/api/parties/export?{$private}whole=1&format=$format")->assertOk()->streamedContent();
            $id = $this->hand($file, "all.$format")->json('id');
            $this->read($id)->assertJsonPath('failure', '')->assertJsonPath('state', 'columns');
            $this->assertSame([], array_filter($this->getJson("/api/imports/$id/columns")->json('columns'), fn (array $one) => $one['filled'] > 0 && $one['target'] === ''), 'every column that is written is known again');
            $outcomes = $this->match($id, ['existing' => 'take-over'])->json('outcomes');
            $this->assertSame(['same'], array_column($outcomes, 'outcome'), "$format: ".json_encode($this->notTheSame($id), JSON_PRETTY_PRINT));
        }
        $this->assertSame($before, $this->counted());
        // Into another office: what a table can hold is the same there.
    }

    /**
     * @param array<string, mixed> $changes
     *
     * @return TestResponse<Response>
     */
    private function match(int $id, array $changes = []): TestResponse
    {
        $columns = $this->getJson("/api/imports/$id/columns")->assertOk();

        $this->putJson("/api/imports/$id/columns", $changes + [
            'sheet' => $columns->json('sheet'), 'hasHeadings' => $columns->json('hasHeadings'), 'targets' => $columns->json('columns.*.target'),
            'isMonthFirst' => $columns->json('isMonthFirst'), 'decimalSign' => $columns->json('decimalSign'), 'existing' => $columns->json('existing'),
            'takesNewWords' => $columns->json('takesNewWords'), 'kind' => $columns->json('kind'), 'roles' => $columns->json('roles'),
        ])->assertOk();

        return $this->read($id);
    }

    /** @return TestResponse<Response> */
    private function act(int $id, string $what): TestResponse
    {
        $this->postJson("/api/imports/$id/$what")->assertOk();

        return $this->read($id);
    }

    /** @return TestResponse<Response> as it is once the work is done, which follows the request */
    private function read(int $id): TestResponse
    {
        return $this->getJson("/api/imports/$id")->assertOk();
    }

    /** @return TestResponse<Response> */
    private function hand(string $content, string $name = 'people.csv'): TestResponse
    {
        return $this->post('/api/imports', ['file' => UploadedFile::fake()->createWithContent($name, $content)], ['Accept' => 'application/json']);
    }

    /** @return array<mixed> what would be other, and why */
    private function notTheSame(int $id): array
    {
        $lines = array_merge([], ...array_map(fn (string $of) => $this->getJson("/api/imports/$id/lines?outcome=$of")->json('lines'), ['new', 'changes', 'doubtful', 'wrong']));

        return array_map(fn (array $line) => array_intersect_key($line, array_flip(['outcome', 'name', 'message', 'problems', 'changes', 'candidates'])), $lines);
    }

    /** @return array<string, int> */
    private function counted(): array
    {
        $tables = ['parties', 'subjects', 'contact_points', 'addresses', 'address_uses', 'positions', 'client_terms', 'vendor_terms', 'log_entries', 'record_lines', 'balances'];

        return array_combine($tables, array_map(fn (string $table) => DB::table($table)->count(), $tables));
    }
}
