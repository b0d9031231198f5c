<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ListedTerms;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class KeepTermsTest extends TestCase
{
    public function test_terms_are_added_and_hold_by_default_for_one_side(): void
    {
        $client = $this->addCompany('Brass', ['isClient' => true]);
        $this->save(null, ['name' => 'Quarterly', 'shorthand' => 'n/90', 'isClientDefault' => true])->assertCreated();
        $this->getJson("/api/parties/{$client->id}")
            ->assertJsonPath('clientTerms.inForce', 'net 90')
            ->assertJsonPath('clientTerms.source', 'office')
            ->assertJsonPath('vendorTerms.inForce', 'net 30');
        $this->assertSame(1, ListedTerms::query()->where('is_client_default', true)->count());
    }

    public function test_records_follow_the_terms_that_they_use_and_keep_what_is_retired(): void
    {
        $client = $this->addCompany('Brass', ['isClient' => true]);
        $sixty = ListedTerms::query()->where('shorthand', 'net 60')->firstOrFail();
        $this->saveSection($client, 'client-terms', ['listedId' => $sixty->id, 'shorthand' => null])->assertOk();
        $this->save($sixty, ['name' => 'Two months', 'shorthand' => 'net 2 months', 'isRetired' => true])
            ->assertOk()
            ->assertJsonPath('9.terms.name', 'Two months')
            ->assertJsonPath('9.terms.isRetired', true)
            ->assertJsonPath('9.uses', 1);
        $this->getJson("/api/parties/{$client->id}")
            ->assertJsonPath('clientTerms.inForce', 'net 2 months')
            ->assertJsonPath('clientTerms.name', 'Two months');
    }

    public function test_each_side_keeps_a_default_and_what_cannot_be_is_told(): void
    {
        $standard = ListedTerms::query()->where('is_client_default', true)->firstOrFail();
        $this->save($standard, ['isClientDefault' => false, 'isVendorDefault' => true])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'isClientDefault',
                'message' => 'These are the default. Make others the default first.',
            ]);
        $this->save($standard, ['isClientDefault' => true, 'isVendorDefault' => true, 'isRetired' => true])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'isRetired');
        $this->save(null, ['name' => $standard->name, 'shorthand' => '2/40 net 30'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['name', 'shorthand']);
        $this->save(null, ['name' => 'Gone', 'shorthand' => 'net 5', 'isClientDefault' => true, 'isRetired' => true])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'Retired terms cannot be the default.');
        $this->assertSame(10, ListedTerms::query()->count());
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function save(?ListedTerms $terms, array $input): TestResponse
    {
        $input += [
            'name' => $terms->name ?? '',
            'shorthand' => $terms->shorthand ?? '',
            'isClientDefault' => false,
            'isVendorDefault' => false,
            'isRetired' => false,
        ];

        return $terms === null
            ? $this->asAdministrator()->postJson('/api/terms', $input)
            : $this->asAdministrator()->putJson("/api/terms/{$terms->id}", $input);
    }
}
