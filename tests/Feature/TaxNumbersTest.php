<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Party;
use App\Models\TaxNumber;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class TaxNumbersTest extends TestCase
{
    public function test_a_number_is_encrypted_masked_and_told_on_request(): void
    {
        $party = $this->addCompany('Brass', ['isVendor' => true]);
        $this->keep($party, [['EIN', '', '91-1144442'], ['VAT', 'DE', 'de 136 695 976']])->assertOk()
            ->assertJsonPath('taxNumbers.numbers.*.kind', ['EIN', 'VAT'])
            ->assertJsonPath('taxNumbers.numbers.*.masked', ['•••• 4442', '•••• 5976']);
        foreach ([DB::table('tax_numbers')->get(), DB::table('changes')->get(), DB::table('look_alike_keys')->get()] as $rows) {
            $this->assertStringNotContainsString('911144442', str_replace('-', '', (string) json_encode($rows)));
        }
        $id = TaxNumber::query()->orderBy('id')->value('id');
        $this->postJson("/api/parties/{$party->id}/reveal", ['fieldId' => null, 'taxNumberId' => $id])->assertExactJson([
            'value' => '91-1144442',
        ]);
        $this->assertSame('EIN:  -> shown, though private', $this->changesOf($party)[0]);
        $this->postJson("/api/parties/{$party->id}/reveal", ['fieldId' => null, 'taxNumberId' => 999])->assertExactJson(['value' => '']);
        $this->actingAs($this->user(Role::Reader))
            ->postJson("/api/parties/{$party->id}/reveal", ['fieldId' => null, 'taxNumberId' => $id])
            ->assertForbidden();
    }

    public function test_what_stays_is_sent_as_null_and_a_change_is_logged_without_being_told(): void
    {
        $party = $this->addCompany('Brass');
        $id = $this->keep($party, [['EIN', '', '91-1144442']])->json('taxNumbers.numbers.0.id');
        $this->keep($party, [['EIN', '', null, $id]], 1)->assertOk()->assertJsonPath('taxNumbers.version', 1);
        $this->keep($party, [['EIN', '', '92-1144442', $id]], 1)->assertOk()->assertJsonPath('taxNumbers.version', 2);
        $this->assertSame('EIN: •••• 4442 -> another, private', $this->changesOf($party)[0]);
        $this->keep($party, [], 2)->assertOk()->assertJsonPath('taxNumbers.numbers', []);
        $this->assertSame('EIN: •••• 4442 -> ', $this->changesOf($party)[0]);
    }

    public function test_what_is_wrong_is_told_at_its_line_with_the_reason(): void
    {
        $party = $this->addCompany('Brass');
        $this->keep($party, [
            ['EIN', '', '07-1234567'],
            ['VAT', 'DE', 'DE136695978'],
            ['EIN', '', '91-1144442'],
            ['VAT', 'US', '1'],
            ['SSN', '', ''],
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['taxNumbers.0.value', 'taxNumbers.1.value', 'taxNumbers.3.value', 'taxNumbers.4.value'])
            ->assertJsonPath(
                'errors.1.message',
                '“DE136695978” cannot be right: its check digits do not match. Compare it with the paper.',
            );
        $this->assertSame(0, TaxNumber::query()->count());
    }

    public function test_the_same_number_under_another_name_is_a_look_alike(): void
    {
        $party = $this->addCompany('Brass Lantern Foundry');
        $this->keep($party, [['EIN', '', '91-1144442']]);
        $other = $this->addCompany('Lantern Castings');
        $asked = fn (string $value) => $this->postJson('/api/look-alikes', [
            'kind' => 'company', 'given' => '', 'family' => '', 'name' => 'Lantern Castings', 'phones' => [], 'emails' => [],
            'taxNumbers' => [['kind' => 'EIN', 'country' => '', 'value' => $value]], 'exceptId' => $other->id,
        ])->assertOk();
        $asked('911144442')->assertJsonPath('0.party.id', $party->id)->assertJsonPath('0.reasons', ['same tax number']);
        $asked('91-1144443')->assertExactJson([]);
        $asked('91-11')->assertExactJson([]);
    }

    /**
     * @param list<array{0: string, 1: string, 2: string|null, 3?: int}> $numbers
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function keep(Party $party, array $numbers, int $version = 0): TestResponse
    {
        return $this->asAdministrator()->saveSection($party, 'tax-numbers', ['taxNumbers' => array_map(
            fn (array $number) => ['id' => $number[3] ?? null, 'kind' => $number[0], 'country' => $number[1], 'value' => $number[2]],
            $numbers,
        )], $version);
    }
}
