<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Lists\FieldType;
use App\Facts\Lists\PartyField;
use App\Facts\Lists\PartyFields;
use App\Models\DetailField;
use App\Models\Party;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** The register of fields: two ways to one value, and everything that lists, sorts and finds by it. */
final class FieldsTest extends TestCase
{
    public function test_the_database_sorts_by_what_the_record_says(): void
    {
        $this->demo();
        Party::query()->where('kind', 'company')->firstOrFail()->update([
            'payee_name' => 'Ånsgar’s', 'registration_number' => 'HRB 7', 'legal_form' => 'GmbH', 'industry' => 'Bells', 'grade' => 2,
            'form_on' => '2026-11-02',
        ]);
        $today = $this->app->make(Clock::class)->today();
        $parties = Party::query()->with(PartyFields::READS)->get();
        $filled = [];
        foreach (PartyFields::all()->filter(fn (PartyField $one) => $one->sql !== '') as $key => $field) {
            $sorted = DB::table('parties')->selectRaw("id, {$field->sql} as sort")->pluck('sort', 'id');
            foreach ($parties as $party) {
                $value = $field->value($party, $today);
                $this->assertSame($field->field->type, $value->type, $key);
                $this->assertEquals($value->toSort(), $sorted[$party->id], "$key of {$party->display_name}");
                $filled[$key] = ($filled[$key] ?? 0) + (int) ! $value->isEmpty();
            }
        }
        $this->assertNotContains(0, $filled, 'nothing is equal only because it is empty');
        $this->assertGreaterThan(40, count($filled));
        $this->secretsStayOut();
    }

    public function test_the_directory_is_sorted_by_any_field_and_what_is_empty_comes_last(): void
    {
        $this->asAdministrator();
        [$a, $b, $c] = array_map(fn (string $name) => $this->addCompany($name), ['Aster', 'Bell', 'Cedar']);
        foreach ([[$a, '10'], [$b, '9.5']] as [$party, $keys]) {
            $this->fillSheet($party, $keys);
        }
        $field = 'detail-'.DetailField::query()->where('name', 'Keys')->value('id');
        $of = fn (string $query) => $this->getJson("/api/parties?$query")->assertOk()->json('rows.*.id');

        $this->assertSame([$a->id, $b->id, $c->id], $of("sort=$field"));
        $this->assertSame([$b->id, $a->id, $c->id], $of("sort=$field&reversed=1"));
        $this->assertSame([$a->id, $b->id, $c->id], $of('sort=birth-date'), 'what is private sorts nothing');
        $this->assertSame([$a->id, $b->id, $c->id], $of('sort[]=name'));
        $this->assertSame([$c->id, $b->id, $a->id], $of('sort=name&reversed=1'));
        $this->getJson('/api/parties')
            ->assertJsonPath('columns.0', ['key' => 'name', 'title' => 'Name', 'isFigure' => false, 'isPartial' => false])
            ->assertJsonPath('columns.4', ['key' => 'receivable', 'title' => 'Receivable', 'isFigure' => true, 'isPartial' => true]);
        $this->getJson('/api/find?q=9.5')->assertJsonPath('results.0.reasons', ['keys 9.5']);
    }

    private function secretsStayOut(): void
    {
        $secret = DetailField::query()->where('kind', 'secret')->firstOrFail();
        $fields = PartyFields::all();
        $this->assertTrue(PartyFields::of("detail-{$secret->id}")->field->isPrivate);
        foreach ($fields as $key => $field) {
            $this->assertSame($key, $field->field->key);
            $this->assertSame($field->field->isPrivate, $field->sql === '', $key);
            $this->assertTrue($field->searched === null || ! $field->field->isPrivate, $key);
        }
        $this->assertSame(0, DB::table('detail_values')->where('field_id', $secret->id)->whereNotNull('sort')->count());
        $this->assertGreaterThan(0, DB::table('detail_values')->where('field_id', $secret->id)->count());
    }

    private function fillSheet(Party $party, string $keys): void
    {
        $field = DetailField::query()->where('name', 'Keys')->first();
        if ($field === null) {
            $this->postJson('/api/sheets', [
                'name' => 'Building',
                'partyKind' => 'company',
                'type' => '',
                'isRetired' => false,
                'fields' => [[
                    'id' => null, 'name' => 'Keys', 'kind' => 'number', 'options' => [], 'help' => '', 'requiredFor' => null,
                    'isRetired' => false,
                ]],
            ])->assertCreated();
            $field = DetailField::query()->where('name', 'Keys')->firstOrFail();
        }
        $this->assertSame(FieldType::Number, $field->kind->type());
        $this->saveSection($party, 'details', ['values' => [['fieldId' => $field->id, 'value' => $keys]]])->assertOk();
    }
}
