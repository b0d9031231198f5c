<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Party;
use App\Models\Position;
use App\Models\Relation;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class ReplacingTest extends TestCase
{
    public function test_one_ends_and_the_other_begins_with_the_duties(): void
    {
        [$company, $lise, $sara] = $this->firm();
        $this->replace(['successorId' => $sara->id, 'since' => '1 Mar 2026'])->assertOk()
            ->assertJsonPath('party.id', $company->id)
            ->assertJsonPath('positions.positions.*.party.displayName', ['Sara Holm', 'Lise Brandt'])
            ->assertJsonPath('positions.positions.*.title', ['Office manager', 'Office manager'])
            ->assertJsonPath('positions.positions.*.duties', [['billing', 'site'], []])
            ->assertJsonPath('positions.positions.*.isPrimary', [true, false])
            ->assertJsonPath('positions.positions.*.period.text', ['since 1 Mar 2026', '1 Jan 2020 to 28 Feb 2026']);
        $this->assertContains(
            'Position:  -> Brass, Office manager, Front desk, for billing, for site, primary, since 1 Mar 2026',
            $this->changesOf($sara),
        );
        $this->assertStringContainsString('1 Jan 2020 to 28 Feb 2026', $this->changesOf($lise)[0]);
        $this->assertCount(
            2,
            array_filter(
                $this->changesOf($company),
                fn (string $change) => str_starts_with($change, 'Position:') && str_contains($change, '2026'),
            ),
        );
    }

    public function test_phone_and_mailbox_are_handed_over_when_wanted(): void
    {
        [, $lise, $sara] = $this->firm();
        $points = $this->saveSection($lise, 'reach', [
            'contactPoints' => [
                $this->contact('phone', '802-555-0142', ['label' => 'front desk']),
                $this->contact('phone', '802-555-0143', ['label' => 'mobile']),
                $this->contact('email', 'desk@brass.example'),
            ],
        ])
            ->assertOk()
            ->json('reach.contactPoints');
        $this->saveSection($sara, 'reach', [
            'contactPoints' => [$this->contact('phone', '802-555-0150', ['label' => 'mobile'])],
        ])->assertOk();
        $this->replace([
            'successorId' => $sara->id,
            'since' => 'today',
            'contactPointIds' => [$points[0]['id'], $points[2]['id']],
        ])->assertOk();
        $this->getJson("/api/parties/{$lise->id}")
            ->assertJsonPath('reach.contactPoints.*.display', ['(802) 555-0143'])
            ->assertJsonPath('reach.contactPoints.0.isPrimary', true);
        $this->getJson("/api/parties/{$sara->id}")
            ->assertJsonPath('reach.contactPoints.*.display', ['(802) 555-0150', '(802) 555-0142', 'desk@brass.example'])
            ->assertJsonPath('reach.contactPoints.*.isPrimary', [true, false, true])
            ->assertJsonPath('reach.version', 2);
        $this->getJson('/api/find?q=5550142')->assertJsonPath('results.0.party.displayName', 'Sara Holm');
        $this->assertContains('Phone: (802) 555-0142, front desk, primary -> ', $this->changesOf($lise));
    }

    public function test_what_cannot_be_is_told_at_its_field(): void
    {
        [$company, $lise, $sara] = $this->firm();
        $this->replace(['successorId' => $lise->id, 'since' => '1 Jan 2020'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['successorId', 'since']);
        $this->replace(['successorId' => $company->id, 'since' => 'never'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['since', 'successorId']);
        $this->replace(['successorId' => $sara->id, 'since' => '1 Mar 2026'])->assertOk();
        $this->replace(['successorId' => $sara->id, 'since' => '1 May 2026'])->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'The position ended on 28 Feb 2026 already.');
        $this->assertSame(2, Position::query()->count());
    }

    public function test_a_company_is_added_on_the_way_and_people_with_a_company(): void
    {
        $this->asAdministrator()
            ->postJson('/api/parties', [
                'kind' => 'person',
                'given' => 'Lise',
                'family' => 'Brandt',
                'isClient' => false,
                'isVendor' => false,
                'companyName' => 'Brandt & Co',
                'title' => 'Owner',
            ])
            ->assertCreated()
            ->assertJsonPath('positions.positions.0.party.displayName', 'Brandt & Co')
            ->assertJsonPath('positions.positions.0.title', 'Owner');
        $this->postJson('/api/parties', [
            'kind' => 'company',
            'name' => 'Holm',
            'isClient' => true,
            'isVendor' => false,
            'people' => [['name' => 'Dr. Sara van der Holm', 'title' => 'Director'], ['name' => 'Wren, Silas', 'title' => '']],
        ])
            ->assertCreated()
            ->assertJsonPath('positions.positions.*.party.displayName', ['Dr. Sara van der Holm', 'Silas Wren'])
            ->assertJsonPath('positions.positions.0.isPrimary', true);
        $this->assertSame(5, Party::query()->count());
        $this->postJson('/api/parties', [
            'kind' => 'company',
            'name' => 'Nobody',
            'isClient' => true,
            'isVendor' => false,
            'people' => [['name' => str_repeat('x', 300), 'title' => '']],
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'people.0.name');
        $this->assertSame(5, Party::query()->count(), 'all of it or nothing');
    }

    public function test_an_address_and_a_phone_are_taken_over_by_link(): void
    {
        $edith = $this->addPerson('Edith', 'Larkin');
        $walter = $this->addPerson('Walter', 'Larkin');
        $this->saveSection($edith, 'addresses', ['addresses' => [$this->address(['uses' => ['home']])]])->assertOk();
        $phone = $this->saveSection($edith, 'reach', [
            'contactPoints' => [$this->contact('phone', '802-555-0190', ['label' => 'home'])],
        ])->json('reach.contactPoints.0');
        $this->getJson("/api/parties/{$walter->id}/likely-relations")->assertJsonPath('*.displayName', ['Edith Larkin']);
        $this->share($walter, $edith, ['address' => 'theirs', 'phone' => 'theirs'])->assertOk()
            ->assertJsonPath('addresses.addresses.0.sameAs.name', 'Edith Larkin')
            ->assertJsonPath('reach.contactPoints.0.sameAs.name', 'Edith Larkin')->assertJsonPath('reach.contactPoints.0.isPrimary', true);
        $this->share($walter, $edith, ['address' => 'theirs', 'phone' => 'theirs'])
            ->assertJsonCount(1, 'addresses.addresses')->assertJsonCount(1, 'reach.contactPoints');

        // A change there shows here, in the log too.
        $this->saveSection(
            $edith,
            'reach',
            ['contactPoints' => [['id' => $phone['id'], 'value' => '802-555-0191'] + $this->contact('phone', '')]],
            1,
        )->assertOk();
        $mine = $this->getJson("/api/parties/{$walter->id}")
            ->assertJsonPath('reach.contactPoints.0.display', '(802) 555-0191')
            ->json('reach');
        $this->assertContains(
            'Phone: (802) 555-0190, home, primary, same as Edith Larkin -> (802) 555-0191, home, primary, same as Edith Larkin',
            $this->changesOf($walter),
        );

        // Typing another number here ends the link and leaves hers alone.
        $this->saveSection(
            $walter,
            'reach',
            ['contactPoints' => [['id' => $mine['contactPoints'][0]['id'], 'value' => '802-555-0195'] + $this->contact('phone', '')]],
            $mine['version'],
        )
            ->assertOk()
            ->assertJsonPath('reach.contactPoints.0.sameAs', null);
        $this->getJson("/api/parties/{$edith->id}")->assertJsonPath('reach.contactPoints.0.display', '(802) 555-0191');
    }

    public function test_one_of_several_addresses_is_chosen_and_what_is_not_there_is_told(): void
    {
        [$edith, $walter] = [$this->addPerson('Edith', 'Larkin'), $this->addPerson('Walter', 'Larkin')];
        $this->share($walter, $edith, ['address' => 'theirs', 'phone' => 'theirs'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['relations.0.address', 'relations.0.phone'])
            ->assertJsonPath('errors.*.message', ['Edith Larkin has no address yet.', 'Edith Larkin has no phone yet.']);
        $this->assertSame(0, Relation::query()->count(), 'all of it or nothing');
        $this->saveSection($edith, 'addresses', [
            'addresses' => [$this->address(), $this->address(['lines' => '9 Lake Road'])],
        ])->assertOk();
        $lake = $this->getJson("/api/parties/{$edith->id}")->json('addresses.addresses.1.addressId');
        $this->share($walter, $edith, ['address' => 'theirs', 'addressId' => 999])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'Edith Larkin no longer has that address. Choose another.');
        $this->share($walter, $edith, ['address' => 'theirs', 'addressId' => $lake])
            ->assertOk()
            ->assertJsonPath('addresses.addresses.*.lines', ['9 Lake Road']);
        // The other way round: somebody who was added in that moment uses what is here.
        $ada = $this->addPerson('Ada', 'Larkin');
        $this->share($edith, $ada, ['address' => 'ours', 'addressId' => $lake])
            ->assertOk()
            ->assertJsonCount(2, 'addresses.addresses');
        $this->getJson("/api/parties/{$ada->id}")
            ->assertJsonPath('addresses.addresses.0.lines', '9 Lake Road')
            ->assertJsonPath('addresses.addresses.0.sameAs.name', 'Edith Larkin');
        $this->assertContains('Address:  -> 9 Lake Road, Brattleboro, VT 05301, primary, same as Edith Larkin', $this->changesOf($ada));
    }

    public function test_a_link_that_was_removed_is_given_back_as_a_link(): void
    {
        [$edith, $walter] = [$this->addPerson('Edith', 'Larkin'), $this->addPerson('Walter', 'Larkin')];
        $hers = $this->saveSection($edith, 'reach', [
            'contactPoints' => [$this->contact('phone', '802-555-0190'), $this->contact('phone', '802-555-0191')],
        ])->json('reach.contactPoints');
        $row = ['sameAsId' => $hers[0]['id']] + $this->contact('phone', '802-555-0190');
        $this->saveSection($walter, 'reach', ['contactPoints' => [$row]])
            ->assertJsonPath('reach.contactPoints.0.sameAs.name', 'Edith Larkin')
            ->assertJsonPath('reach.contactPoints.0.sameAsId', $hers[0]['id']);
        $this->saveSection($walter, 'reach', ['contactPoints' => []], 1)->assertOk();
        // Undo sends what was there: its own number is gone, what it was linked to is not.
        $this->saveSection($walter, 'reach', ['contactPoints' => [['id' => 99] + $row]], 2)->assertJsonPath(
            'reach.contactPoints.0.sameAs.name',
            'Edith Larkin',
        );
        foreach ([['sameAsId' => $hers[1]['id']], ['sameAsId' => 999]] as $other) {
            $version = $this->getJson("/api/parties/{$walter->id}")->json('reach.version');
            $this->saveSection($walter, 'reach', ['contactPoints' => [$other + $row]], $version)
                ->assertOk()
                ->assertJsonPath('reach.contactPoints.0.sameAs', null);
        }
    }

    public function test_what_is_typed_is_known_by_whoever_has_it(): void
    {
        [$edith, $brass] = [$this->addPerson('Edith', 'Larkin'), $this->addCompany('Brass')];
        $this->saveSection($edith, 'reach', [
            'contactPoints' => [$this->contact('phone', '802-555-0190'), $this->contact('email', 'Edith@larkin.example')],
        ])->assertOk();
        $address = $this->saveSection($edith, 'addresses', [
            'addresses' => [
                $this->address([
                    'lines' => '14 Meridian Lane
South Dome',
                ]),
            ],
        ])->json('addresses.addresses.0.addressId');
        $this->getJson('/api/known/phones?typed=(802)+555+0190&exceptId='.$brass->id)->assertJsonPath('*.name', ['Edith Larkin']);
        $this->getJson('/api/known/phones?typed=802-555-0190&exceptId='.$edith->id)->assertExactJson([]);
        $this->getJson('/api/known/emails?typed=edith@LARKIN.example')->assertJsonPath('*.name', ['Edith Larkin']);
        foreach (
            [
                'phones?typed=802',
                'emails?typed=edith',
                'addresses?typed=14',
                'addresses?typed=14+Meridian&country=GB',
                'addresses?typed=Meridian',
                'addresses?typed=14+Meridian&exceptId='.$edith->id,
            ] as $nothing
        ) {
            $this->getJson("/api/known/$nothing")
                ->assertOk()
                ->assertExactJson([]);
        }
        $this->getJson('/api/known/addresses?typed=14+merid&country=US&exceptId='.$brass->id)
            ->assertJsonPath('0.addressId', $address)
            ->assertJsonPath('0.locality', 'Brattleboro')
            ->assertJsonPath('0.usedBy.*.name', ['Edith Larkin']);
        $this->getJson('/api/known/addresses?exceptId=x')->assertUnprocessable();
        $this->putJson("/api/parties/{$edith->id}/archive", ['reason' => 'closed'])->assertOk();
        $this->getJson('/api/known/addresses?typed=14+merid')->assertExactJson([]);
        $this->getJson('/api/known/phones?typed=802-555-0190')->assertExactJson([]);
    }

    public function test_a_phone_whose_source_goes_stays(): void
    {
        $edith = $this->addPerson('Edith', 'Larkin');
        $walter = $this->addPerson('Walter', 'Larkin');
        $this->saveSection($edith, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0190')]])->assertOk();
        $this->share($walter, $edith, ['phone' => 'theirs'])->assertOk();
        $this->saveSection($edith, 'reach', ['contactPoints' => []], 1)->assertOk();
        $this->getJson("/api/parties/{$walter->id}")
            ->assertJsonPath('reach.contactPoints.0.sameAs', null)
            ->assertJsonPath('reach.contactPoints.0.display', '(802) 555-0190');
    }

    /** @return array{Party, Party, Party} the company, who works there, and who will */
    private function firm(): array
    {
        $company = $this->addCompany('Brass');
        $lise = $this->addPerson('Lise', 'Brandt');
        $this->saveSection($company, 'positions', [
            'positions' => [
                $this->position($lise, [
                    'title' => 'Office manager',
                    'department' => 'Front desk',
                    'duties' => ['billing', 'site'],
                    'since' => '1 Jan 2020',
                    'isPrimary' => true,
                ]),
            ],
        ])->assertOk();

        return [$company, $lise, $this->addPerson('Sara', 'Holm')];
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function replace(array $input): TestResponse
    {
        $position = Position::query()->orderBy('id')->value('id');

        return $this->asAdministrator()->postJson("/api/positions/$position/replace", $input + ['since' => '', 'contactPointIds' => []]);
    }

    /**
     * @param array<string, mixed> $shares
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function share(Party $party, Party $with, array $shares): TestResponse
    {
        $record = $this->asAdministrator()
            ->getJson("/api/parties/{$party->id}")
            ->json('relations');
        $kept = array_map(
            fn (array $one) => [
                'id' => $one['id'],
                'partyId' => $one['party']['id'],
                'kind' => $one['kind'],
                'together' => $one['together'],
                'since' => '',
                'until' => '',
            ],
            (array) $record['relations'],
        );
        $row = ['id' => null, 'partyId' => $with->id, 'kind' => 'next of kin', 'together' => 'alone', 'since' => '', 'until' => ''];

        return $this->saveSection($party, 'relations', ['relations' => [...$kept, $shares + $row]], $record['version']);
    }
}
