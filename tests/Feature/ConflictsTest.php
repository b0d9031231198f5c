<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\ConflictSearch;
use App\Models\Party;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** A law office looks back before it takes somebody on: by name, by whoever is near them, by the roles that they had. */
final class ConflictsTest extends TestCase
{
    use BeginsEngagements;

    private Party $holdings;

    private Party $tarn;

    protected function setUp(): void
    {
        parent::setUp();
        config(['almanac.today' => '2026-11-24']);
        $this->asAdministrator();
        $this->holdings = $this->addCompany('Whitlow Holdings', ['legal' => 'Whitlow Holdings Ltd']);
        $this->tarn = $this->addCompany('Tarn & Whitlow');
        $this->saveSection($this->tarn, 'relations', ['relations' => [[
            'id' => null, 'partyId' => $this->holdings->id, 'kind' => 'parent company', 'together' => 'alone', 'since' => '', 'until' => '',
        ]]])->assertOk();
        $past = $this->begin('case', 'Under review', 'Struck dome', ['begunOn' => '1 Mar 2024', 'parties' => [
            $this->inRole($this->holdings, $this->roleId('case', 'opposing side')),
        ]]);
        $this->move($past, 'Settled', ['on' => '1 Feb 2025', 'reason' => 'Paid'])->assertOk();
    }

    /**
     * @param list<array{string, string}> $names
     *
     * @return array<mixed>
     */
    private function search(array $names, ?int $engagementId = null): array
    {
        return (array) $this->postJson('/api/conflict-searches', [
            'engagementId' => $engagementId,
            'names' => array_map(fn (array $one) => ['name' => $one[0], 'role' => $one[1]], $names),
        ])->assertCreated()->json();
    }

    public function test_each_finding_says_its_way_and_its_degree(): void
    {
        $ambrose = $this->addPerson('Ambrose', 'Quill', ['companyId' => $this->tarn->id, 'title' => 'Director']);
        $found = $this->search([
            ['Tarn and Whitlow Ltd', 'insured'], ['whitlow holdings', 'insured'], ['Ambrose Quill', 'insured'],
            ['Ambrose Quil', 'witness'], ['Nobody Known', 'insured'],
        ]);
        $said = array_map(fn (array $name) => [$name['degree'], array_column($name['findings'], 'sentence')], $found['names']);
        $this->assertSame(
            ['opposes', ['Tarn & Whitlow — subsidiary of Whitlow Holdings — opposing side in case CA2024-001, closed 2025']],
            $said[0],
        );
        $this->assertSame(['opposes', ['Whitlow Holdings — opposing side in case CA2024-001, closed 2025']], $said[1]);
        $this->assertSame(
            [
                'near',
                [
                    'Ambrose Quill — Director at Tarn & Whitlow — subsidiary of Whitlow Holdings — opposing side in case CA2024-001, closed 2025',
                ],
            ],
            $said[2],
        );
        $this->assertSame(['known', ['Ambrose Quill']], $said[3], 'a witness stands against nobody, and a slip is understood');
        $this->assertSame(['unknown', []], $said[4]);
        $this->assertSame([Party::query()->count(), 1], [$found['parties'], $found['engagements']]);
        // It stays as it was, whatever becomes of the book.
        $this->saveSection($this->tarn, 'relations', ['relations' => []], 1)->assertOk();
        $this->deleteJson("/api/parties/{$ambrose->id}")->assertStatus(422);
        $this->getJson("/api/conflict-searches/{$found['id']}")->assertJsonPath('names.0.findings.0.sentence', $said[0][1][0]);
    }

    public function test_what_was_decided_is_kept_with_its_reason_and_told_in_the_log(): void
    {
        $case = $this->begin('case', 'Reported', 'Flood');
        $found = $this->search([['Tarn & Whitlow', 'insured']], $case->id);
        $this->assertSame(1, $found['undecided']);
        $id = $found['names'][0]['findings'][0]['id'];
        $decide = fn (array $input) => $this->putJson(
            "/api/conflict-findings/$id/decision",
            $input + ['decision' => 'consent', 'reason' => 'Both agreed in writing', 'on' => '', 'version' => 0],
        );
        $decide(['reason' => ' '])->assertStatus(422)->assertJsonPath('errors.0.field', 'reason');
        $decide(['on' => '1 Dec 2026'])->assertStatus(422)->assertJsonPath('errors.0.field', 'on');
        $decide([])->assertOk()
            ->assertJsonPath('undecided', 0)
            ->assertJsonPath('names.0.findings.0.decisionText', 'consent given, 24 Nov 2026, Maud Ferris');
        // A colleague who decides at the same time is told, and takes nobody's decision away.
        $decide(['decision' => 'declined'])->assertConflict();
        $decide(['decision' => 'declined', 'version' => 1])->assertOk();
        $decide(['version' => 2])->assertOk();
        $told = array_column((array) $this->getJson("/api/engagements/{$case->id}/changes")->json('changes'), 'to');
        $this->assertContains('1 name searched: 1 on the other side, 0 near it', $told);
        $this->assertContains('consent given: Both agreed in writing', $told);
        $this->getJson("/api/conflict-searches?engagementId={$case->id}")
            ->assertJsonCount(1)->assertJsonPath('0.engagement.number', $case->number);
    }

    public function test_who_is_added_or_related_later_is_searched_by_itself_and_what_is_new_waits_in_upkeep(): void
    {
        $fenwick = $this->addCompany('Fenwick');
        $ada = $this->addPerson('Ada', 'Finch');
        $this->begin('case', 'Reported', 'Old', ['parties' => [$this->inRole($fenwick, $this->roleId('case', 'opposing side'))]]);
        $case = $this->begin('case', 'Reported', 'Flood');
        $waiting = fn () => $this->getJson('/api/conflict-searches/waiting')->assertOk();
        $put = fn (array $rows, int $version) => $this->putJson(
            "/api/engagements/$case->id/parties",
            ['version' => $version, 'parties' => $rows],
        )->assertOk()->json('parties');
        $insured = $this->inRole($ada, $this->roleId('case', 'insured'));
        $put([$insured], 0);
        $waiting()->assertJsonCount(0);
        // Nothing is repeated where nobody has searched.
        $this->search([['Ada Finch', 'insured']], $case->id);
        $rows = $put([$insured, $this->inRole($fenwick, $this->roleId('case', 'adjuster'))], 1);
        $found = $waiting()->assertJsonCount(1)
            ->assertJsonPath('0.names.0.name', 'Fenwick')->assertJsonPath('0.engagement.number', $case->number)
            ->json('0');
        $this->assertStringContainsString('opposing side in case', $found['names'][0]['findings'][0]['sentence']);
        $this->putJson(
            "/api/conflict-findings/{$found['names'][0]['findings'][0]['id']}/decision",
            ['decision' => 'consent', 'reason' => 'They know', 'on' => '', 'version' => 0],
        )
            ->assertOk();
        $waiting()->assertJsonCount(0);

        // A relation brings somebody near who was not.
        $this->saveSection($ada, 'relations', ['relations' => [[
            'id' => null, 'partyId' => $this->addPerson('Zeb', 'Moss', ['companyId' => $fenwick->id])->id,
            'kind' => 'spouse', 'together' => 'alone', 'since' => '', 'until' => '',
        ]]])->assertOk();
        $waiting()->assertJsonCount(1)->assertJsonPath('0.names.0.name', 'Ada Finch');
        // The same again is nothing new.
        $this->saveSection($ada, 'relations', ['relations' => []], 1)->assertOk();
        $this->postJson("/api/parties/$ada->id/sections/relations/undo", ['version' => 2])->assertOk();
        $waiting()->assertJsonCount(1);
        $this->assertContains(
            '1 name searched: 0 on the other side, 1 near it',
            array_column((array) $this->getJson("/api/engagements/{$case->id}/changes")->json('changes'), 'to'),
        );
        // What is closed is left alone.
        $this->move($case, 'Settled', ['reason' => 'Paid', 'isSure' => true])->assertOk();
        $waiting()->assertJsonCount(0);
    }

    public function test_a_name_is_found_where_it_is_only_mentioned_and_on_documents_of_another_name(): void
    {
        $fenwick = $this->addCompany('Fenwick');
        $entry = fn (string $path, string $text) => $this->postJson(
            "/api/$path/entries",
            ['kind' => 'call', 'day' => '', 'withPartyId' => null, 'text' => $text, 'isPinned' => false],
        )->assertCreated();
        $entry("parties/$fenwick->id", 'Spoke with Zoë  Marchbanks about the dial');
        $secret = $this->begin('case', 'Reported', 'Zanzibar', ['isPrivate' => true, 'readerIds' => [$this->administrator->id]]);
        $entry("engagements/$secret->id", 'Marchbanks, Zoe has called twice');
        $sentences = fn (string $name) => array_column($this->search([[$name, 'insured']])['names'][0]['findings'], 'sentence');
        $this->assertSame(
            ["Mentioned in a call of 24 Nov 2026 of case $secret->number Zanzibar", 'Mentioned in a call of 24 Nov 2026 of Fenwick'],
            $sentences('Zoe Marchbanks'),
        );
        $this->assertSame([], $sentences('Marchbanks'), 'one word is too little');
        $this->actingAs($this->user(Role::Clerk));
        $this->assertSame(
            ['In a case that you may not open; ask Maud Ferris', 'Mentioned in a call of 24 Nov 2026 of Fenwick'],
            $sentences('Zoe Marchbanks'),
        );

        $this->asAdministrator();
        $invoice = $this->issued($fenwick, 'invoice', '10');
        DB::table('documents')
            ->where('id', $invoice->id)
            ->update(['copy' => json_encode(['name' => 'Old Quay Holdings'] + $invoice->copy)]);
        $this->assertSame(['Fenwick'], $sentences('old quay holdings'));
        $this->assertSame([], $sentences('Quay Holdings Elsewhere'));
    }

    public function test_a_private_case_counts_and_nothing_of_it_is_said_to_others(): void
    {
        $secret = $this->begin('case', 'Reported', 'Zanzibar', [
            'isPrivate' => true, 'readerIds' => [$this->administrator->id],
            'parties' => [$this->inRole($this->addCompany('Fenwick'), $this->roleId('case', 'opposing side'))],
        ]);
        $mine = $this->search([['Fenwick', 'insured']], $secret->id);
        $open = $this->search([['Fenwick', 'insured']]);
        $this->assertStringContainsString($secret->number, $open['names'][0]['findings'][0]['sentence']);
        $this->actingAs($this->user(Role::Clerk));
        $hidden = 'In a case that you may not open; ask Maud Ferris';
        foreach ([$this->search([['Fenwick', 'insured']]), (array) $this->getJson("/api/conflict-searches/{$open['id']}")->assertOk()->json()] as $found) {
            $this->assertSame(
                ['opposes', [$hidden]],
                [$found['names'][0]['degree'], array_column($found['names'][0]['findings'], 'sentence')],
            );
        }
        $this->getJson("/api/conflict-searches/{$mine['id']}")->assertNotFound();
        $this->putJson(
            "/api/conflict-findings/{$mine['names'][0]['findings'][0]['id']}/decision",
            ['decision' => 'declined', 'reason' => 'x', 'on' => '', 'version' => 0],
        )
            ->assertNotFound();
        $this->postJson('/api/conflict-searches', ['engagementId' => $secret->id, 'names' => [['name' => 'A', 'role' => '']]])
            ->assertNotFound();
        $this->getJson('/api/conflict-searches')->assertDontSee($secret->number);
    }

    public function test_odd_names_are_searched_without_harm(): void
    {
        $this->addCompany('東京時計');
        $found = $this->search([
            ['東京時計', 'insured'], ['W', 'insured'], ['"; DROP', ''], ["  Whitlow\n Holdings ", 'insured'],
            ['whitlow holdings', 'insured'], [' ', ''],
        ]);
        $this->assertSame(['東京時計', 'W', '"; DROP', 'Whitlow Holdings'], array_column($found['names'], 'name'), 'tidied, and each once');
        $this->assertSame(['known', 'unknown', 'unknown', 'opposes'], array_column($found['names'], 'degree'));
        $this->postJson('/api/conflict-searches', ['engagementId' => null, 'names' => [['name' => ' ', 'role' => '']]])
            ->assertStatus(422)->assertJsonPath('errors.0.field', 'names');
        $many = array_map(fn (int $n) => ["Whitlow $n", 'insured'], range(1, 500));
        $this->assertCount(500, $this->search($many)['names']);
        $this->assertSame(2, ConflictSearch::query()->count());
    }
}
