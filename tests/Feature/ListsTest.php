<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Facts\Lists\ListedField;
use App\Facts\Lists\PartyFields;
use App\Facts\Lists\PartyList;
use App\Models\SavedList;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Lists of records: asked for by a sentence, kept under names, looked at in columns of one's own. */
final class ListsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->asAdministrator();
    }

    public function test_nonsense_is_said_and_leaves_the_list_usable(): void
    {
        $this->addCompany('Aster', ['isClient' => true]);
        foreach (['مرحبا', "'; drop table parties; --", 'NEAR("a" "b")*', str_repeat('x ', 2500), '(((', '%_\\'] as $nonsense) {
            $this->getJson('/api/parties?'.http_build_query(['filter' => $nonsense]))->assertOk()
                ->assertJsonPath('total', 1)->assertJsonPath('filter.isWhole', false);
        }
        $this->getJson('/api/parties?'.http_build_query(['filter' => str_repeat('x', 10001)]))->assertStatus(422);
        $this->getJson('/api/parties?filter[]=clients')->assertOk();
        foreach (['page=0', 'page=x', 'page=99999999999999999999', 'archived=perhaps'] as $wrong) {
            $this->getJson("/api/parties?$wrong")->assertStatus(422);
        }
        $this->getJson('/api/parties?page=999')->assertOk()->assertJsonPath('rows', [])->assertJsonPath('total', 1);
        $this->getJson('/api/parties?filter=Clients%3B+in+vt')->assertJsonPath('filter.sentence', 'clients in vt')
            ->assertJsonPath('filter.parts.*.text', ['clients', 'in vt']);
        $this->getJson('/api/long-lists/parties/suggestions?typed=clients,+tag')
            ->assertOk()->assertJsonPath('0.text', 'tagged ')->assertJsonPath('0.at', 9);
        $this->getJson('/api/long-lists/parties/suggestions?typed[]=x')->assertOk();
        $clause = fn (array $query) => $this->getJson('/api/long-lists/parties/clause?'.http_build_query($query));
        $clause(['field' => 'receivable', 'operator' => 'at least', 'values' => '1,000'])->assertOk()
            ->assertJsonPath('text', 'owing at least 1000.00');
        $clause(['field' => 'distance', 'operator' => 'within', 'values' => '20 mi of 05301'])->assertOk()
            ->assertJsonPath('text', 'within 20 miles of 05301');
        foreach ([
            ['field' => 'nonsuch', 'operator' => 'is', 'values' => 'x'], ['field' => 'receivable', 'operator' => 'begins', 'values' => '1'],
            ['field' => 'receivable', 'operator' => 'above', 'values' => 'lots'], ['field' => 'receivable', 'operator' => 'above'],
            ['field' => 'birth-date', 'operator' => 'is', 'values' => '1 Jan 1950'], ['field' => 'name', 'operator' => 'sounds like'],
        ] as $wrong) {
            $clause($wrong)->assertStatus(422);
        }
    }

    public function test_a_list_is_kept_changed_shared_and_removed_and_never_silently_somebody_elses(): void
    {
        $this->addCompany('Aster', ['isClient' => true]);
        $this->addCompany('Bell', ['isVendor' => true]);
        $input = [
            'name' => ' My clients ', 'sentence' => 'clients', 'columns' => ['name', 'email'], 'sort' => '-name',
            'view' => 'table', 'isShared' => false,
        ];
        $mine = fn () => SavedList::query()->firstOrFail();
        $of = fn (string $key, string $name) => collect(
            (array) $this->getJson('/api/long-lists/parties/saved')->assertOk()->json(),
        )->firstWhere('name', $name)[$key] ?? null;
        $this->postJson('/api/long-lists/parties/saved', ['name' => ' '] + $input)
            ->assertStatus(422)->assertJsonPath('errors.0.field', 'name');
        $this->postJson('/api/long-lists/parties/saved', $input)->assertCreated();
        $this->postJson('/api/long-lists/parties/saved', $input)->assertStatus(422)->assertJsonPath('errors.0.field', 'name');
        $this->assertSame([1, '-name', true], [$of('count', 'My clients'), $of('sort', 'My clients'), $of('mayChange', 'My clients')]);
        $this->assertSame([2, 2], [$of('count', 'Added this week'), $of('count', 'Without an email')]);
        // Nobody else has it, until it is shared; then they may copy it, and not change it.
        $this->actingAs($clerk = $this->user(Role::Clerk));
        $this->assertNull($of('count', 'My clients'));
        $this->putJson("/api/saved-lists/{$mine()->id}", ['version' => 0] + $input)->assertNotFound();
        $this->asAdministrator();
        $this->putJson("/api/saved-lists/{$mine()->id}", ['isShared' => true, 'version' => 0] + $input)->assertOk();
        $this->putJson("/api/saved-lists/{$mine()->id}", ['name' => 'Later', 'version' => 0] + $input)->assertStatus(409);
        $this->actingAs($clerk);
        $this->assertFalse($of('mayChange', 'My clients'));
        $this->deleteJson("/api/saved-lists/{$mine()->id}", ['version' => 1])->assertForbidden();
        $this->postJson('/api/long-lists/parties/saved', $input)->assertCreated();
        $this->asAdministrator();
        $this->deleteJson("/api/saved-lists/{$mine()->id}", ['version' => 1])->assertOk();
        $this->assertNull($of('count', 'My clients'), 'the copy is the clerk’s own');
    }

    public function test_a_list_whose_field_colleague_or_tag_is_gone_says_so_and_stays_usable(): void
    {
        $this->demo();
        $this->actingAs(User::query()->where('email', 'maud@orreryvane.example')->firstOrFail());
        DB::table('saved_lists')->insert(array_map(fn (string $sentence) => [
            'list' => 'parties', 'user_id' => User::query()->where('email', 'maud@orreryvane.example')->value('id'),
            'is_shared' => false, 'name' => $sentence,
            'sentence' => $sentence, 'columns' => '[]', 'sort' => 'nonsuch', 'view' => 'table', 'version' => 0,
        ], ['clients, height of the tower above 3', 'looked after by "Nobody Any More"', 'tagged "long gone"']));
        $lists = collect((array) $this->getJson('/api/long-lists/parties/saved')->assertOk()->json())->keyBy('name');
        $this->assertFalse($lists['clients, height of the tower above 3']['isWhole']);
        $this->assertSame(0, $lists['tagged "long gone"']['count']);
        $this->getJson('/api/parties?filter='.urlencode('looked after by "Nobody Any More"'))->assertOk()->assertJsonPath('total', 0)
            ->assertJsonPath('filter.misread.0.message', 'Owner: there is no “Nobody Any More”, or no longer. Nobody has it.')
            ->assertJsonPath('filter.isWhole', true);
    }

    public function test_columns_are_kept_for_each_person_and_a_stretch_is_told_by_its_letters_and_numbers(): void
    {
        $ids = array_map(fn (string $name) => $this->addCompany($name)->id, ['Ångström', 'Zebra', 'ärger', '4 Winds', 'Beta']);
        $this->putJson(
            '/api/long-lists/parties/look',
            ['columns' => [['key' => 'email', 'width' => 200], ['key' => 'nonsuch', 'width' => null]]],
        )
            ->assertNoContent();
        $this->getJson('/api/parties')->assertJsonPath('columns.*.key', ['name', 'email'])->assertJsonPath('columns.1.width', 200);
        $this->actingAs($this->user(Role::Reader))->getJson('/api/parties')->assertJsonPath('columns.3.key', 'phone');
        $this->getJson('/api/parties/letters')->assertJsonPath('*.letter', ['#', 'A', 'B', 'Z'])->assertJsonPath('*.at', [0, 1, 3, 4]);
        $sorted = [$ids[3], $ids[0], $ids[2], $ids[4], $ids[1]];
        $this->getJson('/api/parties')->assertJsonPath('rows.*.id', $sorted);
        $this->getJson('/api/parties/ids?from=2&most=3')->assertJsonPath('ids', array_slice($sorted, 1, 3));
        foreach (['from=0', 'most=x', 'from=-1'] as $wrong) {
            $this->getJson("/api/parties/ids?$wrong")->assertStatus(422);
        }
        foreach ([['columns' => 'x'], ['columns' => [['key' => 'name', 'width' => 5]]], []] as $wrong) {
            $this->putJson('/api/long-lists/parties/look', $wrong)->assertStatus(422);
        }
    }

    /** Groups add up to the list, to the cent, and each opens those that it counts. */
    public function test_the_records_of_a_list_are_counted_by_every_field(): void
    {
        $this->demo();
        $this->actingAs(User::query()->where('email', 'maud@orreryvane.example')->firstOrFail());
        $checked = 0;
        foreach (PartyFields::all()->filter(fn (ListedField $one) => $one->isListed())->keys() as $key) {
            foreach (['', 'clients or in VT'] as $filter) {
                $counts = (array) $this->getJson('/api/parties/counts?'.http_build_query(['by' => $key, 'filter' => $filter]))
                    ->assertOk()->json();
                /** @var list<array{count: int, filter: string, receivable: array{amount: string}, billed: array{amount: string}}> $rows */
                $rows = $counts['rows'];
                $total = (array) $counts['total'];
                if ($counts['isManifold'] === false) {
                    $this->assertSame($total['count'], array_sum(array_column($rows, 'count')), $key);
                    foreach (['receivable', 'billed', 'received', 'bills', 'paid'] as $sum) {
                        $cents = fn (array $one) => (int) round(((float) $one[$sum]['amount']) * 100);
                        $this->assertSame($cents($total), array_sum(array_map($cents, $rows)), "$key $sum");
                    }
                }
                foreach (array_slice($rows, 0, 6) as $row) {
                    $opened = $this->getJson('/api/parties?'.http_build_query(['filter' => $row['filter']]))->assertOk();
                    $this->assertTrue($opened->json('filter.isWhole'), $row['filter']);
                    $this->assertSame($row['count'], $opened->json('total'), "$key: {$row['filter']}");
                    $checked++;
                }
            }
        }
        $this->assertGreaterThan(200, $checked);
        $this->getJson('/api/parties/counts?by=country,role')->assertOk()->assertJsonPath('by', ['Country', 'Role']);
        $this->get('/api/parties/counts.csv?by=country')->assertOk()->assertSee('Country,Records,Receivable', false);
    }

    public function test_who_may_not_see_a_case_learns_nothing_of_it_by_a_list(): void
    {
        $this->demo();
        $private = DB::table('engagements')->where('is_private', true)->first();
        $this->assertNotNull($private);
        $count = fn (string $email) => $this->actingAs(User::query()->where('email', $email)->firstOrFail())
            ->getJson('/api/parties?'.http_build_query(['filter' => "case or project include \"$private->number\""]))
            ->assertOk()->json('total');
        $this->assertGreaterThan(0, $count('cordelia@orreryvane.example'));
        $this->assertSame(0, $count('maud@orreryvane.example'));
    }

    public function test_the_index_of_what_is_asked_most_has_the_columns_that_are_counted_along_it(): void
    {
        $columns = array_column(DB::select('pragma index_info(record_values_told)'), 'name');
        $this->assertSame($columns, PartyList::TOLD);
    }
}
