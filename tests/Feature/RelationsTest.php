<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Party;
use App\Models\Relation;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class RelationsTest extends TestCase
{
    public function test_a_relation_is_told_from_both_ends(): void
    {
        $edith = $this->addPerson('Edith', 'Larkin');
        $walter = $this->addPerson('Walter', 'Larkin');
        $this->relate($edith, [[$walter, 'spouse', ['since' => '1 May 1990']]])->assertOk()
            ->assertJsonPath('relations.relations.0.kind', 'spouse');
        $ada = $this->addPerson('Ada', 'Larkin');
        $this->relate($ada, [[$edith, 'parent']])->assertOk();

        $this->getJson("/api/parties/{$edith->id}")
            ->assertJsonPath('relations.relations.*.kind', ['spouse', 'child'])
            ->assertJsonPath('relations.relations.*.party.displayName', ['Walter Larkin', 'Ada Larkin'])
            ->assertJsonPath('relations.version', 2);
        $this->assertSame('Relation:  -> child: Ada Larkin', $this->changesOf($edith)[0]);
        $this->assertSame('Relation:  -> spouse: Edith Larkin, since 1 May 1990', $this->changesOf($walter)[0]);
    }

    public function test_a_relation_can_be_changed_and_ended_from_the_other_end(): void
    {
        $bank = $this->addCompany('Harborlight Trust');
        $walter = $this->addPerson('Walter', 'Larkin');
        $id = $this->relate($walter, [[$bank, 'executor']])->json('relations.relations.0.id');
        $this->relate($bank, [[$walter, 'testator', ['id' => $id, 'until' => 'yesterday']]], 1)->assertOk()
            ->assertJsonPath('relations.relations.0.period.isInForce', false);
        $this->getJson("/api/parties/{$walter->id}")
            ->assertJsonPath('relations.relations.0.kind', 'executor')
            ->assertJsonPath('relations.relations.0.period.text', 'until 23 Nov 2026');
        $this->assertSame(1, Relation::query()->count());
        $this->relate($walter, [], 2)->assertOk();
        $this->assertSame('Relation: testator: Walter Larkin, until 23 Nov 2026 -> ', $this->changesOf($bank)[0]);
    }

    public function test_what_cannot_be_is_told_at_its_field(): void
    {
        $bank = $this->addCompany('Harborlight Trust');
        $walter = $this->addPerson('Walter', 'Larkin');
        $this->relate($walter, [[$bank, 'spouse'], [$walter, 'spouse'], [$bank, 'executor', ['since' => 'never']]])->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['relations.0.kind', 'relations.1.partyId', 'relations.2.since'])
            ->assertJsonPath('errors.0.message', 'Harborlight Trust cannot be that. Choose another relation.');
        $this->relate($walter, [[$bank, 'nemesis']])->assertUnprocessable();
        $this->getJson("/api/parties/{$bank->id}")->assertJsonPath('relations.kinds.0', 'ward');
    }

    public function test_letters_for_somebody_who_has_died_go_to_the_executor_first(): void
    {
        $walter = $this->addPerson('Walter', 'Larkin', ['prefix' => 'Mr.']);
        $edith = $this->addPerson('Edith', 'Larkin');
        $bank = $this->addCompany('Harborlight Trust');
        $identity = $this->getJson("/api/parties/{$walter->id}")->json('identity');
        $this->saveSection($walter, 'identity', ['isDeceased' => true] + $identity)
            ->assertOk()
            ->assertJsonPath(
                'readiness.0.checks.2.todo',
                'Add the executor, the next of kin or the spouse as a relation: letters go to them.',
            );
        $this->relate($walter, [[$edith, 'next of kin'], [$bank, 'executor']])
            ->assertOk()
            ->assertJsonPath('readiness.0.checks.*.state', ['passed', 'missing', 'passed', 'passed', 'passed'])
            ->assertJsonPath('letter.also.name', 'Harborlight Trust');
        $this->deleteJson("/api/parties/{$bank->id}")
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'It is still used by 1 relation, so deleting it would leave a hole. Archive it instead.');
    }

    public function test_a_spouse_who_is_left_is_entered_once_and_closes_the_gap(): void
    {
        $walter = $this->addPerson('Walter', 'Larkin', ['prefix' => 'Mr.']);
        $edith = $this->addPerson('Edith', 'Larkin', ['prefix' => 'Mrs.']);
        $this->relate($walter, [[$edith, 'spouse', ['until' => '1 Nov 2026']]])->assertOk();
        $identity = $this->getJson("/api/parties/{$walter->id}")->json('identity');
        $gaps = fn () => (int) DB::table('record_gaps')->where('party_id', $walter->id)->value('gaps');
        $this->saveSection($walter, 'identity', ['isDeceased' => true, 'deceasedOn' => '1 Nov 2026'] + $identity)
            ->assertOk()
            ->assertJsonPath('letter.also.name', 'Mrs. Edith Larkin');
        $this->assertSame(1, $gaps(), 'only her address is missing');
        $this->saveSection($edith, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->assertSame(0, $gaps(), 'what she has, letters for him have');
        $this->getJson("/api/parties/{$walter->id}")->assertJsonPath('letter.envelope', [
            'Estate of Walter Larkin',
            'c/o Mrs. Edith Larkin',
            '14 Meridian Lane',
            'BRATTLEBORO, VT 05301',
        ]);
        // She is not written to in his place once she has died herself.
        $hers = $this->getJson("/api/parties/{$edith->id}")->json('identity');
        $this->saveSection($edith, 'identity', ['isDeceased' => true] + $hers)->assertOk();
        $this->assertSame(2, $gaps());
    }

    /**
     * @param list<array{0: Party, 1: string, 2?: array<string, mixed>}> $relations
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function relate(Party $party, array $relations, int $version = 0): TestResponse
    {
        return $this->saveSection(
            $party,
            'relations',
            [
                'relations' => array_map(
                    fn (array $one) => ($one[2] ?? []) + [
                        'id' => null,
                        'partyId' => $one[0]->id,
                        'kind' => $one[1],
                        'together' => 'alone',
                        'since' => '',
                        'until' => '',
                    ],
                    $relations,
                ),
            ],
            $version,
        );
    }
}
