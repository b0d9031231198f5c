<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Address;
use App\Models\DetailField;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\File;
use App\Models\Message;
use App\Models\Reminder;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** Cases and projects: begun, moved on, with people in roles, a place, links, money, and an end. */
final class EngagementsTest extends TestCase
{
    use BeginsEngagements;

    protected function setUp(): void
    {
        parent::setUp();
        config(['almanac.today' => '2026-11-24']);
        $this->asAdministrator();
    }

    public function test_one_is_begun_with_its_client_and_gets_the_next_number_of_its_kind_and_year(): void
    {
        $hall = $this->addCompany('Marlow Town Hall');
        $first = $this->begin(
            'project',
            'At work',
            'Tower clock',
            ['agreed' => '12,500', 'parties' => [$this->inRole($hall, $this->roleId('project', 'client'), ['until' => '+30'])]],
        );
        $this->assertSame('PR2026-001', $first->number);
        $this->assertSame('PR2025-001', $this->begin('project', 'Finished', 'Barometer', ['begunOn' => '3 Mar 2025'])->number);
        $this->assertSame('CA2026-001', $this->begin('case', 'Reported', 'Flooded cellar')->number);
        $this->assertSame('PR2026-002', $this->begin('project', 'Quoted', 'Orrery')->number);
        $this->getJson("/api/engagements/{$first->id}")
            ->assertJsonPath('row.title', 'Tower clock')
            ->assertJsonPath('row.clients.0.name', 'Marlow Town Hall')
            ->assertJsonPath('row.agreed.text', '12,500.00')
            ->assertJsonPath('todo', [])
            ->assertJsonPath('lastChange.to', 'begun as PR2026-001 Tower clock');
        $this->getJson("/api/parties/{$hall->id}/engagements")
            ->assertJsonPath('0.number', 'PR2026-001')->assertJsonPath('0.roles', ['client']);
    }

    public function test_what_is_wrong_with_a_new_one_is_told_at_its_field(): void
    {
        $hall = $this->addCompany('Marlow Town Hall');
        $client = $this->roleId('project', 'client');
        $send = fn (array $more) => $this->postJson('/api/engagements', $more + $this->headed('Clock') + [
            'kindId' => $this->kind('project')->id, 'stageId' => $this->stageId('project', 'Quoted'), 'begunOn' => '', 'parties' => [],
        ])->assertStatus(422);
        $send(['title' => ' '])->assertJsonPath('errors.0.field', 'title');
        $send(['stageId' => $this->stageId('case', 'Reported')])->assertJsonPath('errors.0.field', 'stageId');
        $send(['chance' => '50'])->assertJsonPath(
            'errors.0',
            ['field' => 'value', 'message' => 'Type what it may be worth, or leave the chance empty.'],
        );
        $send(['value' => '-5'])->assertJsonPath('errors.0.field', 'value');
        $send(['value' => '100', 'chance' => '120'])->assertJsonPath('errors.0.field', 'chance');
        $send(['agreed' => '1e9'])->assertJsonPath('errors.0.field', 'agreed');
        $send(['begunOn' => '31 feb'])->assertJsonPath('errors.0.field', 'begunOn');
        $send(['isPrivate' => true])->assertJsonPath(
            'errors.0',
            ['field' => 'readerIds', 'message' => 'Name at least one colleague who may see it.'],
        );
        $send(['parties' => [
            $this->inRole($hall, $client), $this->inRole($hall, $client),
        ]])->assertJsonPath('errors.0.field', 'parties.1.partyId');
        $send(['parties' => [$this->inRole(
            $hall,
            $this->roleId('case', 'insurer'),
        )]])->assertJsonPath('errors.0.field', 'parties.0.roleId');
        $send(['parties' => [$this->inRole($hall, $client, ['share' => '99.99'])]])->assertJsonPath('errors.0.field', 'parties.0.share');
        $this->assertSame(0, Engagement::query()->count(), 'nothing of it is kept');
        $this->assertSame(0, DB::table('series')->where('kind', 'like', 'engagement%')->count(), 'nor a number used up');
    }

    public function test_an_enquiry_weighs_what_it_is_worth_by_its_chance_and_the_band_adds_it_up(): void
    {
        $this->begin('project', 'Quoted', 'One', ['value' => '1,000', 'chance' => '33.3', 'decidedOn' => '20 Nov 2026']);
        $this->begin('project', 'Quoted', 'Two', ['value' => '0.55', 'chance' => '50']);
        $this->begin('project', 'At work', 'Three', ['agreed' => '2,000', 'value' => '9,000']);
        $page = $this->getJson('/api/engagements?sort=title')->assertOk()->assertJsonPath('total', 3);
        $this->assertSame(['333.00', '9,000.00', '0.28'], array_column(array_column($page->json('rows'), 'weighed'), 'text'));
        $band = array_column($page->json('band'), null, 'count');
        $this->assertSame('333.28', $band[2]['sums'][0]['text'], 'two enquiries by their chances');
        $this->assertSame('2,000.00', $band[1]['sums'][0]['text'], 'of what is ours, what was agreed');
        $quoted = $this->stageId('project', 'Quoted');
        $narrowed = $this->getJson("/api/engagements?stageId=$quoted")->assertJsonPath('total', 2);
        $this->assertSame(count($page->json('band')), count($narrowed->json('band')), 'the others can still be chosen');
        $this->getJson("/api/engagements/{$this->begin('project', 'Quoted', 'Late', ['value' => '1', 'decidedOn' => '20 Nov 2026'])->id}")
            ->assertJsonPath('head.isDecisionOverdue', true);
    }

    public function test_a_move_is_dated_logged_and_counted_and_a_second_one_from_the_same_place_is_refused(): void
    {
        $one = $this->begin('project', 'Asked about', 'Clock', ['begunOn' => '1 Oct 2026']);
        $asked = $one->stage_id;
        $this->move($one, 'At work', ['on' => '30 Sep 2026'])->assertStatus(422)->assertJsonPath('errors.0.field', 'on');
        $this->move($one, 'At work', ['on' => '11 Oct 2026'])
            ->assertOk()->assertJsonPath('moves.0.days', 10)->assertJsonPath('row.days', 44);
        $this->move($one, 'Quoted', ['fromId' => $asked])->assertStatus(422)
            ->assertJsonPath(
                'errors.0.message',
                'It was moved to At work by Maud Ferris in the meantime. Look at it again before you move it on.',
            );
        $this->move($one, 'Finished')->assertStatus(422)->assertJsonPath('errors.0.field', 'reason');
        $this->move($one, 'Finished', ['reason' => 'Handed over'])
            ->assertOk()->assertJsonPath('row.isClosed', true)->assertJsonPath('moves.2.days', null);
        $this->getJson('/api/engagements')->assertJsonPath('total', 0);
        $this->getJson('/api/engagements?state=closed')->assertJsonPath('total', 1);
        $this->move($one, 'At work')->assertStatus(422)->assertJsonPath('errors.0.message', 'Say in a few words why it is opened again.');
        $last = $this->getJson("/api/engagements/{$one->id}")->json('moves.2.id');
        $first = $this->getJson("/api/engagements/{$one->id}")->json('moves.0.id');
        $this->deleteJson("/api/engagements/{$one->id}/moves/$first")->assertStatus(422);
        $this->deleteJson("/api/engagements/{$one->id}/moves/$last")
            ->assertOk()->assertJsonPath('row.stage.name', 'At work')->assertJsonPath('row.isClosed', false);
        $told = array_column($this->getJson("/api/engagements/{$one->id}/changes")->json('changes'), 'to');
        $this->assertContains('Finished: Handed over', $told);
        $this->assertContains('At work, on 11 Oct 2026', $told);
        // It has a draft: closing asks first.
        $client = $this->addCompany('Hall');
        $this->postJson("/api/parties/{$client->id}/documents", $this->documentInput('invoice', '100', ['engagementId' => $one->id]))
            ->assertCreated();
        $this->move($one, 'Lost', ['reason' => 'Too dear'])->assertStatus(422)->assertJsonPath('errors.0.field', 'isSure');
        $this->move($one, 'Lost', ['reason' => 'Too dear', 'isSure' => true])->assertOk();
    }

    public function test_somebody_follows_in_a_role_from_a_day_on_and_the_save_is_taken_back(): void
    {
        [$sinclair, $marsh] = [$this->addPerson('Ada', 'Sinclair'), $this->addPerson('Noor', 'Marsh')];
        $insurer = $this->addCompany('Beacon Mutual');
        $case = $this->begin('case', 'Under review', 'Flood', ['parties' => [
            $this->inRole($sinclair, $this->roleId('case', 'adjuster'), ['viaId' => $insurer->id, 'since' => '1 Nov 2026']),
        ]]);
        $row = $this->getJson("/api/engagements/{$case->id}")->assertJsonPath('parties.0.via.name', 'Beacon Mutual')->json('parties.0.id');
        $replace = fn (array $input) => $this->postJson("/api/engagements/{$case->id}/parties/$row/replace", $input);
        $replace(['partyId' => $marsh->id, 'from' => '1 Nov 2026'])->assertStatus(422)
            ->assertJsonPath('errors.0.message', 'They have the role since 1 Nov 2026. Choose a later day.');
        $replace(['partyId' => $sinclair->id, 'from' => ''])->assertStatus(422)->assertJsonPath('errors.0.field', 'partyId');
        $answer = $replace(['partyId' => $marsh->id, 'from' => '20 Nov 2026'])->assertOk();
        $this->assertSame([['Noor Marsh', 'since 20 Nov 2026'], ['Ada Sinclair', '1 Nov 2026 to 19 Nov 2026']], array_map(
            fn (array $one) => [$one['party']['displayName'], $one['period']['text']],
            $answer->json('parties'),
        ));
        $replace(['partyId' => $marsh->id, 'from' => ''])->assertStatus(422);
        $this->getJson("/api/parties/{$insurer->id}/engagements")->assertJsonPath('0.roles', ['adjuster']);
        $this->postJson("/api/engagements/{$case->id}/sections/parties/undo", ['version' => $answer->json('partiesVersion')])
            ->assertOk()->assertJsonCount(1, 'parties')->assertJsonPath('parties.0.party.displayName', 'Ada Sinclair');
        // Found by whoever is in it, as what.
        $this->getJson('/api/engagements?q=sinclair+adjuster')->assertJsonPath('total', 1);
        $this->getJson('/api/engagements?q=marsh')->assertJsonPath('total', 0);
        $this->saveSection($sinclair, 'identity', [
            'prefix' => '', 'given' => 'Ada', 'middle' => '', 'family' => 'Quill', 'suffix' => '', 'postNominals' => '',
            'preferred' => '', 'pronouns' => '',
            'isInformal' => false, 'isDeceased' => false, 'deceasedOn' => '', 'isClient' => false, 'isVendor' => false, 'bornOn' => null,
        ])->assertOk();
        $this->getJson('/api/engagements?q=quill')->assertJsonPath('total', 1);
    }

    public function test_two_who_save_the_same_section_never_lose_a_change(): void
    {
        $one = $this->begin('project', 'At work', 'Clock');
        $save = fn (string $title, int $version) => $this->putJson(
            "/api/engagements/{$one->id}/head",
            ['version' => $version] + $this->headed($title),
        );
        $save('Clock and dial', 0)->assertOk()->assertJsonPath('head.version', 1);
        $save('Clock and bell', 0)->assertStatus(409)
            ->assertJsonPath('differences.0.theirs', 'Clock and dial')
            ->assertJsonPath('differences.0.yours', 'Clock and bell');
        $save('Clock and bell', 1)->assertOk();
        $this->postJson("/api/engagements/{$one->id}/sections/engagement/undo", ['version' => 1])->assertStatus(409);
        $this->postJson("/api/engagements/{$one->id}/sections/engagement/undo", ['version' => 2])
            ->assertOk()->assertJsonPath('head.title', 'Clock and dial');
    }

    public function test_the_site_is_an_address_by_link_and_stays_known_when_nobody_has_it_any_more(): void
    {
        $hall = $this->addCompany('Hall');
        $this->saveSection($hall, 'addresses', ['addresses' => [$this->address(['isPrimary' => true])]])->assertOk();
        $one = $this->begin('project', 'At work', 'Clock');
        $site = [
            'addressId' => Address::query()->firstOrFail()->id, 'country' => '', 'lines' => '', 'locality' => '',
            'region' => '', 'postcode' => '', 'note' => 'Keys at the desk',
        ];
        $this->putJson("/api/engagements/{$one->id}/site", ['version' => 0] + $site)->assertOk()
            ->assertJsonPath('site.of.name', 'Hall')->assertJsonPath('site.display.0', '14 Meridian Lane');
        $this->getJson('/api/engagements?q=meridian')->assertJsonPath('total', 1);
        $this->saveSection($hall, 'addresses', ['addresses' => []], 1)->assertOk();
        $this->getJson("/api/engagements/{$one->id}")
            ->assertJsonPath('site.of', null)->assertJsonPath('site.display.0', '14 Meridian Lane');
        $own = [
            'addressId' => null, 'country' => 'US', 'lines' => '2 Green', 'locality' => 'Marlow', 'region' => 'NH',
            'postcode' => '1',
        ] + $site;
        $this->putJson("/api/engagements/{$one->id}/site", ['version' => 1] + $own)
            ->assertStatus(422)->assertJsonPath('errors.0.field', 'postcode');
        $this->putJson("/api/engagements/{$one->id}/site", ['version' => 1] + ['postcode' => '03456'] + $own)
            ->assertOk()->assertJsonPath('row.place', 'Marlow, NH');
    }

    public function test_links_are_told_from_both_ends_and_lead_in_no_circle(): void
    {
        [$one, $two, $three] = array_map(fn (string $title) => $this->begin('case', 'Reported', $title), ['One', 'Two', 'Three']);
        $link = fn (Engagement $from, Engagement $to, string $kind, int $version = 0) => $this->putJson(
            "/api/engagements/{$from->id}/links",
            ['version' => $version, 'links' => [['id' => null, 'engagementId' => $to->id, 'kind' => $kind]]],
        );
        $link($one, $two, 'part-of')->assertOk()->assertJsonPath('links.0.kindTitle', 'part of');
        $this->getJson("/api/engagements/{$two->id}")
            ->assertJsonPath('links.0.kindTitle', 'has part')->assertJsonPath('links.0.engagement.title', 'One');
        $link($one, $one, 'same-loss', 1)->assertStatus(422)->assertJsonPath('errors.0.field', 'links.0.engagementId');
        $kept = $this->getJson("/api/engagements/{$two->id}")->json('links.0.id');
        // A link is kept at both ends: whoever saves the other has seen it.
        $this->putJson("/api/engagements/{$two->id}/links", ['version' => 0, 'links' => []])->assertConflict();
        $this->putJson("/api/engagements/{$two->id}/links", ['version' => 1, 'links' => [
            ['id' => $kept, 'engagementId' => $one->id, 'kind' => 'has-part'],
            ['id' => null, 'engagementId' => $three->id, 'kind' => 'part-of'],
        ]])->assertOk()->assertJsonCount(2, 'links');
        $three->refresh();
        $mine = $this->getJson("/api/engagements/{$three->id}")->json('links.0');
        $this->putJson("/api/engagements/{$three->id}/links", ['version' => 1, 'links' => [
            ['id' => $mine['id'], 'engagementId' => $two->id, 'kind' => $mine['kind']],
            ['id' => null, 'engagementId' => $one->id, 'kind' => 'part-of'],
        ]])->assertStatus(422)->assertJsonPath('errors.0.field', 'links.1.engagementId');
    }

    public function test_its_money_is_what_its_documents_and_payments_come_to_and_every_figure_opens_its_list(): void
    {
        $client = $this->addCompany('Hall', ['isClient' => true]);
        $vendor = $this->addCompany('Foundry', ['isVendor' => true]);
        $one = $this->begin('project', 'At work', 'Clock', ['agreed' => '1,000']);
        $quote = $this->issued($client, 'quote', '400', ['engagementId' => $one->id]);
        $order = $this->postJson("/api/documents/{$quote->id}/next", ['kind' => 'invoice', 'isConfirmed' => true])->assertCreated();
        $order->assertJsonPath('engagement.number', $one->number);
        $this->issue($order->json('row.id'))->assertOk();
        $this->issued($client, 'credit-note', '50', ['engagementId' => $one->id]);
        $this->issued($vendor, 'bill', '120', ['number' => 'F1', 'engagementId' => $one->id]);
        $this->pay($client, '150', [], ['engagementId' => $one->id])->assertCreated();
        $figures = $this->getJson("/api/engagements/{$one->id}")->assertJsonPath('documentCount', 4)->json('figures.0');
        $this->assertSame(
            ['1,000.00', '350.00', '150.00', '120.00', '650.00', 35],
            [
                ...array_map(fn (string $key) => $figures[$key]['text'], ['agreed', 'billed', 'received', 'bills', 'left']),
                $figures['percent'],
            ],
        );
        $listed = fn (string $query) => $this->getJson("/api/documents?engagementId={$one->id}&$query")->assertOk()->json('sums.0');
        $this->assertSame('350.00', $listed('side=client&state=billed')['net']['text']);
        $this->assertSame('120.00', $listed('side=vendor&state=billed')['net']['text']);
        $this->assertSame($figures['open']['text'], $listed('side=client&state=open')['open']['text']);
        foreach ($figures['ageing'] as $aged) {
            $this->assertSame($aged['amount']['text'], $listed("side=client&bucket={$aged['bucket']}")['open']['text'] ?? '0.00');
        }
        $this->assertSame('150.00', $this->getJson("/api/payments?engagementId={$one->id}&side=client")->json('sums.0.total.text'));
        // Put right later: the whole chain goes.
        $this->putJson("/api/documents/{$quote->id}/engagement", ['engagementId' => null])->assertOk()->assertJsonPath('engagement', null);
        $this->getJson("/api/engagements/{$one->id}")->assertJsonPath('documentCount', 2);
        $this->putJson("/api/documents/{$quote->id}/engagement", ['engagementId' => 999999])->assertStatus(422);
    }

    public function test_a_secret_of_a_case_is_encrypted_found_by_nobody_and_told_to_who_may_see_it(): void
    {
        $this->postJson('/api/sheets', [
            'name' => 'Keys', 'partyKind' => null, 'type' => '', 'engagementKindId' => $this->kind('project')->id, 'isRetired' => false,
            'fields' => [[
                'id' => null, 'name' => 'Alarm', 'kind' => 'secret', 'options' => [], 'help' => '',
                'requiredFor' => null, 'isRetired' => false,
            ]],
        ])->assertCreated();
        $one = $this->begin('project', 'At work', 'Tower clock');
        $field = DetailField::query()->firstOrFail()->id;
        $this->putJson("/api/engagements/$one->id/details", ['version' => 0, 'values' => [['fieldId' => $field, 'value' => 'xylo 4815']]])
            ->assertOk()->assertDontSee('4815');
        foreach (['detail_values', 'section_states', 'changes', 'engagement_words'] as $table) {
            $this->assertStringNotContainsString('4815', (string) json_encode(DB::table($table)->get()), $table);
        }
        $this->getJson('/api/engagements?q=xylo')->assertJsonPath('total', 0);
        $reveal = fn (int $id) => $this->postJson("/api/engagements/$id/reveal", ['fieldId' => $field, 'taxNumberId' => null]);
        $reveal($one->id)->assertOk()->assertExactJson(['value' => 'xylo 4815']);
        $this->assertContains(
            'shown, though private',
            array_column($this->getJson("/api/engagements/$one->id/changes")->json('changes'), 'to'),
        );
        $secret = $this->begin('project', 'At work', 'Zanzibar', ['isPrivate' => true, 'readerIds' => [$this->administrator->id]]);
        $this->actingAs($this->user(Role::Approver));
        $reveal($one->id)->assertOk();
        $reveal($secret->id)->assertNotFound();
        $this->actingAs($this->user(Role::Reader));
        $reveal($one->id)->assertForbidden();
    }

    public function test_terms_of_its_own_come_before_those_of_the_client_for_whom_we_bill(): void
    {
        $hall = $this->addCompany('Marlow Town Hall', ['isVendor' => true]);
        $this->saveSection($hall, 'client-terms', ['listedId' => null, 'shorthand' => 'net 30'])->assertOk();
        $this->saveSection($hall, 'vendor-terms', ['listedId' => null, 'shorthand' => 'net 14'])->assertOk();
        $one = $this->begin(
            'project', 'At work', 'Tower clock',
            ['parties' => [$this->inRole($hall, $this->roleId('project', 'client'), ['share' => '100'])]],
        );
        $usual = fn (string $query) => $this->getJson("/api/parties/$hall->id/document-defaults?$query")->assertOk()->json('terms');
        $this->assertSame('net 30', $usual("kind=invoice&engagementId=$one->id"));
        $head = fn (string $terms, int $version) => $this->putJson(
            "/api/engagements/$one->id/head",
            ['version' => $version, 'terms' => $terms] + $this->headed('Tower clock'),
        );
        $head('whenever', 0)->assertStatus(422)->assertJsonPath('errors.0.field', 'terms');
        $head('Net 45 EOM', 0)->assertOk()->assertJsonPath('head.terms', 'net 45 EOM');
        $this->assertSame(
            ['net 45 EOM', 'net 30', 'net 14', 'net 30'],
            [
                $usual("kind=invoice&engagementId=$one->id"), $usual('kind=invoice'),
                $usual("kind=bill&engagementId=$one->id"), $usual('kind=invoice&engagementId=9999999'),
            ],
        );
        $this->postJson("/api/engagements/$one->id/shared-invoice", $this->documentInput('invoice', '90', ['engagementId' => $one->id]))
            ->assertCreated();
        $this->assertSame('net 45 EOM', Document::query()->latest('id')->value('terms'));
        $quote = $this->issued($hall, 'quote', '100', ['engagementId' => $one->id, 'terms' => '']);
        $this->postJson("/api/documents/$quote->id/next", ['kind' => 'order', 'isConfirmed' => false])->assertCreated();
        $this->assertContains('net 45 EOM', Document::query()->where('kind', 'order')->pluck('terms')->all());
        // The client's change, and what is open of the case keeps the case's, even where both were the same before.
        $this->saveSection($hall, 'client-terms', ['listedId' => null, 'shorthand' => 'net 45 EOM'], 1)->assertOk();
        $ofCase = $this->issued($hall, 'invoice', '70', ['engagementId' => $one->id, 'terms' => 'net 45 EOM', 'date' => '2026-11-01']);
        $other = $this->issued($hall, 'invoice', '80', ['terms' => 'net 45 EOM', 'date' => '2026-11-01']);
        $new = ['version' => 2, 'listedId' => null, 'shorthand' => 'net 10'];
        $touched = $this->postJson("/api/parties/$hall->id/touched/client-terms", $new)->assertOk()->json('documents.*.row.id');
        $this->assertSame([$other->id], $touched);
        $this->putJson(
            "/api/parties/$hall->id/client-terms",
            $new + ['follow' => ['documentIds' => [$ofCase->id, $other->id], 'withTerms' => true]],
        )
            ->assertOk();
        $this->assertSame(
            ['2027-01-14', '2026-11-11'],
            array_map(fn (Document $of) => $of->refresh()->due_on?->toIso(), [$ofCase, $other]),
        );
        $this->saveSection($hall, 'client-terms', ['listedId' => null, 'shorthand' => 'net 30'], 3)->assertOk();
        // Left out it stays; empty it is the client's again.
        $this->putJson("/api/engagements/$one->id/head", ['version' => 1] + $this->headed('Clock'))
            ->assertOk()->assertJsonPath('head.terms', 'net 45 EOM');
        $head('', 2)->assertOk();
        $this->assertSame('net 30', $usual("kind=invoice&engagementId=$one->id"));
    }

    public function test_an_invoice_in_shares_is_a_draft_for_each_payer_and_adds_up_to_the_cent(): void
    {
        [$larkin, $insurer, $estate] = [
            $this->addPerson('Edith', 'Larkin'), $this->addCompany('Harborlight'), $this->addPerson('Walter', 'Larkin'),
        ];
        $insured = $this->roleId('case', 'insured');
        $case = $this->begin('case', 'Under review', 'Flood', ['parties' => [
            $this->inRole($larkin, $insured, ['share' => '33.33']),
            $this->inRole($insurer, $this->roleId('case', 'insurer'), ['share' => '33.34']),
            $this->inRole($estate, $insured, ['share' => '33.33']),
        ]]);
        $input = $this->documentInput(
            'invoice',
            '100.00',
            ['lines' => [$this->line('100.00'), $this->line('0.01'), $this->line('33.35', ['quantity' => '3', 'discount' => '10'])]],
        );
        $rows = $this->postJson("/api/engagements/{$case->id}/shared-invoice", $input)->assertCreated()->json();
        $this->assertSame(['Edith Larkin', 'Harborlight', 'Walter Larkin'], array_column(array_column((array) $rows, 'party'), 'name'));
        $this->assertSame([3333 + 0 + 3002, 3334 + 1 + 3002, 3333 + 0 + 3001], Document::query()->orderBy('id')->pluck('net_minor')->all());
        $this->assertSame(10000 + 1 + 9005, (int) Document::query()->sum('net_minor'), 'line by line, to the cent');
        $this->assertSame(['draft', 'draft', 'draft'], array_column((array) $rows, 'state'));
        $this->assertSame(3, Document::query()->where('engagement_id', $case->id)->count());
        $this->postJson("/api/engagements/{$case->id}/shared-invoice", ['lines' => [$this->line('x')]] + $input)
            ->assertStatus(422)->assertJsonPath('errors.0.field', 'lines.0.price');
        $this->assertSame(3, Document::query()->count(), 'nothing of it is kept');
        $nobody = $this->begin('case', 'Under review', 'Fire');
        $this->postJson("/api/engagements/{$nobody->id}/shared-invoice", $input)->assertStatus(422);
    }

    public function test_it_is_archived_with_a_reason_and_deleted_only_while_nothing_refers_to_it(): void
    {
        $client = $this->addCompany('Hall');
        $one = $this->begin('project', 'At work', 'Clock', ['parties' => [$this->inRole($client, $this->roleId('project', 'client'))]]);
        $this->putJson("/api/engagements/{$one->id}/archive", ['reason' => ''])->assertStatus(422);
        $this->putJson("/api/engagements/{$one->id}/archive", ['reason' => 'entered twice'])
            ->assertOk()->assertJsonPath('archive.reason', 'entered twice');
        $this->putJson("/api/engagements/{$one->id}/head", ['version' => 0] + $this->headed('No'))->assertStatus(423);
        $this->getJson('/api/engagements?state=archived')->assertJsonPath('total', 1);
        $this->deleteJson("/api/engagements/{$one->id}/archive")->assertOk()->assertJsonPath('archive', null);
        $this->deleteJson("/api/parties/{$client->id}")->assertStatus(422);
        $invoice = $this->issued($client, 'invoice', '10', ['engagementId' => $one->id]);
        $this->deleteJson("/api/engagements/{$one->id}")->assertStatus(422)
            ->assertJsonPath('detail', 'It cannot be deleted: there are 1 document or payment. Archive it instead.');
        $this->putJson("/api/documents/{$invoice->id}/engagement", ['engagementId' => null])->assertOk();
        $this->deleteJson("/api/engagements/{$one->id}")->assertNoContent();
        $this->getJson("/api/engagements/{$one->id}")->assertNotFound();
        $this->assertSame(0, DB::table('subjects')->where('id', $one->id)->count());
    }

    public function test_a_private_one_is_there_only_for_whom_it_names(): void
    {
        $client = $this->addCompany('Hall', ['isClient' => true]);
        $other = $this->user(Role::Administrator);
        $open = $this->begin('case', 'Reported', 'Public');
        $secret = $this->begin('case', 'Reported', 'Zanzibar', [
            'isPrivate' => true, 'readerIds' => [$this->administrator->id],
            'parties' => [$this->inRole($client, $this->roleId('case', 'insured'))],
        ]);
        $this->putJson(
            "/api/engagements/{$open->id}/links",
            ['version' => 0, 'links' => [['id' => null, 'engagementId' => $secret->id, 'kind' => 'same-loss']]],
        )
            ->assertOk();
        $invoice = $this->issued($client, 'invoice', '10', ['engagementId' => $secret->id]);
        $this->actingAs($other);
        foreach (["engagements/{$secret->id}", "engagements/{$secret->id}/changes"] as $path) {
            $this->getJson("/api/$path")->assertNotFound();
        }
        $this->putJson("/api/engagements/{$secret->id}/head", ['version' => 0] + $this->headed('Mine'))->assertNotFound();
        $this->deleteJson("/api/engagements/{$secret->id}")->assertNotFound();
        $this->getJson('/api/engagements?state=all')->assertJsonPath('total', 1)->assertDontSee('Zanzibar');
        $this->getJson("/api/parties/{$client->id}/engagements")->assertExactJson([]);
        $this->getJson("/api/engagements/{$open->id}")->assertJsonPath('links', []);
        $this->getJson("/api/documents/{$invoice->id}")->assertJsonPath('engagement', null);
        $this->getJson("/api/documents?engagementId={$secret->id}")->assertJsonPath('total', 0);
        // What they save does not take away what they cannot see.
        $this->putJson("/api/engagements/{$open->id}/links", ['version' => 1, 'links' => []])->assertOk();
        $this->putJson("/api/documents/{$invoice->id}/engagement", ['engagementId' => null])->assertOk();
        $this->asAdministrator()->getJson("/api/engagements/{$open->id}")->assertJsonPath('links.0.engagement.title', 'Zanzibar');
        $this->getJson("/api/documents/{$invoice->id}")->assertJsonPath('engagement.title', 'Zanzibar');
    }

    public function test_one_that_is_made_private_later_leaves_no_title_in_the_log_of_others(): void
    {
        $open = $this->begin('case', 'Reported', 'Public');
        $secret = $this->begin('case', 'Reported', 'Zanzibar');
        $this->putJson(
            "/api/engagements/{$open->id}/links",
            ['version' => 0, 'links' => [['id' => null, 'engagementId' => $secret->id, 'kind' => 'same-loss']]],
        )
            ->assertOk();
        $this->putJson(
            "/api/engagements/{$secret->id}/head",
            ['version' => 0] + $this->headed('Zanzibar', ['isPrivate' => true, 'readerIds' => [$this->administrator->id]]),
        )
            ->assertOk();
        $this->actingAs($this->user(Role::Administrator))->getJson("/api/engagements/{$open->id}/changes")->assertOk()
            ->assertSee($secret->number)->assertDontSee('anzibar');
    }

    public function test_nothing_of_a_private_one_reaches_anybody_else_by_any_route(): void
    {
        Queue::fake();
        $client = $this->addCompany('Hall', ['isClient' => true]);
        $open = $this->begin('case', 'Reported', 'Public', ['parties' => [$this->inRole($client, $this->roleId('case', 'insured'))]]);
        $secret = $this->begin('case', 'Reported', 'Zanzibar', [
            'isPrivate' => true, 'readerIds' => [$this->administrator->id], 'value' => '987,654',
            'decidedOn' => '20 Nov 2026', 'begunOn' => '1 Jan 2026',
            'parties' => [$this->inRole($client, $this->roleId('case', 'opposing side'), ['note' => 'Zanzibar'])],
        ]);
        $this->putJson(
            "/api/engagements/{$open->id}/links",
            ['version' => 0, 'links' => [['id' => null, 'engagementId' => $secret->id, 'kind' => 'same-loss']]],
        )
            ->assertOk();
        $this->postJson(
            "/api/engagements/{$secret->id}/entries",
            ['kind' => 'note', 'day' => '', 'withPartyId' => $client->id, 'text' => 'Zanzibar', 'isPinned' => true],
        )
            ->assertCreated();
        $this->move($secret, 'Under review', ['reason' => 'Zanzibar'])->assertOk();
        $invoice = $this->issued($client, 'invoice', '10', ['engagementId' => $secret->id]);
        $this->pay($client, '10', [$invoice->id => '10'], ['engagementId' => $secret->id])->assertCreated();
        foreach ([['engagement_id' => $secret->id], ['document_id' => $invoice->id]] as $of) {
            Message::query()->create($of + [
                'party_id' => $client->id, 'to' => 'hall@hall.example', 'subject' => 'Zanzibar', 'path' => 'outbox/none',
                'user_id' => $this->administrator->id, 'at' => now(),
            ]);
        }
        $this->postJson('/api/conflict-searches', ['engagementId' => $secret->id, 'names' => [['name' => 'Zanzibar', 'role' => 'insured']]])
            ->assertCreated();
        $this->postJson('/api/conflict-searches', ['engagementId' => null, 'names' => [['name' => 'Hall', 'role' => 'insured']]])
            ->assertCreated();
        $walked = 0;
        foreach ([Role::Administrator, Role::Clerk, Role::Approver, Role::Reader] as $role) {
            $this->actingAs($this->user($role));
            foreach (Route::getRoutes()->getRoutes() as $route) {
                if (! str_starts_with($route->uri(), 'api/') || $route->methods()[0] !== 'GET') {
                    continue;
                }
                foreach ([$secret->id, $open->id] as $id) {
                    $path = preg_replace(['/\{engagement\}/', '/\{\w+\}/'], [(string) $id, '1'], $route->uri());
                    foreach (['', '?q=zanzibar&engagements=1&state=all', "?engagementId={$secret->id}", '?side=client&currency=USD'] as $query) {
                        $answer = $this->get("/$path$query", ['Accept' => 'application/json'])->getContent();
                        $this->assertStringNotContainsString(
                            'anzibar',
                            (string) $answer === '' ? '' : str_replace('"typed":"zanzibar"', '', (string) $answer),
                            "$role->value $path$query",
                        );
                        $this->assertStringNotContainsString($secret->number, (string) $answer, "$role->value $path$query");
                        $this->assertStringNotContainsString('987,654', (string) $answer, "$role->value $path$query");
                        $walked++;
                    }
                }
            }
        }
        $this->assertGreaterThan(1000, $walked);
    }

    public function test_files_and_reminders_belong_to_it_and_are_hidden_with_it(): void
    {
        Storage::fake('local');
        $clerk = $this->user(Role::Clerk);
        $case = $this->begin('case', 'Reported', 'Flood', ['isPrivate' => true, 'readerIds' => [$this->administrator->id]]);
        $this->post(
            "/api/engagements/{$case->id}/files",
            ['file' => UploadedFile::fake()->createWithContent('survey.txt', 'Wet.'), 'kind' => 'other'],
            ['Accept' => 'application/json'],
        )
            ->assertCreated()
            ->assertJsonPath('files.0.name', 'survey.txt')
            ->assertJsonPath('files.0.about', ['kind' => 'engagement', 'id' => $case->id, 'name' => "$case->number Flood"]);
        $file = File::query()->sole()->id;
        $this->putJson("/api/files/$file", ['name' => 'Survey.txt', 'kind' => 'letter', 'expiresOn' => '30 Nov 2026', 'isPrivate' => false])
            ->assertOk()->assertJsonPath('files.0.name', 'Survey.txt')->assertJsonCount(1, 'reminders');
        $remind = fn (int $userId) => $this->postJson(
            "/api/engagements/{$case->id}/reminders",
            ['text' => 'Call the adjuster', 'day' => '', 'time' => '', 'rule' => '', 'userId' => $userId],
        );
        $remind($clerk->id)->assertStatus(422)->assertJsonPath('errors.0.field', 'userId');
        $remind($this->administrator->id)->assertCreated()->assertJsonCount(2, 'reminders');
        $this->getJson('/api/today')->assertJsonFragment(['kind' => 'engagement', 'id' => $case->id, 'name' => "$case->number Flood"]);
        $reminder = Reminder::query()->where('text', 'Call the adjuster')->sole()->id;
        $this->actingAs($clerk);
        $this->get("/api/files/$file", ['Accept' => 'application/json'])->assertNotFound();
        $this->deleteJson("/api/files/$file")->assertNotFound();
        $this->deleteJson("/api/reminders/$reminder")->assertNotFound();
        $this->getJson('/api/today')->assertDontSee('Survey');
        $this->asAdministrator()->deleteJson("/api/files/$file")->assertOk()->assertJsonPath('files', [])->assertJsonCount(1, 'reminders');
        $this->deleteJson("/api/engagements/{$case->id}")->assertNoContent();
        $this->assertSame(0, Reminder::query()->count(), 'what is its own goes with it');
    }

    public function test_the_office_words_its_kinds_stages_and_roles(): void
    {
        $kind = $this->named((array) $this->getJson('/api/engagement-kinds')->json(), 'project');
        $input = fn (array $more) => $more + array_intersect_key(
            $kind,
            array_flip(['name', 'plural', 'sign', 'isRetired', 'stages', 'roles']),
        );
        $save = fn (array $more) => $this->putJson("/api/engagement-kinds/{$kind['id']}", $input($more));
        $this->begin('project', 'At work', 'Clock');
        $save(['name' => 'job', 'plural' => 'jobs', 'sign' => 'JB'])->assertOk();
        $save(['sign' => 'CA'])->assertStatus(422)->assertJsonPath('errors.0.message', 'Another kind has the sign CA.');
        $save(['name' => 'case'])->assertStatus(422)->assertJsonPath('errors.0.field', 'name');
        $save(['stages' => [$kind['stages'][0]]])->assertStatus(422)->assertJsonPath('errors.0.field', 'stages');
        $roles = $kind['roles'];
        $roles[1]['opposes'] = ['client'];
        $this->assertSame(
            ['site contact'],
            $this->named((array) $save(['roles' => $roles])->assertOk()->json(), 'project')['roles'][0]['opposes'],
        );
        // A stage that something has been in is retired; one that nothing has been in goes.
        $left = array_values(array_filter($kind['stages'], fn (array $stage) => ! in_array($stage['name'], ['At work', 'Lost'], true)));
        $left[] = ['id' => null, 'name' => 'On the bench', 'meaning' => 'open', 'mostDays' => null, 'isRetired' => false];
        $stages = $this->named((array) $save(['stages' => $left])->assertOk()->json(), 'project')['stages'];
        $this->assertTrue($this->named($stages, 'At work')['isRetired']);
        $this->assertNotContains('Lost', array_column($stages, 'name'));
        $this->actingAs($this->user(Role::Clerk))->putJson("/api/engagement-kinds/{$kind['id']}", $input([]))->assertForbidden();
    }

    /**
     * @param array<mixed> $all
     *
     * @return array<string, mixed>
     */
    private function named(array $all, string $name): array
    {
        foreach ($all as $one) {
            if (is_array($one) && ($one['name'] ?? null) === $name) {
                return $one;
            }
        }
        $this->fail("There is no $name.");
    }
}
