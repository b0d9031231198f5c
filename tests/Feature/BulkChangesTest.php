<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use Almanac\Bulk\BulkOutcome;
use Almanac\Bulk\BulkState;
use Almanac\Records\ArchivedRecord;
use App\Actions\Bulk\BulkActOnMany;
use App\Actions\Bulk\BulkActs;
use App\Actions\Bulk\RunBulkChange;
use App\Background\WorkOnBulkChange;
use App\Models\BulkChange;
use App\Models\BulkChangeRecord;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** One change to many records, and taken back as one. */
final class BulkChangesTest extends TestCase
{
    use BeginsEngagements;

    private User $maud;

    protected function setUp(): void
    {
        parent::setUp();
        $this->asAdministrator();
        $this->maud = User::query()->firstOrFail();
    }

    public function test_it_is_tried_begun_and_taken_back_and_a_later_change_is_kept(): void
    {
        [$a, $b, $c, $archived] = array_map(
            fn (string $name) => $this->addCompany($name, ['isClient' => true]),
            ['Aster', 'Bell', 'Cedar', 'Dahlia'],
        );
        $this->putJson("/api/parties/$archived->id/archive", ['reason' => 'closed'])->assertOk();
        $this->classify($b, ['tags' => ['museum']]);
        $before = $this->book();
        $input = ['chosen' => $this->those($a, $b, $c, $archived), 'change' => ['kind' => 'add-tags', 'values' => ['Museum', 'parish']]];
        $this->postJson('/api/bulk-changes/preview', $input)->assertOk()
            ->assertJsonPath('title', 'Add the tags Museum, parish')
            ->assertJsonPath('total', 4)->assertJsonPath('same', 0)->assertJsonPath('refused', 1)
            ->assertJsonPath('why', 'They are archived. Restore them to change them.')
            ->assertJsonPath('examples.*.from', ['', 'museum', ''])
            ->assertJsonPath('examples.1.to', 'museum, parish');
        $this->assertSame($before, $this->book(), 'trying changes nothing');
        $id = $this->begin($input)
            ->assertJsonPath('0.changed', 3)->assertJsonPath('0.refused', 1)->assertJsonPath('0.state', 'done')
            ->json('0.id');
        $this->assertSame([['Museum', 'parish'], ['museum', 'parish'], ['Museum', 'parish']], array_map($this->tags(...), [$a, $b, $c]));
        $this->getJson("/api/bulk-changes/$id/records")->assertJsonPath('0.name', 'Dahlia')
            ->assertJsonPath('0.message', 'This record is archived. Restore it to change it.');
        $this->getJson("/api/parties/$a->id/changes")->assertJsonPath('changes.0.label', 'Tags');
        // Again, and it is so already.
        $this->begin($input)->assertJsonPath('0.changed', 0)->assertJsonPath('0.same', 3);
        // One is changed since: it keeps that.
        $this->classify($c, ['tags' => ['Museum', 'parish', 'belfry']]);
        $this->takeBack($id)->assertJsonPath('1.state', 'taken-back')->assertJsonPath('1.takenBack', 2)->assertJsonPath('1.kept', 1);
        $this->assertSame([[], ['museum'], ['Museum', 'belfry', 'parish']], array_map($this->tags(...), [$a, $b, $c]));
        $this->getJson("/api/bulk-changes/$id/records")->assertJsonPath('0.outcome', 'kept')
            ->assertJsonFragment(['name' => 'Cedar', 'message' => 'It has been changed since, and keeps the later change.']);
        $this->postJson("/api/bulk-changes/$id/take-back")->assertStatus(422);
    }

    public function test_every_kind_is_done_and_taken_back_so_that_the_book_is_as_it_was(): void
    {
        $this->demo();
        $this->actingAs($this->maud = User::query()->where('email', 'maud@orreryvane.example')->firstOrFail());
        $companies = Party::query()->where('kind', 'company')->whereNull('archived_on')->orderBy('id')->limit(6)->get();
        $field = DB::table('detail_fields')->join('detail_sheets', 'detail_sheets.id', '=', 'sheet_id')->whereNull('engagement_kind_id')
            ->whereNull('type_id')->where('kind', 'text')->value('detail_fields.id');
        $engagement = DB::table('engagements')->where('is_private', false)->orderBy('id')->first(['id', 'kind_id']);
        $role = DB::table('engagement_roles')->where('kind_id', $engagement?->kind_id)->whereNull('most')->value('id');
        $kinds = [
            ['kind' => 'owner', 'userId' => $this->maud->id], ['kind' => 'owner', 'userId' => null],
            ['kind' => 'account-manager', 'userId' => $this->maud->id],
            ['kind' => 'buyer', 'userId' => $this->maud->id], ['kind' => 'add-types', 'values' => ['contractor']],
            ['kind' => 'take-types', 'values' => ['contractor', 'insurer']],
            ['kind' => 'add-tags', 'values' => ['spring']], ['kind' => 'take-tags', 'values' => ['spring']],
            ['kind' => 'source', 'values' => ['trade fair']],
            ['kind' => 'language', 'values' => ['de']], ['kind' => 'terms', 'side' => 'client', 'values' => ['net 7']],
            ['kind' => 'terms', 'side' => 'vendor', 'values' => []],
            ['kind' => 'side-field', 'side' => 'client', 'field' => 'delivery', 'values' => ['post']],
            ['kind' => 'archive', 'values' => ['closed its business']],
            ['kind' => 'restore'], ['kind' => 'reminder', 'values' => ['Ring them'], 'day' => 'tomorrow'],
            ['kind' => 'log-entry', 'values' => ['Sent the card']],
            ['kind' => 'engagement', 'engagementId' => $engagement?->id, 'roleId' => $role],
            ...$field === null ? [] : [['kind' => 'detail', 'fieldId' => $field, 'values' => ['by the back door']]],
        ];
        $done = 0;
        foreach ($kinds as $kind) {
            $before = $this->book();
            $input = ['chosen' => $this->those(...$companies), 'change' => $kind + ['values' => []]];
            $words = json_encode($kind, JSON_THROW_ON_ERROR);
            $this->postJson('/api/bulk-changes/preview', $input)->assertOk();
            $this->assertSame($before, $this->book(), "trying $words changes nothing");
            $made = $this->begin($input)->assertJsonPath('0.state', 'done');
            $this->assertSame(6, $made->json('0.changed') + $made->json('0.same') + $made->json('0.refused'), $words);
            if ($made->json('0.changed') > 0) {
                $this->assertNotSame($before, $this->book(), $words);
                $this->takeBack($made->json('0.id'))->assertJsonPath('0.kept', 0);
                $done++;
            }
            $this->assertSame($before, $this->book(), "$words is taken back");
        }
        $this->assertGreaterThan(12, $done);
    }

    public function test_what_is_done_to_many_at_once_is_as_if_it_were_done_one_by_one(): void
    {
        $this->demo();
        $this->actingAs($this->maud = User::query()->where('email', 'maud@orreryvane.example')->firstOrFail());
        $kinds = [
            ['kind' => 'owner', 'userId' => $this->maud->id], ['kind' => 'owner', 'userId' => null],
            ['kind' => 'account-manager', 'userId' => $this->maud->id],
            ['kind' => 'buyer', 'userId' => $this->maud->id], ['kind' => 'source', 'values' => ['Bärenhof fair ']],
            ['kind' => 'language', 'values' => ['de']],
        ];
        $outcomes = [];
        foreach ($kinds as $kind) {
            $act = $this->app->make(BulkActs::class)->of($kind + ['values' => []]);
            $this->assertInstanceOf(BulkActOnMany::class, $act);
            $oneByOne = $this->tried(fn () => Party::query()->orderBy('id')->get()->mapWithKeys(function (Party $party) use ($act): array {
                try {
                    return [$party->id => $act->apply($party, $this->maud) === null ? 'same' : 'changed'];
                } catch (ArchivedRecord) {
                    return [$party->id => 'archived'];
                }
            })->all());
            $atOnce = $this->tried(fn () => array_map(fn (string|ArchivedRecord|null $done) => match (true) {
                $done instanceof ArchivedRecord => 'archived',
                default => $done === null ? 'same' : 'changed',
            }, $act->applyToAll(Party::query()->orderBy('id')->get(), $this->maud)));
            $this->assertContains('changed', $atOnce[0]);
            $this->assertSame($oneByOne, $atOnce, $kind['kind']);
            array_push($outcomes, ...$atOnce[0]);
        }
        $this->assertContains('archived', $outcomes);
    }

    public function test_all_of_a_list_but_for_some_and_never_of_a_sentence_that_is_not_understood(): void
    {
        [$a, $b] = [$this->addCompany('Aster', ['isClient' => true]), $this->addCompany('Bell', ['isClient' => true])];
        $this->addCompany('Cedar', ['isVendor' => true]);
        $all = fn (string $filter, Party ...$but) => ['chosen' => [
            'isAll' => true, 'filter' => $filter, 'withArchived' => false, 'ids' => array_map(fn (Party $one) => $one->id, $but),
        ], 'change' => ['kind' => 'add-tags', 'values' => ['spring']]];
        $this->begin($all('clients', $b))->assertJsonPath('0.total', 1)->assertJsonPath('0.changed', 1);
        $this->assertSame([['spring'], []], array_map($this->tags(...), [$a, $b]));
        $this->postJson('/api/bulk-changes', $all('clientz'))->assertStatus(422);
        $this->postJson('/api/bulk-changes/preview', $all('clients, owing nothing at all'))->assertStatus(422);
        $this->postJson('/api/bulk-changes', $all('archived'))->assertStatus(422);
        $this->assertSame(1, BulkChange::query()->count());
        foreach ([['kind' => 'owner', 'userId' => 9999], ['kind' => 'terms', 'side' => 'client', 'values' => ['whenever']], ['kind' => 'add-tags', 'values' => []], ['kind' => 'archive', 'values' => ['']], ['kind' => 'engagement', 'engagementId' => 9999, 'roleId' => 1]] as $wrong) {
            $this->postJson('/api/bulk-changes/preview', ['chosen' => $this->those($a), 'change' => $wrong + ['values' => []]])
                ->assertStatus(422);
        }
    }

    public function test_what_something_refers_to_is_not_deleted_and_what_is_deleted_comes_back_whole(): void
    {
        [$free, $used] = [$this->addCompany('Aster', ['isClient' => true]), $this->addCompany('Bell', ['isClient' => true])];
        $this->saveSection($free, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->saveSection($free, 'reach', ['contactPoints' => [$this->contact('email', 'aster@aster.example')]])->assertOk();
        $this->classify($free, ['tags' => ['museum']]);
        $this->issued($used, 'invoice', '10');
        $record = $this->getJson("/api/parties/$free->id")->json();
        $input = ['chosen' => $this->those($free, $used), 'change' => ['kind' => 'delete', 'values' => []]];
        $this->postJson('/api/bulk-changes/preview', $input)->assertOk()->assertJsonPath('refused', 1)
            ->assertJsonPath('why', 'Something refers to them, or they have files: they stay.');
        $id = $this->begin($input)->assertJsonPath('0.changed', 1)->assertJsonPath('0.refused', 1)->json('0.id');
        $this->getJson("/api/parties/$free->id")->assertNotFound();
        $this->getJson("/api/parties/$used->id")->assertOk();
        $this->takeBack($id)->assertJsonPath('0.takenBack', 1);
        $this->assertEquals($record, $this->getJson("/api/parties/$free->id")->assertOk()->json());
        $this->getJson('/api/find?q=aster')->assertJsonPath('results.0.party.id', $free->id);
    }

    public function test_a_worker_that_dies_begins_again_where_it_was_and_stopping_keeps_what_is_done(): void
    {
        Queue::fake();
        $parties = array_map(fn (int $n) => $this->addCompany("Company $n"), range(1, 20));
        $id = $this->postJson(
            '/api/bulk-changes',
            ['chosen' => $this->those(...$parties), 'change' => ['kind' => 'log-entry', 'values' => ['Once']]],
        )
            ->assertCreated()->assertJsonPath('state', 'waiting')->json('id');
        Queue::assertPushed(WorkOnBulkChange::class);
        $change = BulkChange::query()->firstOrFail();
        // Another does the first few, and stops it in the middle.
        $step = new \ReflectionMethod(RunBulkChange::class, 'step');
        $run = $this->app->make(RunBulkChange::class);
        $this->assertTrue($step->invoke($run, $change));
        $this->assertSame(BulkState::Running, $change->refresh()->state);
        $this->postJson("/api/bulk-changes/$id/stop")->assertOk()->assertJsonPath('state', 'stopped')->assertJsonPath('done', 12);
        $run->handle($change->refresh());
        $this->assertSame(12, DB::table('log_entries')->count());
        $this->postJson("/api/bulk-changes/$id/go-on")->assertOk();
        $run->handle($change->refresh());
        $run->handle($change->refresh());
        $this->assertSame(20, DB::table('log_entries')->count(), 'nothing twice, nothing lost');
        $this->assertSame(BulkState::Done, $change->refresh()->state);
        $this->assertSame(20, BulkChangeRecord::query()->where('outcome', BulkOutcome::Changed)->count());
    }

    public function test_it_stops_when_the_role_is_taken_from_its_author_and_is_nobody_elses_to_take_back(): void
    {
        Queue::fake();
        $clerk = $this->user(Role::Clerk);
        $party = $this->addCompany('Aster');
        $this->actingAs($clerk);
        $id = $this->postJson(
            '/api/bulk-changes',
            ['chosen' => $this->those($party), 'change' => ['kind' => 'add-tags', 'values' => ['x']]],
        )
            ->assertCreated()->json('id');
        $this->actingAs($this->maud);
        $this->putJson(
            "/api/users/$clerk->id",
            ['name' => $clerk->name, 'email' => $clerk->email, 'role' => 'reader', 'isRetired' => false, 'password' => ''],
        )
            ->assertOk();
        $this->assertSame(Role::Reader, $clerk->refresh()->role);
        $this->app->make(RunBulkChange::class)->handle(BulkChange::query()->firstOrFail());
        $this->assertSame([], $this->tags($party));
        $this->actingAs($this->maud)->getJson('/api/bulk-changes')->assertJsonPath('0.state', 'failed')
            ->assertJsonPath('0.failure', "$clerk->name may no longer change records, so it stopped there.");
        $this->actingAs($this->user(Role::Approver))->postJson("/api/bulk-changes/$id/go-on")->assertForbidden();
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return TestResponse<Response> the bulk changes, once it has been worked on
     */
    private function begin(array $input): TestResponse
    {
        $this->postJson('/api/bulk-changes', $input)->assertCreated();

        return $this->getJson('/api/bulk-changes')->assertOk();
    }

    /** @return TestResponse<Response> */
    private function takeBack(mixed $id): TestResponse
    {
        $this->assertIsInt($id);
        $this->postJson("/api/bulk-changes/$id/take-back")->assertOk();

        return $this->getJson('/api/bulk-changes')->assertOk();
    }

    /**
     * @param \Closure(): array<int, string> $change
     *
     * @return array{array<int, string>, array<string, mixed>} what came of it by record, and the book with its log; it is taken back
     */
    private function tried(\Closure $change): array
    {
        DB::beginTransaction();
        $done = $change();
        ksort($done);
        $kept = $this->book();
        foreach (['changes', 'section_states', 'section_versions'] as $table) {
            $kept[$table] = DB::table($table)
                ->get()->map(fn (object $row) => array_diff_key((array) $row, ['id' => 0, 'at' => 0]))->sort()->values()
                ->all();
        }
        DB::rollBack();

        return [$done, $kept];
    }

    /** @return array{isAll: bool, filter: string, withArchived: bool, ids: list<int>} */
    private function those(Party ...$parties): array
    {
        return [
            'isAll' => false,
            'filter' => '',
            'withArchived' => true,
            'ids' => array_values(array_map(fn (Party $one) => $one->id, $parties)),
        ];
    }

    /** @return list<string> */
    private function tags(Party $party): array
    {
        $tags = $this->getJson("/api/parties/$party->id")->json('classification.tags');

        return is_array($tags) ? array_values(array_filter($tags, is_string(...))) : [];
    }

    /** @param  array<string, mixed>  $more */
    private function classify(Party $party, array $more): void
    {
        $version = (int) DB::table('section_versions')
            ->where(['subject_id' => $party->id, 'section' => 'classification'])->value('version');
        $this->saveSection($party, 'classification', $more + [
            'types' => [], 'tags' => [], 'ownerId' => null, 'accountManagerId' => null, 'buyerId' => null, 'source' => '', 'language' => '',
            'grade' => null, 'codes' => [],
        ], $version)->assertOk();
    }

    /**
     * All that is kept of records, but their log and what counts saves.
     *
     * @return array<string, string>
     */
    private function book(): array
    {
        $book = [];
        foreach (['parties', 'party_list_items', 'party_codes', 'client_terms', 'vendor_terms', 'detail_values', 'engagement_parties', 'reminders', 'log_entries', 'record_lines', 'record_values', 'balances', 'record_gaps'] as $table) {
            $rows = DB::table($table)->get()->map(fn (object $row) => array_diff_key(
                (array) $row,
                // What tells of the last save, or is empty where there was no row at all.
                array_flip([
                    'updated_at', 'created_at', 'changed_at', 'changed_by_id',
                    ...str_starts_with((string) ($row->value ?? ''), 'eyJpdiI6') ? ['value'] : [],
                    ...in_array($table, ['client_terms', 'vendor_terms'], true) ? ['id'] : [],
                ]),
            ))->filter(fn (array $row) => ! str_ends_with($table, '_terms') || array_filter(array_diff_key($row, ['party_id' => 0])) !== [])
                ->map(fn (array $row) => serialize($row))->sort()->values()->all();
            $book[$table] = implode("\n", $rows);
        }

        return $book;
    }
}
