<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Facts\LookAlikes\PartyLikeness;
use App\Models\LookAlikePair;
use App\Models\Party;
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
            ->assertJsonPath('0.party.id', $foundry->id)->assertJsonPath('0.isLikely', true)->assertJsonPath('0.reasons', ['same name']);
        $this->enter(['given' => 'Si', 'family' => 'Wren'])->assertJsonPath('0.party.id', $silas->id);
        $this->enter(['given' => 'Silas', 'family' => 'Wern', 'phones' => ['(603) 555-0164', 'half a num']])
            ->assertJsonPath('0.reasons', ['name much alike', 'same phone']);
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

        $pair = $this->getJson('/api/look-alikes')->assertOk()->assertJsonCount(1)
            ->assertJsonPath('0.first.displayName', 'Brass Lantern Foundry LLC')
            ->assertJsonPath('0.second.id', $second->id)
            ->assertJsonPath('0.reasons', ['same name'])
            ->assertJsonPath('0.by', 'Maud Ferris')->json('0.id');
        $this->deleteJson("/api/look-alikes/$pair")->assertNoContent();
        $this->getJson('/api/look-alikes')->assertExactJson([]);
        $this->assertSame(1, LookAlikePair::query()->count(), 'what was settled is remembered');
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
        $this->getJson('/api/look-alikes')->assertExactJson([]);
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
}
