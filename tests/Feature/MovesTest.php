<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Party;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class MovesTest extends TestCase
{
    private const NEW_PLACE = [
        'since' => '',
        'everybody' => false,
        'country' => 'US',
        'lines' => '2 New Street',
        'locality' => 'Putney',
        'region' => 'VT',
        'postcode' => '05346',
        'documentIds' => [],
    ];

    public function test_everybody_moves_and_the_old_address_is_kept(): void
    {
        [$company, $person] = $this->companyWithPerson();
        $this->move($company, ['since' => '1 May 2026', 'everybody' => true])->assertOk()
            ->assertJsonPath('addresses.addresses.*.lines', ['2 New Street', '14 Meridian Lane'])
            ->assertJsonPath('addresses.addresses.*.period.text', ['since 1 May 2026', 'until 30 Apr 2026'])
            ->assertJsonPath('addresses.addresses.*.isPrimary', [true, false])
            ->assertJsonPath('addresses.addresses.0.uses', ['postal', 'billing'])
            ->assertJsonPath('letter.envelope', ['Brass', '2 New Street', 'PUTNEY, VT 05346']);
        $this->getJson("/api/parties/{$person->id}")
            ->assertJsonPath('letter.envelope', ['Silas Wren', 'Brass', '2 New Street', 'PUTNEY, VT 05346'])
            ->assertJsonPath('addresses.addresses.0.sameAs.name', 'Brass');
        $this->assertContains(
            'Address:  -> 2 New Street, Putney, VT 05346, same as Brass, since 1 May 2026, primary',
            array_map(
                fn (string $change) => str_replace(
                    ', primary, since 1 May 2026, same as Brass',
                    ', same as Brass, since 1 May 2026, primary',
                    $change,
                ),
                $this->changesOf($person),
            ),
        );
    }

    public function test_one_moves_away_from_a_shared_address(): void
    {
        [$company, $person] = $this->companyWithPerson();
        $this->move($person, ['since' => 'today'])
            ->assertOk()
            ->assertJsonPath('addresses.addresses.0.sameAs', null)
            ->assertJsonPath('letter.envelope', ['Silas Wren', '2 New Street', 'PUTNEY, VT 05346']);
        $this->getJson("/api/parties/{$company->id}")
            ->assertJsonPath('addresses.addresses.*.lines', ['14 Meridian Lane'])
            ->assertJsonPath('addresses.addresses.0.period.text', '');
    }

    public function test_until_the_day_comes_post_goes_to_the_old_address(): void
    {
        [$company] = $this->companyWithPerson();
        $this->move($company, ['since' => '+7'])->assertOk()->assertJsonPath('letter.envelope.1', '14 Meridian Lane');
        Queue::fake();
        $this->travelTo('2026-12-02');
        config(['almanac.today' => '2026-12-02']);
        $this->getJson("/api/parties/{$company->id}")->assertJsonPath('letter.envelope.1', '2 New Street');
    }

    public function test_it_says_which_documents_carry_the_old_address_and_those_that_are_chosen_take_the_new_one(): void
    {
        [$company, $person] = $this->companyWithPerson();
        $open = $this->issued($company, 'invoice', '10');
        $draft = (int) $this->postJson("/api/parties/{$person->id}/documents", $this->documentInput('invoice', '5'))
            ->assertCreated()
            ->json('row.id');
        $use = $company->addressUses()->value('id');
        $ask = fn (array $input) => $this->postJson(
            "/api/parties/{$company->id}/touched/addresses/$use",
            $input + self::NEW_PLACE,
        )->assertOk();
        $ask([])
            ->assertJsonPath('sentence', '1 open invoice shows the old address.')
            ->assertJsonPath('documents.*.row.id', [$open->id]);
        $ask(['everybody' => true])->assertJsonPath('documents.*.row.id', [$open->id, $draft]);
        $ask(['since' => '+7'])->assertJsonPath('documents', []);
        $this->assertSame(
            ['14 Meridian Lane'],
            $company->addressUses()->with('address')->get()->map(fn ($one) => $one->address->lines)->all(),
            'nothing was saved',
        );

        $this->move($company, ['everybody' => true, 'documentIds' => [$open->id]])->assertOk();
        $this->assertContains('2 New Street', $open->refresh()->copy['address']);
        $this->getJson("/api/documents/$draft")->assertJsonPath('copy.address.1', '14 Meridian Lane');
        $this->getJson("/api/documents/{$open->id}")->assertJsonPath('events.0.text', 'reissued with the new address');
    }

    public function test_what_cannot_be_is_told_at_its_field(): void
    {
        [$company] = $this->companyWithPerson();
        $this->move($company, ['since' => 'never', 'postcode' => 'E1 1AA'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['since', 'postcode']);
        $this->move($company, ['since' => '1 May 2026'])->assertOk();
        $this->move($company, ['since' => '1 Apr 2026'])->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'They have been at the old address only since 1 May 2026. Choose a later day.');
        $this->putJson("/api/parties/{$company->id}/archive", ['reason' => 'closed']);
        $this->move($company, [])->assertStatus(423);
    }

    public function test_a_pasted_address_is_taken_apart_without_the_name(): void
    {
        $company = $this->addCompany('Tarn & Whitlow');
        $this->getJson(
            "/api/parties/{$company->id}/addresses?typed=".urlencode("Tarn & Whitlow\n5 Foundry Row\nLondon\nE1 1AA\nUK"),
        )->assertExactJson([
            'country' => 'GB',
            'lines' => '5 Foundry Row',
            'locality' => 'London',
            'region' => '',
            'postcode' => 'E1 1AA',
            'doubtful' => [],
        ]);
    }

    public function test_letters_of_somebody_who_has_died_go_to_who_stands_in(): void
    {
        $walter = $this->addPerson('Walter', 'Larkin', ['prefix' => 'Mr.']);
        $ada = $this->addPerson('Ada', 'Finch', ['prefix' => 'Ms.']);
        $this->saveSection($walter, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->saveSection($ada, 'addresses', ['addresses' => [$this->address(['lines' => '9 Canal Street'])]])->assertOk();
        $identity = $this->getJson("/api/parties/{$walter->id}")->assertJsonPath('letter.salutation', 'Dear Mr. Larkin:')->json('identity');
        $this->saveSection($walter, 'identity', ['isDeceased' => true] + $identity)->assertJsonPath('letter.salutation', null)
            ->assertJsonPath('letter.envelope.0', 'Estate of Walter Larkin');
        $this->saveSection($walter, 'relations', [
            'relations' => [
                ['id' => null, 'partyId' => $ada->id, 'kind' => 'executor', 'together' => 'alone', 'since' => '', 'until' => ''],
            ],
        ])
            ->assertJsonPath('letter.envelope', ['Estate of Walter Larkin', 'c/o Ms. Ada Finch', '9 Canal Street', 'BRATTLEBORO, VT 05301'])
            ->assertJsonPath('letter.salutation', 'Dear Ms. Finch:')->assertJsonPath('letter.also.name', 'Ms. Ada Finch');
    }

    public function test_a_couple_is_written_to_together_when_told_so(): void
    {
        $edith = $this->addPerson('Edith', 'Larkin', ['prefix' => 'Mrs.']);
        $walter = $this->addPerson('Walter', 'Larkin', ['prefix' => 'Mr.']);
        $address = $this->saveSection($edith, 'addresses', ['addresses' => [$this->address()]])->json('addresses.addresses.0.addressId');
        $this->saveSection($walter, 'addresses', ['addresses' => [$this->address(['linkedAddressId' => $address])]])->assertOk();
        $relate = fn (string $together, int $version, ?int $id) => $this->saveSection($edith, 'relations', ['relations' => [
            ['id' => $id, 'partyId' => $walter->id, 'kind' => 'spouse', 'together' => $together, 'since' => '', 'until' => ''],
        ]], $version)->assertOk();
        $id = $relate('alone', 0, null)->assertJsonPath('letter.envelope.0', 'Mrs. Edith Larkin')->json('relations.relations.0.id');
        $relate('titles', 1, $id)->assertJsonPath('letter.envelope.0', 'Mr. and Mrs. Walter Larkin');
        $this->getJson("/api/parties/{$walter->id}")
            ->assertJsonPath('letter.envelope.0', 'Mr. and Mrs. Walter Larkin')
            ->assertJsonPath('letter.salutation', 'Dear Mr. and Mrs. Larkin:');
        // She moves, at first only from a day to come on: until then both are there.
        $this->move($edith, ['since' => '1 Dec'])->assertOk()->assertJsonPath('letter.envelope.0', 'Mr. and Mrs. Walter Larkin');
        config(['almanac.today' => '2026-12-02']);
        $this->getJson("/api/parties/{$edith->id}")
            ->assertJsonPath('letter.envelope', ['Mrs. Edith Larkin', '2 New Street', 'PUTNEY, VT 05346'])
            ->assertJsonPath('letter.salutation', 'Dear Mrs. Larkin:')
            ->assertJsonPath('letter.also', null);
        $this->getJson("/api/parties/{$walter->id}")
            ->assertJsonPath('letter.envelope.0', 'Mr. Walter Larkin')
            ->assertJsonPath('letter.salutation', 'Dear Mr. Larkin:');
    }

    /** @return array{Party, Party} */
    private function companyWithPerson(): array
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address(['uses' => ['postal', 'billing']])]])->assertOk();

        return [$company, $this->addPerson('Silas', 'Wren', ['companyId' => $company->id])];
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function move(Party $party, array $input): TestResponse
    {
        $use = $party->addressUses()->value('id');

        return $this->postJson("/api/parties/{$party->id}/addresses/$use/move", $input + self::NEW_PLACE);
    }
}
