<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Interchange\DocumentReader;
use App\Actions\Office\KeepUsers;
use App\Facts\Ledger\MatchParties;
use App\Models\Allocation;
use App\Models\ContactPoint;
use App\Models\Document;
use App\Models\Merge;
use App\Models\Party;
use App\Models\SectionState;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class MergesTest extends TestCase
{
    private Party $robert;

    private Party $bob;

    protected function setUp(): void
    {
        parent::setUp();
        $this->asAdministrator();
        $this->robert = $this->addPerson('Robert', 'Larkin', ['isClient' => true]);
        $this->bob = $this->addPerson('Bob', 'Larkin', ['isClient' => true]);
        $this->saveSection($this->robert, 'reach', ['contactPoints' => [
            $this->contact('phone', '(802) 555-0142', ['label' => 'home', 'isPrimary' => true]),
            $this->contact('email', 'robert@larkin.example'),
        ]])->assertOk();
        $this->saveSection($this->bob, 'reach', ['contactPoints' => [
            $this->contact('phone', '802.555.0142', ['label' => 'cell']), $this->contact('phone', '802 555 0177', ['label' => 'office']),
        ]])->assertOk();
        $this->saveSection(
            $this->robert,
            'addresses',
            ['addresses' => [$this->address(['lines' => '14 Meridian Lane', 'isPrimary' => true])]],
        )
            ->assertOk();
        $this->saveSection($this->bob, 'addresses', ['addresses' => [
            $this->address(['lines' => '14 Meridian Ln.', 'uses' => ['billing']]), $this->address(['lines' => '3 Dial Street']),
        ]])->assertOk();
    }

    public function test_the_preview_says_what_is_proposed_and_why(): void
    {
        $sides = $this->preview()
            ->assertJsonPath('keptId', $this->robert->id)->assertJsonPath('isPossible', true)
            ->assertJsonPath('mayDo', true)->json();
        $given = $this->valueOf($sides, 'identity/given');
        $this->assertSame(
            ['Robert', 'the fuller name', $this->robert->id, true],
            [$given['text'], $given['why'], $given['chosenId'], $given['isOpen']],
        );
        $this->assertSame('both say so', $this->valueOf($sides, 'identity/family')['why']);
        $this->assertSame(
            [[true, false, 'home'], [false, true, 'cell'], [true, false, 'office'], [true, false, 'office']],
            array_map(fn (array $line) => [$line['isKept'], $line['isDouble'], $line['label']], $this->linesOf($sides, 'reach')),
        );
        $this->assertSame([true, false, true], array_column($this->linesOf($sides, 'addresses'), 'isKept'));
    }

    public function test_two_become_one_and_everything_leads_there(): void
    {
        $invoice = $this->issued($this->bob, 'invoice', '120');
        $this->postJson(
            "/api/parties/{$this->bob->id}/entries",
            ['kind' => 'call', 'day' => '', 'withPartyId' => null, 'isPinned' => false, 'text' => 'Asked for the clock'],
        )
            ->assertCreated();
        $preview = $this->preview(['keptId' => $this->robert->id])
            ->assertJsonPath('carried.0.title', 'Documents')->assertJsonPath('carried.0.ofEach', ['', '1'])->json();
        $office = $this->linesOf($preview, 'reach')[3]['part'];
        $merge = $this->make([
            'keptId' => $this->robert->id,
            'chosen' => [['part' => 'identity/given', 'partyId' => $this->bob->id]],
            'lines' => [['part' => $office, 'isKept' => true, 'label' => 'workshop', 'isPrimary' => true]],
            'why' => 'Entered twice',
        ])->assertCreated()->assertJsonPath('state', 'done')->json();

        $record = $this->getJson("/api/parties/{$this->robert->id}")->assertOk()
            ->assertJsonPath('party.displayName', 'Bob Larkin')
            ->assertJsonPath('documents.newest.0.id', $invoice->id)
            ->assertJsonPath('reach.contactPoints.*.label', ['home', 'office', 'workshop'])
            ->assertJsonPath('reach.contactPoints.*.isPrimary', [false, true, true]);
        $this->assertSame([['billing'], []], $record->json('addresses.addresses.*.uses'));
        $this->assertContains(
            ['partyId' => $this->bob->id, 'title' => 'Phone', 'text' => '(802) 555-0142, cell, primary'],
            $merge['struck'],
        );
        $this->assertContains(['partyId' => $this->robert->id, 'title' => 'Given name', 'text' => 'Robert'], $merge['struck']);

        // By its number in the address, by the page, by its old name and number.
        $this->getJson("/api/parties/{$this->bob->id}?x=1")
            ->assertStatus(301)->assertHeader('Location', "/api/parties/{$this->robert->id}?x=1");
        $this->get("/records/{$this->bob->id}/statement")
            ->assertStatus(301)->assertHeader('Location', "/records/{$this->robert->id}/statement");
        $this->saveSection($this->bob, 'reach', ['contactPoints' => []])->assertStatus(410)->assertJsonPath('movedTo', $this->robert->id);
        foreach (['robert larkin', (string) $this->bob->number] as $typed) {
            $this->getJson('/api/find?q='.urlencode($typed))->assertOk()->assertJsonPath('results.0.party.id', $this->robert->id);
        }
        $this->assertSame($this->robert->number + 2, $this->addPerson('Ada', 'Finch')->number);
        $this->assertSame('Bob Larkin', Document::query()->findOrFail($invoice->id)->copy['name']);

        // One log, each line with where it comes from.
        $this->assertContains('Record:  -> made one from no. '.$this->bob->number.' Bob Larkin', $this->changesOf($this->robert));
        $stream = $this->getJson("/api/parties/{$this->robert->id}/stream")->assertOk()->json('lines');
        $this->assertIsArray($stream);
        $entry = array_values(array_filter($stream, fn (array $line) => $line['kind'] === 'entry'))[0];
        $this->assertSame("no. {$this->bob->number} Bob Larkin", $entry['from']);
        $this->assertContains(
            "no. {$this->bob->number} Bob Larkin",
            array_column(array_filter($stream, fn (array $line) => $line['kind'] === 'changes'), 'from'),
        );

        $this->getJson("/api/parties/{$this->robert->id}/merges")->assertJsonPath('0.sides.*.name', ['Robert Larkin', 'Bob Larkin']);
        $former = $this->getJson("/api/merges/{$merge['id']}/former/{$this->bob->id}")
            ->assertOk()->assertJsonPath('side.name', 'Bob Larkin')->json('sections');
        $this->assertSame(['Name and roles', 'Addresses', 'Reach'], array_column($former, 'title'));
        $this->assertContains(['label' => 'Phone', 'text' => '(802) 555-0142, cell, primary'], $former[2]['facts']);
        $this->getJson("/api/merges/{$merge['id']}/former/999")->assertNotFound();
        // A save that was made with it is not taken back by itself.
        $state = SectionState::query()->findOrFail(Merge::query()->firstOrFail()->cause_id);
        $this->postJson("/api/parties/{$this->robert->id}/sections/$state->section/undo", ['version' => $state->version])
            ->assertUnprocessable()->assertJsonPath('detail', 'That was saved when records were made one. Take them apart instead.');
    }

    public function test_what_stands_in_the_way_is_said_and_cleared(): void
    {
        $this->saveSection($this->robert, 'tax-numbers', $this->tax('123-45-6789'))->assertOk();
        $this->saveSection($this->bob, 'tax-numbers', $this->tax('123-45-6780'))->assertOk();
        $preview = $this->preview()->assertJsonPath('isPossible', false)->json();
        $this->assertSame([$this->bob->id], array_column($preview['hindrances'], 'partyId'));
        $this->make([])
            ->assertUnprocessable()
            ->assertJsonPath('detail', $preview['hindrances'][0]['what'].' '.$preview['hindrances'][0]['remedy']);
        $this->saveSection($this->bob, 'tax-numbers', ['taxNumbers' => []] + $this->tax(''), 1)->assertOk();

        $this->putJson("/api/parties/{$this->bob->id}/archive", ['reason' => 'gone'])->assertOk();
        $this->preview()->assertJsonPath('hindrances.0.isWaived', true)->assertJsonPath('isPossible', false);
        $this->make([])->assertUnprocessable();
        $clerk = $this->user(Role::Clerk);
        $this->actingAs($clerk)->putJson("/api/parties/{$this->robert->id}/editing", ['isEditing' => true])->assertNoContent();
        $this->asAdministrator();
        $this->preview(['withArchived' => true])->assertJsonPath('isPossible', false)
            ->assertJsonPath('hindrances.0.what', 'Clerk is changing Robert Larkin at this moment.');
        $this->actingAs($clerk)->putJson("/api/parties/{$this->robert->id}/editing", ['isEditing' => false])->assertNoContent();
        $this->asAdministrator()->make(['withArchived' => true])->assertCreated();
    }

    public function test_a_clerk_proposes_and_an_approver_does_it(): void
    {
        $clerk = $this->user(Role::Clerk);
        $this->actingAs($clerk);
        $seen = $this->preview()->assertJsonPath('mayDo', false)->json('seen');
        $input = $this->input([
            'keptId' => $this->bob->id, 'seen' => $seen,
            'chosen' => [['part' => 'identity/given', 'partyId' => $this->bob->id]], 'why' => 'The same man',
        ]);
        $this->postJson('/api/merges', $input)->assertForbidden();
        $id = $this->postJson('/api/merges/propose', $input)->assertCreated()->json('id');
        $this->assertIsInt($id);
        $this->postJson('/api/merges/propose', $input)->assertUnprocessable();

        $this->actingAs($this->user(Role::Approver));
        $this->getJson('/api/merges/proposed')->assertJsonPath('0.proposedBy', 'Clerk')->assertJsonPath('0.why', 'The same man');
        $decided = $this->getJson("/api/merges/$id/input")->assertJsonPath('keptId', $this->bob->id)->json();
        $this->assertIsArray($decided);
        $this->make(['keptId' => $decided['keptId'], 'chosen' => $decided['chosen'], 'lines' => $decided['lines']])
            ->assertCreated()->assertJsonPath('id', $id);
        $this->getJson('/api/merges/proposed')->assertExactJson([]);
        $this->getJson("/api/parties/{$this->bob->id}")->assertJsonPath('party.displayName', 'Bob Larkin');
        // Another who had the same before them is told.
        $this->make([])->assertUnprocessable()->assertJsonPath('detail', 'Approver has made them one in the meantime.');
        $this->deleteJson("/api/merges/$id")->assertUnprocessable();

        $this->asAdministrator()->putJson('/api/office', ['clerksMakeOne' => true] + $this->getJson('/api/office')->json())->assertOk();
        $this->robert = $this->addPerson('Bobby', 'Larkin');
        $this->actingAs($clerk)->make(['keptId' => $this->bob->id])->assertCreated();
    }

    public function test_a_proposal_is_taken_back_by_who_made_it_or_an_approver(): void
    {
        $clerk = $this->user(Role::Clerk);
        $propose = fn (): mixed => $this->actingAs($clerk)->postJson(
            '/api/merges/propose',
            $this->input(['keptId' => $this->robert->id]),
        )->assertCreated()->json('id');
        $id = $propose();
        $other = $this->app->make(KeepUsers::class)->add('Una', 'una@orreryvane.example', self::PASSWORD, Role::Clerk);
        $this->actingAs($other)->deleteJson("/api/merges/$id")->assertForbidden();
        $this->actingAs($clerk)->deleteJson("/api/merges/$id")->assertNoContent();
        $this->deleteJson("/api/merges/$id")->assertNotFound();
        $id = $propose();
        $this->actingAs($this->user(Role::Approver))->deleteJson("/api/merges/$id")->assertNoContent();
        // One whose records are gone waits no more.
        $propose();
        $this->asAdministrator()->deleteJson("/api/parties/{$this->bob->id}")->assertNoContent();
        $this->getJson('/api/merges/proposed')->assertExactJson([]);
    }

    public function test_a_record_that_was_saved_meanwhile_is_looked_at_again(): void
    {
        $seen = $this->preview()->json('seen');
        $this->saveSection($this->bob, 'reach', ['contactPoints' => []], 1)->assertOk();
        $this->postJson('/api/merges', $this->input(['keptId' => $this->robert->id, 'seen' => $seen]))->assertConflict();
        $this->assertSame(2, Party::query()->count());
    }

    public function test_taken_apart_with_what_came_and_was_changed_since(): void
    {
        $old = $this->issued($this->bob, 'invoice', '100');
        $id = $this->make(['keptId' => $this->robert->id])->assertCreated()->json('id');
        $this->assertIsInt($id);
        $kept = $this->robert;
        // An invoice by the name of the one that went; one paid together with an old one of his; a phone that is
        // corrected, one that is new.
        $new = $this->issued($kept, 'invoice', '50');
        $this->pay($kept, '100', [$old->id => '100'])->assertCreated();
        $both = $this->pay($kept, '30', [$new->id => '30'])->assertCreated()->json('row.id');
        $points = $this->getJson("/api/parties/$kept->id")->json('reach.contactPoints');
        $this->assertIsArray($points);
        $rows = array_map(
            fn (array $point) => array_intersect_key($point, $this->contact('', '')) + ['sameAsId' => null, 'addressUseId' => null],
            $points,
        );
        $rows[2]['value'] = '802 555 0178';
        $rows[] = $this->contact('phone', '802 555 0199');
        $this->saveSection($kept, 'reach', ['contactPoints' => $rows], $this->version($kept, 'reach'))->assertOk();
        $this->saveSection(
            $kept,
            'identity',
            [
                'prefix' => 'Mr.', 'given' => 'Robert', 'middle' => '', 'family' => 'Larkin', 'suffix' => '',
                'preferred' => 'Rob', 'pronouns' => '', 'postNominals' => '', 'isClient' => true, 'isVendor' => false,
            ],
            $this->version($kept, 'identity'),
        )
            ->assertOk();

        $apart = $this->getJson("/api/merges/$id/apart")->assertOk()->json();
        $this->assertIsArray($apart);
        $items = array_column($apart['items'], null, 'item');
        $this->assertSame([$this->robert->id, false], [$items["documents:$new->id"]['partyId'], $items["documents:$new->id"]['isFixed']]);
        $this->assertStringContainsString('with payment of', $items["documents:$new->id"]['text']);
        $payment = array_values(array_filter($items, fn (array $one) => $one['kind'] === 'Payments'))[0];
        $this->assertSame([$this->bob->id, true], [$payment['partyId'], $payment['isFixed']]);
        $changes = array_column($apart['changes'], null, 'title');
        $this->assertSame(
            ['', 'Rob', [$this->robert->id]],
            [$changes['Preferred name']['was'], $changes['Preferred name']['is'], $changes['Preferred name']['partyIds']],
        );
        $phones = array_values(array_filter($apart['changes'], fn (array $one) => $one['title'] === 'Phone'));
        $this->assertSame(
            [[false, [$this->bob->id]], [true, [$this->robert->id]]],
            array_map(fn (array $one) => [$one['isNew'], $one['partyIds']], $phones),
        );

        $this->postJson("/api/merges/$id/apart", [
            'seen' => $apart['seen'],
            'belongs' => [['item' => "documents:$new->id", 'partyId' => $this->bob->id]],
            'has' => [
                ['part' => $changes['Preferred name']['part'], 'partyIds' => [$this->robert->id, $this->bob->id]],
                ['part' => $phones[1]['part'], 'partyIds' => [$this->bob->id]],
            ],
        ])->assertOk()->assertJsonPath('state', 'apart');

        $bob = $this->getJson("/api/parties/{$this->bob->id}")->assertOk()->assertJsonPath('party.number', $this->bob->number)
            ->assertJsonPath('identity.preferred', 'Rob')->assertJsonPath('identity.given', 'Bob')->assertJsonPath('identity.prefix', '');
        $this->assertSame(['(802) 555-0142', '(802) 555-0178', '(802) 555-0199'], $bob->json('reach.contactPoints.*.display'));
        $this->assertSame([$old->id, $new->id], Document::query()->where('party_id', $this->bob->id)->orderBy('id')->pluck('id')->all());
        $this->assertSame([$this->bob->id], DB::table('payments')->where('id', $both)->pluck('party_id')->all());
        $this->getJson("/api/parties/{$this->robert->id}")
            ->assertJsonPath('identity.prefix', 'Mr.')
            ->assertJsonPath('reach.contactPoints.*.display', ['(802) 555-0142', 'robert@larkin.example']);
        $this->getJson('/api/find?q=Bob')->assertJsonPath('results.0.party.id', $this->bob->id);
        $this->postJson("/api/merges/$id/apart", ['seen' => $apart['seen'], 'belongs' => [], 'has' => []])->assertUnprocessable()
            ->assertJsonPath('detail', 'Maud Ferris has taken them apart in the meantime.');
        $this->assertContains("Record:  -> taken apart from no. {$this->bob->number} Bob Larkin", $this->changesOf($this->robert));
    }

    public function test_money_that_settled_something_of_both_is_taken_back_from_one(): void
    {
        $his = $this->issued($this->bob, 'invoice', '100');
        $theirs = $this->issued($this->robert, 'invoice', '60');
        $id = $this->make(['keptId' => $this->robert->id])->assertCreated()->json('id');
        $this->pay($this->robert, '160', [$his->id => '100', $theirs->id => '60'])->assertCreated();
        $apart = $this->getJson("/api/merges/$id/apart")->assertJsonPath('items.0.isFixed', false)->json();
        $this->assertIsArray($apart);
        $this->assertCount(1, $apart['lost']);
        $this->postJson(
            "/api/merges/$id/apart",
            ['seen' => $apart['seen'], 'belongs' => [['item' => $apart['items'][0]['item'], 'partyId' => $this->robert->id]], 'has' => []],
        )
            ->assertOk();
        $this->assertSame([10000, 0], [$his->refresh()->open_minor, $theirs->refresh()->open_minor]);
        $this->assertSame([$theirs->id], Allocation::query()->pluck('document_id')->all());
        $this->assertSame(10000, (int) DB::table('payments')->value('unallocated_minor'));
    }

    public function test_of_a_merge_of_a_merge_the_last_is_taken_apart_first(): void
    {
        $third = $this->addPerson('R.', 'Larkin');
        $first = $this->make(['keptId' => $this->robert->id])->assertCreated()->json('id');
        $second = $this->make(['keptId' => $third->id], [$this->robert->id, $third->id])->assertCreated()->json('id');
        $this->getJson("/api/parties/{$this->bob->id}")->assertStatus(301)->assertHeader('Location', "/api/parties/$third->id");
        $this->getJson("/api/merges/$first/apart")->assertUnprocessable();
        foreach ([$second, $first] as $id) {
            $seen = $this->getJson("/api/merges/$id/apart")->assertOk()->json('seen');
            $this->postJson("/api/merges/$id/apart", ['seen' => $seen, 'belongs' => [], 'has' => []])->assertOk();
            $this->getJson("/api/parties/{$this->bob->id}")->assertStatus($id === $first ? 200 : 301);
        }
        $this->assertSame(
            ['Bob Larkin', 'R. Larkin', 'Robert Larkin'],
            Party::query()->orderBy('display_name')->pluck('display_name')->all(),
        );
    }

    public function test_whoever_has_a_phone_or_an_address_by_link_keeps_it(): void
    {
        $ada = $this->addPerson('Ada', 'Finch');
        $point = ContactPoint::query()->where('party_id', $this->bob->id)->orderBy('id')->firstOrFail();
        $use = $this->bob->addressUses()->orderBy('rank')->firstOrFail();
        $this->saveSection($ada, 'reach', ['contactPoints' => [$this->contact('phone', '802 555 0142', ['sameAsId' => $point->id])]])
            ->assertOk();
        $this->saveSection($ada, 'addresses', ['addresses' => [$this->address(['linkedAddressId' => $use->address_id])]])->assertOk();
        $this->make(['keptId' => $this->robert->id])->assertCreated();
        $this->getJson("/api/parties/$ada->id")->assertJsonPath('reach.contactPoints.0.sameAs.name', 'Robert Larkin')
            ->assertJsonPath('addresses.addresses.0.sameAs.name', 'Robert Larkin');
    }

    public function test_a_company_is_known_by_the_name_it_had_in_conflicts_imports_and_look_alikes(): void
    {
        $kept = $this->addCompany('Penhallow Works', ['isClient' => true]);
        $gone = $this->addCompany('Gnomon Castings');
        $this->make(['keptId' => $kept->id], [$kept->id, $gone->id])->assertCreated();
        $this->postJson('/api/conflict-searches', ['engagementId' => null, 'names' => [['name' => 'Gnomon Castings', 'role' => 'insured']]])
            ->assertCreated()->assertJsonPath('names.0.findings.0.sentence', 'Penhallow Works');
        $match = MatchParties::ofBook([]);
        foreach (['Gnomon Castings', (string) $gone->number] as $party) {
            $read = DocumentReader::of(['kind', 'number', 'party', 'date', 'amount'], TypedDay::reader(Day::of(2026, 11, 24), true), 'USD')
                ->read([['invoice', 'K1', $party, '2026-11-01', '5']])->document;
            $this->assertNotNull($read);
            $this->assertSame($kept->id, $match->find($read)->partyId);
            $this->assertSame($kept->id, MatchParties::ofFew([$read], [])->find($read)->partyId);
        }
        $this->postJson(
            '/api/look-alikes',
            [
                'kind' => 'company', 'name' => 'Gnomon Castings LLC', 'given' => '', 'family' => '', 'phones' => [],
                'emails' => [], 'taxNumbers' => [], 'exceptId' => null,
            ],
        )
            ->assertJsonPath('0.party.id', $kept->id);
    }

    public function test_one_that_is_archived_is_in_use_with_one_that_is_and_archived_again_apart(): void
    {
        $this->putJson("/api/parties/{$this->robert->id}/archive", ['reason' => 'gone'])->assertOk();
        $id = $this->make(['keptId' => $this->robert->id, 'withArchived' => true])->assertCreated()->json('id');
        $this->getJson("/api/parties/{$this->robert->id}")->assertJsonPath('archive', null);
        $seen = $this->getJson("/api/merges/$id/apart")->assertOk()->json('seen');
        $this->postJson("/api/merges/$id/apart", ['seen' => $seen, 'belongs' => [], 'has' => []])->assertOk();
        $this->getJson("/api/parties/{$this->robert->id}")->assertJsonPath('archive.reason', 'gone');
        $this->getJson("/api/parties/{$this->bob->id}")->assertJsonPath('archive', null);
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function preview(array $more = []): TestResponse
    {
        return $this->postJson('/api/merges/preview', $this->input($more))->assertOk();
    }

    /**
     * As somebody does it who has just looked.
     *
     * @param array<string, mixed> $more
     * @param list<int>|null $ids
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function make(array $more, ?array $ids = null): TestResponse
    {
        $input = $this->input($more + ['partyIds' => $ids ?? [$this->robert->id, $this->bob->id]]);
        $preview = $this->postJson('/api/merges/preview', $input);

        return $this->postJson(
            '/api/merges',
            ['keptId' => $more['keptId'] ?? $preview->json('keptId') ?? $this->robert->id, 'seen' => $preview->json('seen') ?? ''] + $input,
        );
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private function input(array $more): array
    {
        return $more + [
            'partyIds' => [$this->robert->id, $this->bob->id], 'keptId' => null, 'chosen' => [], 'lines' => [],
            'withArchived' => false, 'seen' => '', 'why' => '',
        ];
    }

    /** @return array<string, mixed> */
    private function tax(string $number): array
    {
        return [
            'taxNumbers' => [['id' => null, 'kind' => 'SSN', 'country' => '', 'value' => $number]],
            'formOn' => '', 'formBy' => '', 'formFileId' => null, 'reportChoice' => 'by-rule', 'isAttorney' => false,
        ];
    }

    private function version(Party $party, string $section): int
    {
        return (int) DB::table('section_versions')->where(['subject_id' => $party->id, 'section' => $section])->value('version');
    }

    /** @return array<string, mixed> */
    private function valueOf(mixed $preview, string $part): array
    {
        $this->assertIsArray($preview);

        return array_column(array_merge(...array_column($preview['sections'], 'values')), null, 'part')[$part];
    }

    /** @return list<array<string, mixed>> */
    private function linesOf(mixed $preview, string $section): array
    {
        $this->assertIsArray($preview);

        return array_column($preview['sections'], null, 'name')[$section]['lines'];
    }
}
