<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\DetailValue;
use App\Models\Party;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class DetailsTest extends TestCase
{
    public function test_a_sheet_of_the_firms_own_is_filled_in_and_logged(): void
    {
        $sheet = $this->sheet();
        $party = $this->addPerson('Edith', 'Larkin');
        $this->fill($party, ['Interests' => "Clocks\nbells", 'Members since' => '3/1/2019', 'Dues' => '120', 'Safe' => '4-8-15'])
            ->assertOk()
            ->assertJsonPath('details.sheets.0.name', 'Membership')
            ->assertJsonPath('details.sheets.0.fields.*.display', ['clocks, bells', '1 Mar 2019', '120.00 USD', ''])
            ->assertJsonPath('details.sheets.0.fields.3.isFilled', true);
        $changes = $this->changesOf($party);
        $this->assertContains('Membership: Interests:  -> clocks, bells', $changes);
        $this->assertContains('Membership: Safe:  -> kept, private', $changes);
        $this->assertStringNotContainsString('4-8-15', (string) json_encode(DB::table('changes')->get()));
        $this->assertSame('Membership', $sheet['name']);
    }

    public function test_a_secret_is_encrypted_told_on_request_and_each_telling_is_logged(): void
    {
        $this->sheet();
        $party = $this->addPerson('Edith', 'Larkin');
        $this->fill($party, ['Safe' => '4-8-15'])->assertOk();
        $this->assertStringNotContainsString('4-8-15', (string) json_encode(DB::table('detail_values')->get()));
        $safe = $this->fieldId('Safe');
        $this->postJson("/api/parties/{$party->id}/reveal", ['fieldId' => $safe, 'taxNumberId' => null])
            ->assertOk()
            ->assertExactJson(['value' => '4-8-15']);
        $this->assertSame('Safe:  -> shown, though private', $this->changesOf($party)[0]);
        $this->actingAs($this->user(Role::Reader))
            ->postJson("/api/parties/{$party->id}/reveal", ['fieldId' => $safe, 'taxNumberId' => null])
            ->assertForbidden();
        $this->asAdministrator()
            ->postJson("/api/parties/{$party->id}/reveal", ['fieldId' => 999, 'taxNumberId' => null])
            ->assertExactJson(['value' => '']);
        // Null leaves it, an empty text removes it.
        $this->fill($party, ['Safe' => null], 1)->assertJsonPath('details.sheets.0.fields.3.isFilled', true);
        $this->fill($party, ['Safe' => ''], 1)->assertJsonPath('details.sheets.0.fields.3.isFilled', false);
    }

    public function test_a_birth_date_is_private_and_the_age_is_told(): void
    {
        $party = $this->addPerson('Edith', 'Larkin');
        $identity = $this->getJson("/api/parties/{$party->id}")->assertJsonPath('identity.age', null)->json('identity');
        $this->saveSection($party, 'identity', ['birthDate' => '25 Nov 1950'] + $identity)->assertOk()
            ->assertJsonPath('identity.hasBirthDate', true)->assertJsonPath('identity.age', 75);
        $this->assertStringNotContainsString('1950', (string) json_encode(DB::table('parties')->get()));
        $this->saveSection($party, 'identity', ['preferred' => 'Edie'] + $identity, 1)->assertJsonPath('identity.hasBirthDate', true);
        $this->postJson("/api/parties/{$party->id}/reveal", ['fieldId' => null, 'taxNumberId' => null])->assertExactJson([
            'value' => '25 Nov 1950',
        ]);
        $this->saveSection($party, 'identity', ['birthDate' => 'tomorrow'] + $identity, 2)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'birthDate', 'message' => 'That day is still to come. Check the year.']);
        $this->assertContains('Birth date:  -> kept, private', $this->changesOf($party));
    }

    public function test_values_survive_the_retirement_of_their_field_and_sheet(): void
    {
        $sheet = $this->sheet();
        $party = $this->addPerson('Edith', 'Larkin');
        $this->fill($party, ['Dues' => '120'])->assertOk();
        $without = array_values(array_filter(
            $sheet['fields'],
            fn (array $field) => $field['name'] !== 'Dues' && $field['name'] !== 'Safe',
        ));
        $kept = $this->putJson("/api/sheets/{$sheet['id']}", ['fields' => $without] + $sheet)
            ->assertOk()
            ->json('0.fields');
        $this->assertSame(
            [['Interests', false], ['Members since', false], ['Dues', true]],
            array_map(fn (array $field) => [$field['name'], $field['isRetired']], $kept),
            'what is filled in is retired, what is not is gone',
        );
        $this->getJson("/api/parties/{$party->id}")
            ->assertJsonPath('details.sheets.0.fields.2.display', '120.00 USD')
            ->assertJsonPath('details.sheets.0.fields.2.isAskedFor', false);
        $this->putJson("/api/sheets/{$sheet['id']}", ['isRetired' => true, 'fields' => $kept] + $sheet)->assertOk();
        $this->getJson("/api/parties/{$party->id}")->assertJsonPath('details.sheets.0.fields.*.name', ['Dues']);
        $this->fill($party, ['Dues' => '5'], 1)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'This field is no longer asked for. Reload the page.');
        $this->assertSame(1, DetailValue::query()->count());
    }

    public function test_a_sheet_comes_with_a_type_and_with_a_kind_of_party(): void
    {
        $this->asAdministrator()
            ->postJson(
                '/api/sheets',
                $this->definition('Surgery hours', [['Hours', 'text']], ['type' => 'doctor', 'partyKind' => 'person']),
            )
            ->assertCreated();
        $doctor = $this->addPerson('Augusta', 'Penhallow');
        $company = $this->addCompany('Brass');
        foreach ([$doctor, $company] as $party) {
            $this->getJson("/api/parties/{$party->id}")->assertJsonPath('details.sheets', []);
            $this->saveSection($party, 'classification', [
                'types' => ['doctor'], 'tags' => [], 'ownerId' => null, 'accountManagerId' => null, 'buyerId' => null,
                'source' => '', 'language' => '', 'grade' => null, 'codes' => [],
            ])->assertJsonPath('details.sheets.*.name', $party->is($doctor) ? ['Surgery hours'] : []);
        }
    }

    public function test_what_the_office_requires_is_a_gap(): void
    {
        $party = $this->addCompany('Brass', ['isClient' => true]);
        $before = DB::table('record_gaps')->where('party_id', $party->id)->value('gaps');
        $this->postJson('/api/sheets', $this->definition('Billing desk', [['Cost code', 'text', 'bill']]))->assertCreated();
        $this->assertSame($before + 1, DB::table('record_gaps')->where('party_id', $party->id)->value('gaps'));
        $this->getJson("/api/parties/{$party->id}")
            ->assertJsonPath('readiness.1.purpose', 'bill')
            ->assertJsonPath('readiness.1.checks.6', [
                'name' => 'Cost code',
                'state' => 'missing',
                'todo' => 'Fill in “Cost code”.',
                'section' => 'details',
            ]);
        $this->fill($party, ['Cost code' => '41'])->assertOk();
        $this->assertSame($before, DB::table('record_gaps')->where('party_id', $party->id)->value('gaps'));
    }

    public function test_a_definition_that_cannot_be_is_told_at_its_field(): void
    {
        $this->sheet();
        $this->postJson('/api/sheets', $this->definition('Membership', [['', 'choice']], ['type' => 'wizard']))->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['name', 'type', 'fields.0.options', 'fields.0.name']);
        $party = $this->addPerson('Edith', 'Larkin');
        $this->fill($party, ['Dues' => '120'])->assertOk();
        $sheet = $this->getJson('/api/sheets')->json('0');
        $sheet['fields'][2]['kind'] = 'text';
        $this->putJson("/api/sheets/{$sheet['id']}", $sheet)->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'Records hold values of this field, so it stays “amount”. Retire it, and add another.');
        $this->fill($party, ['Interests' => 'gambling', 'Members since' => 'once'], 1)->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['values.0.value', 'values.1.value']);
    }

    /** @return array<string, mixed> */
    private function sheet(): array
    {
        $definition = $this->definition('Membership', [
            ['Interests', 'several-choices'],
            ['Members since', 'date'],
            ['Dues', 'amount'],
            ['Safe', 'secret'],
        ]);
        $definition['fields'][0]['options'] = ['clocks', 'bells', ''];

        return $this->asAdministrator()->postJson('/api/sheets', $definition)->assertCreated()->json('0');
    }

    /**
     * @param list<array{0: string, 1: string, 2?: string}> $fields name, kind, required for
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private function definition(string $name, array $fields, array $more = []): array
    {
        return $more + [
            'name' => $name,
            'partyKind' => null,
            'type' => '',
            'isRetired' => false,
            'fields' => array_map(
                fn (array $field) => [
                    'id' => null,
                    'name' => $field[0],
                    'kind' => $field[1],
                    'options' => [],
                    'help' => '',
                    'requiredFor' => $field[2] ?? null,
                    'isRetired' => false,
                ],
                $fields,
            ),
        ];
    }

    /**
     * @param array<string, string|null> $values by name of the field
     *
     * @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response>
     */
    private function fill(Party $party, array $values, int $version = 0): \Illuminate\Testing\TestResponse
    {
        return $this->asAdministrator()->saveSection($party, 'details', ['values' => array_map(
            fn (string $name, ?string $value) => ['fieldId' => $this->fieldId($name), 'value' => $value],
            array_keys($values),
            array_values($values),
        )], $version);
    }

    private function fieldId(string $name): int
    {
        $id = DB::table('detail_fields')->where('name', $name)->value('id');
        assert(is_int($id));

        return $id;
    }
}
