<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Actions\LookAlikes\CompareChanged;
use App\Actions\LookAlikes\ScanBook;
use App\Facts\LookAlikes\PartyLikeness;
use App\Models\LookAlikePair;
use App\Models\LookAlikeScan;
use App\Models\Party;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class LookAlikesTest extends TestCase
{
    public function test_what_is_being_entered_is_compared_with_what_is_kept(): void
    {
        $foundry = $this->addCompany('Brass Lantern Foundry LLC');
        $silas = $this->addPerson('Silas', 'Wren');
        $this->saveSection($silas, 'reach', ['contactPoints' => [$this->contact('phone', '603-555-0164')]])->assertOk();

        $this->enter(['kind' => 'company', 'name' => 'The Brass Lantern Foundry'])
            ->assertJsonPath('0.party.id', $foundry->id)->assertJsonPath('0.isLikely', false)->assertJsonPath('0.reasons', ['same name']);
        $this->enter(['given' => 'Silas', 'family' => 'Wren', 'phones' => ['(603) 555-0164']])->assertJsonPath('0.isLikely', true);
        $this->enter(['given' => 'Si', 'family' => 'Wren'])->assertJsonPath('0.party.id', $silas->id);
        $this->enter(['given' => 'Silas', 'family' => 'Wern', 'phones' => ['(603) 555-0164', 'half a num']])
            ->assertJsonPath('0.reasons', ['same phone', 'same given name', 'family names much alike']);
        $this->enter(['given' => 'Silas', 'family' => 'Wren', 'exceptId' => $silas->id])->assertExactJson([]);
        $this->enter(['given' => '', 'family' => ''])->assertExactJson([]);
        $this->enter(['given' => 'Ada', 'family' => 'Wren'])->assertExactJson([]);
        $this->enter(['kind' => 'robot'])->assertUnprocessable();
    }

    public function test_adding_all_the_same_is_allowed_noted_and_waits_in_upkeep(): void
    {
        $this->addCompany('Brass Lantern Foundry LLC');
        $second = $this->addCompany('Brass Lantern Foundry, Inc.');
        $this->assertSame(
            ['Record:  -> added as Brass Lantern Foundry, Inc., though much like Brass Lantern Foundry LLC'],
            $this->changesOf($second),
        );

        $page = $this->getJson('/api/look-alikes')->assertOk()->assertJsonPath('total', 1)->assertJsonPath('sure', 0)
            ->assertJsonPath('rows.0.records.*.displayName', ['Brass Lantern Foundry LLC', 'Brass Lantern Foundry, Inc.'])
            ->assertJsonPath('rows.0.reasons', ['same name'])
            ->assertJsonPath('rows.0.addedBy', 'Maud Ferris')->assertJsonPath('scan', null);
        $group = $page->json('rows.0.id');
        $this->assertIsInt($group);
        $pairs = $this->getJson("/api/look-alikes/$group")->assertOk()->assertJsonPath('lines.0.title', 'Name')->json('pairs.*.id');
        $this->settle('different', $pairs, 'Two firms of that name')->assertNoContent();
        $this->getJson('/api/look-alikes')->assertJsonPath('total', 0);
        $this->getJson("/api/look-alikes/$group")->assertNotFound();
        $this->getJson('/api/look-alikes/decided')->assertJsonPath('total', 1)
            ->assertJsonPath('rows.0.why', 'Two firms of that name')->assertJsonPath('rows.0.by', 'Maud Ferris');
        // Whoever settles it at the same time is told.
        $this->settle('different', $pairs)
            ->assertStatus(422)
            ->assertJsonPath('detail', 'Maud Ferris has settled this in the meantime. It stands under “Decided”.');
        $this->settle('open-again', $pairs)->assertNoContent();
        $this->getJson('/api/look-alikes')->assertJsonPath('total', 1);
        $this->settle('later', $pairs)->assertNoContent();
        $this->getJson('/api/look-alikes')->assertJsonPath('rows.0.isLater', true);
        $this->settle('different', [999])->assertStatus(422);
        foreach ([['pairIds' => 'all'], ['pairIds' => ['x']], ['pairIds' => $pairs, 'why' => str_repeat('x', 2001)], []] as $wrong) {
            $this->postJson('/api/look-alikes/different', $wrong)->assertUnprocessable();
        }
    }

    public function test_the_whole_book_is_gone_through_and_what_changes_afterwards_is_compared_by_itself(): void
    {
        [$a, $b] = [$this->addPerson('Edith', 'Larkin'), $this->addPerson('Walter', 'Larkin')];
        $this->saveSection($a, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0190')]])->assertOk();
        $this->saveSection($b, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0190')]])->assertOk();
        $this->app->make(CompareChanged::class)->handle();
        $scan = $this->postJson('/api/look-alikes/scan')->assertCreated()->json('id');
        $this->getJson('/api/look-alikes')
            ->assertJsonPath('total', 0)->assertJsonPath('scan.state', 'done')->assertJsonPath('scan.records', 2);
        $this->assertIsInt($scan);
        // Edith again, by her short name and from another phone; her email says who she is.
        $this->saveSection($a, 'reach', ['contactPoints' => [$this->contact('email', 'edith.larkin@post.example')]], 1)->assertOk();
        $c = $this->addPerson('Edie', 'Larkin');
        $this->getJson('/api/look-alikes')->assertJsonPath('total', 0);
        $this->saveSection($c, 'reach', ['contactPoints' => [$this->contact('email', 'Edith.Larkin@post.example')]])->assertOk();
        $this->assertContains($c->id, DB::table('look_alike_due')->pluck('party_id')->all());
        $this->app->make(CompareChanged::class)->handle();
        $this->assertSame(0, DB::table('look_alike_due')->count());
        $this->getJson('/api/look-alikes')->assertJsonPath('total', 1)->assertJsonPath('rows.0.records.*.id', [$a->id, $c->id]);
        $this->getJson("/api/parties/$c->id/look-alikes")->assertJsonPath('0.records.*.id', [$a->id, $c->id]);
        $this->getJson("/api/parties/$b->id/look-alikes")->assertExactJson([]);
        $this->getJson('/api/find?q=larkin')->assertJsonFragment(['reasons' => ['may be the same as Edie Larkin', 'name']]);
        // The scan says the same of everybody as the comparing one by one.
        $before = DB::table('look_alike_pairs')->get(['first_id', 'second_id', 'verdict'])->all();
        $this->postJson('/api/look-alikes/scan')->assertCreated();
        $this->assertEquals($before, DB::table('look_alike_pairs')->get(['first_id', 'second_id', 'verdict'])->all());
        // Once they are no longer alike, nobody is asked.
        $this->saveSection($c, 'reach', ['contactPoints' => []], 1)->assertOk();
        $this->app->make(CompareChanged::class)->handle();
        $this->getJson('/api/look-alikes')->assertJsonPath('total', 0);
        $this->actingAs($this->user(Role::Reader))->postJson('/api/look-alikes/scan')->assertForbidden();
    }

    public function test_three_that_are_one_are_asked_about_once_and_what_was_decided_stays_decided(): void
    {
        $reach = ['contactPoints' => [$this->contact('phone', '802-555-0190'), $this->contact('email', 'office@larkin.example')]];
        $parties = array_map(
            fn (string $name) => $this->addCompany($name),
            ['Larkin Foundry', 'Larkin Fdry LLC', 'The Larkin Foundry, Inc.'],
        );
        foreach ($parties as $party) {
            $this->saveSection($party, 'reach', $reach)->assertOk();
        }
        $this->app->make(CompareChanged::class)->handle();
        $group = $this->getJson('/api/look-alikes')
            ->assertJsonPath('total', 1)->assertJsonPath('sure', 1)->assertJsonCount(3, 'rows.0.records')
            ->assertJsonPath('reasons.*.code', ['name', 'phone', 'email'])->json('rows.0.id');
        $this->getJson('/api/look-alikes?reason=phone')->assertJsonPath('total', 1);
        $this->getJson('/api/look-alikes?reason=website')->assertJsonPath('total', 0);
        $this->getJson('/api/look-alikes?reason=nonsense&page=-3')->assertJsonPath('total', 1);
        $this->assertIsInt($group);
        $pairs = LookAlikePair::query()->where('second_id', $parties[2]->id)->pluck('id')->all();
        $this->assertCount(2, $pairs);
        $this->settle('different', $pairs)->assertNoContent();
        $this->getJson('/api/look-alikes')->assertJsonPath('total', 1)->assertJsonCount(2, 'rows.0.records');
        // Nobody is asked again, whatever is changed and whenever the book is gone through.
        $this->saveSection($parties[2], 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0190')]], 1)->assertOk();
        $this->app->make(CompareChanged::class)->handle();
        $this->postJson('/api/look-alikes/scan')->assertCreated();
        $this->getJson('/api/look-alikes')->assertJsonPath('total', 1)->assertJsonCount(2, 'rows.0.records');
        $this->getJson('/api/look-alikes/decided')->assertJsonPath('total', 2);
        // What is archived is out of it.
        $this->putJson("/api/parties/{$parties[1]->id}/archive", ['reason' => 'twice'])->assertOk();
        $this->app->make(CompareChanged::class)->handle();
        $this->getJson('/api/look-alikes')->assertJsonPath('total', 0);
    }

    public function test_a_line_that_different_people_share_gets_a_name_and_is_no_reason_any_more(): void
    {
        $names = [['Edith', 'Larkin'], ['E.', 'Larkin'], ['Walter', 'Larkin']];
        [$edith, $initial, $walter] = array_map(fn (array $name) => $this->addPerson(...$name), $names);
        foreach ([$edith, $initial, $walter] as $party) {
            $this->saveSection($party, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0190')]])->assertOk();
        }
        $this->postJson(
            "/api/parties/$walter->id/log",
            ['kind' => 'call', 'day' => '2026-11-20', 'withPartyId' => null, 'text' => 'Called', 'isPinned' => false],
        );
        $this->app->make(CompareChanged::class)->handle();
        $group = $this->getJson('/api/look-alikes')
            ->assertJsonPath('total', 1)->assertJsonPath('rows.0.reasons.0', 'same phone')->json('rows.0.id');
        $this->assertIsInt($group);
        $before = $this->scoreOf($edith, $initial);
        $line = $this->getJson("/api/look-alikes/$group")
            ->assertJsonPath('shared.0.text', '(802) 555-0190')->assertJsonPath('shared.0.proposed', 'Larkin household')
            ->json('shared.0');
        $this->assertIsArray($line);
        $input = ['kind' => $line['kind'], 'value' => $line['value'], 'name' => ' Larkin  household '];
        foreach ([['name' => ' '], ['name' => str_repeat('x', 90)], ['kind' => 'website'], ['value' => '+18025550199'], ['value' => []]] as $wrong) {
            $this->postJson('/api/shared-lines', $wrong + $input)->assertUnprocessable();
        }
        $id = $this->postJson('/api/shared-lines', $input)->assertCreated()->assertJsonPath('name', 'Larkin household')->json('id');
        $this->postJson('/api/shared-lines', $input)
            ->assertUnprocessable()->assertJsonPath('detail', 'It is called “Larkin household” already.');
        $this->assertIsInt($id);
        // The phone says nothing any more; the name still does, and is only for eyes.
        $this->assertLessThan($before - 5, $this->scoreOf($edith, $initial));
        $this->getJson("/api/parties/$edith->id")->assertJsonPath('reach.contactPoints.0.lineName', 'Larkin household');
        $this->getJson('/api/find?q=5550190')->assertJsonPath('results.0.reasons.2', 'Larkin household');
        $this->getJson('/api/find?q=larkin+household')->assertJsonPath('results.0.reasons.2', 'on the line of Larkin household');
        $this->getJson('/api/parties?filter=shared+line+is+Larkin+household')->assertJsonPath('total', 3);
        $this->putJson("/api/shared-lines/$id", ['name' => 'The Larkins'] + $input)->assertOk()->assertJsonPath('name', 'The Larkins');
        $this->getJson('/api/shared-lines')->assertJsonPath('0.name', 'The Larkins')->assertJsonCount(3, '0.holders');
        $this->deleteJson("/api/shared-lines/$id")->assertNoContent();
        $this->assertSame($before, $this->scoreOf($edith, $initial));
        $this->getJson("/api/parties/$edith->id")->assertJsonPath('reach.contactPoints.0.lineName', '');
    }

    public function test_an_address_that_different_people_share_gets_a_name_however_it_is_written(): void
    {
        [$edith, $initial] = [$this->addPerson('Edith', 'Larkin'), $this->addPerson('E.', 'Larkin')];
        $this->saveSection($edith, 'addresses', ['addresses' => [$this->address(['lines' => '14 Meridian Street'])]])->assertOk();
        $this->saveSection(
            $initial,
            'addresses',
            ['addresses' => [$this->address(['lines' => '14 Meridian St.', 'postcode' => '05301-1234'])]],
        )
            ->assertOk();
        $this->app->make(CompareChanged::class)->handle();
        $before = $this->scoreOf($edith, $initial);
        $group = LookAlikePair::query()->firstOrFail()->group_id;
        $line = $this->getJson("/api/look-alikes/$group")->assertJsonPath('shared.0.kind', 'address')
            ->assertJsonPath('shared.0.text', '14 Meridian Street, Brattleboro, VT 05301')->json('shared.0');
        $this->assertIsArray($line);
        $id = $this->postJson('/api/shared-lines', ['kind' => 'address', 'value' => $line['value'], 'name' => 'Larkin house'])
            ->assertCreated()
            ->assertJsonCount(2, 'holders')->json('id');
        $this->assertIsInt($id);
        $this->assertLessThan($before - 2, $this->scoreOf($edith, $initial));
        foreach ([$edith, $initial] as $party) {
            $this->getJson("/api/parties/$party->id")->assertJsonPath('addresses.addresses.0.lineName', 'Larkin house');
        }
        $this->getJson('/api/find?q=larkin+house')->assertJsonPath('results.0.reasons.2', 'on the line of Larkin house');
        $this->getJson('/api/parties?filter=shared+line+is+Larkin+house')->assertJsonPath('total', 2);
        $this->deleteJson("/api/shared-lines/$id")->assertNoContent();
        $this->assertSame($before, $this->scoreOf($edith, $initial));
    }

    public function test_a_scan_is_stopped_begun_once_and_goes_on_after_its_worker_died(): void
    {
        Queue::fake();
        $this->addCompany('Larkin Foundry');
        $this->asAdministrator();
        $id = $this->postJson('/api/look-alikes/scan')->assertCreated()->assertJsonPath('isUnderWay', true)->json('id');
        $this->postJson('/api/look-alikes/scan')->assertStatus(422)->assertJsonPath('detail', 'The book is being gone through already.');
        $this->assertIsInt($id);
        $this->postJson("/api/look-alikes/scan/$id/stop")->assertOk()->assertJsonPath('state', 'stopped');
        $this->app->make(ScanBook::class)->handle(LookAlikeScan::query()->findOrFail($id));
        $this->getJson('/api/look-alikes')->assertJsonPath('scan.state', 'stopped')->assertJsonPath('scan.records', 0);
        $this->postJson('/api/look-alikes/scan')->assertCreated();
        $second = LookAlikeScan::query()->latest('id')->firstOrFail();
        // Its worker died in the middle; the next one begins it again.
        $second->update(['state' => 'running', 'done' => 40, 'records' => 7]);
        $this->app->make(ScanBook::class)->handle($second);
        $this->getJson('/api/look-alikes')
            ->assertJsonPath('scan.state', 'done')->assertJsonPath('scan.records', 1)->assertJsonPath('scan.done', 100);
        // Once a week it is done again by itself.
        $this->app->make(ScanBook::class)->beginAgain();
        $this->assertSame(2, LookAlikeScan::query()->count());
        $second->refresh()->update(['ended_at' => '2026-11-16 10:00:00']);
        $this->app->make(ScanBook::class)->beginAgain();
        $this->getJson('/api/look-alikes/scan')->assertJsonPath('0.isUnderWay', true);
    }

    public function test_what_is_read_of_many_is_what_is_compared_of_each(): void
    {
        $this->demo();
        $parties = Party::query()->with(PartyLikeness::RELATIONS)->get();
        $this->assertGreaterThan(20, $parties->count());
        $this->assertEquals(
            $parties->mapWithKeys(fn (Party $party) => [$party->id => PartyLikeness::of($party)])->all(),
            PartyLikeness::ofKept(array_values(array_map(intval(...), $parties->modelKeys()))),
        );
    }

    public function test_a_pair_goes_with_either_of_its_records(): void
    {
        $this->addCompany('Brass Lantern Foundry LLC');
        $second = $this->addCompany('Brass Lantern Foundry, Inc.');
        $this->deleteJson("/api/parties/{$second->id}")->assertNoContent();
        $this->getJson('/api/look-alikes')->assertJsonPath('total', 0);
    }

    private function scoreOf(Party $one, Party $other): float
    {
        return (float) LookAlikePair::query()
            ->where(['first_id' => min($one->id, $other->id), 'second_id' => max($one->id, $other->id)])
            ->value('score');
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function settle(string $as, mixed $pairs, string $why = ''): TestResponse
    {
        return $this->postJson("/api/look-alikes/$as", ['pairIds' => $pairs, 'why' => $why]);
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function enter(array $input): TestResponse
    {
        return $this->asAdministrator()->postJson(
            '/api/look-alikes',
            $input + [
                'kind' => 'person',
                'given' => '',
                'family' => '',
                'name' => '',
                'phones' => [],
                'emails' => [],
                'taxNumbers' => [],
                'exceptId' => null,
            ],
        );
    }

    public function test_after_a_file_of_many_other_work_gets_in_between(): void
    {
        $this->demo();
        DB::table('look_alike_due')->delete();
        DB::statement('insert into look_alike_due (party_id) select id from parties');
        $all = DB::table('look_alike_due')->count();
        $this->app->make(CompareChanged::class)->handle(0);
        $this->assertSame($all - 10, DB::table('look_alike_due')->count(), 'it ends before all are compared');
        $this->app->make(CompareChanged::class)->handle(60);
        $this->assertSame(0, DB::table('look_alike_due')->count());
    }
}
