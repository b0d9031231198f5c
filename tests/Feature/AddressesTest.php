<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Address;
use App\Models\Party;
use Tests\TestCase;

final class AddressesTest extends TestCase
{
    public function test_an_address_is_tidied_and_laid_out(): void
    {
        $company = $this->addCompany('Penhallow Observatory');
        $this->saveSection($company, 'addresses', [
            'addresses' => [$this->address(['region' => 'vermont', 'postcode' => '053011234', 'uses' => ['postal', 'billing']])],
        ])
            ->assertOk()
            ->assertJsonPath('addresses.addresses.0.text', ['14 Meridian Lane', 'Brattleboro, VT 05301-1234'])
            ->assertJsonPath('addresses.addresses.0.isPrimary', true)
            ->assertJsonPath('letter.envelope', ['Penhallow Observatory', '14 Meridian Lane', 'BRATTLEBORO, VT 05301-1234'])
            ->assertJsonPath('letter.fits', true);
    }

    public function test_what_is_wrong_is_told_at_its_part(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'addresses', ['addresses' => [
            $this->address(['postcode' => 'K1A 0B1']),
            $this->address(['since' => '31 February']),
            $this->address(['since' => '1 Mar', 'until' => '28 Feb']),
            $this->address(['country' => '', 'lines' => '']),
            $this->address(['linkedAddressId' => 999]),
        ]])->assertUnprocessable()->assertJsonPath('errors.*.field', [
            'addresses.0.postcode', 'addresses.1.since', 'addresses.2.until', 'addresses.3.country', 'addresses.4.linkedAddressId',
        ])->assertJsonPath('errors.1.message', 'There is no 31 February: February 2026 has 28 days.');
        $this->assertSame(0, Address::query()->count());
    }

    public function test_an_incomplete_address_is_kept_and_says_what_is_missing(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address(['lines' => '', 'postcode' => ''])]])
            ->assertOk()->assertJsonPath('addresses.addresses.0.missing', ['street', 'ZIP code']);
    }

    public function test_the_address_in_force_stands_on_the_envelope(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'addresses', ['addresses' => [
            $this->address(['lines' => 'Old Road 1', 'until' => '23 Nov 2026', 'isPrimary' => true]),
            $this->address(['lines' => 'New Road 2', 'since' => '11/24']),
        ]])->assertOk()
            ->assertJsonPath('addresses.addresses.*.period.isInForce', [false, true])
            ->assertJsonPath('addresses.addresses.1.period.text', 'since 24 Nov 2026')
            ->assertJsonPath('letter.envelope.1', 'New Road 2');
    }

    public function test_lists_show_where_they_are_today_and_who_is_still_there(): void
    {
        $company = $this->addCompany('Brass');
        $address = $this->saveSection($company, 'addresses', [
            'addresses' => [
                $this->address(['locality' => 'Putney', 'since' => '+7', 'isPrimary' => true]),
                $this->address(['country' => 'GB', 'locality' => 'Leeds', 'region' => '', 'postcode' => '', 'until' => '+6']),
            ],
        ])
            ->assertJsonPath('party.place', 'Leeds, GB')
            ->json('addresses.addresses.1.addressId');
        $this->getJson('/api/parties')->assertJsonPath('rows.0.place', 'Leeds, GB');
        $this->getJson('/api/find?q=Brass')->assertJsonPath('results.0.party.place', 'Leeds, GB');
        // A number without + is dialled where they are, not where they will be.
        $this->saveSection($company, 'reach', ['contactPoints' => [$this->contact('phone', '0113 496 0123')]])
            ->assertJsonPath('reach.contactPoints.0.value', '0113 496 0123')
            ->assertJsonPath('reach.contactPoints.0.display', '+44 113 496 0123');

        [$was, $is] = [$this->addPerson('Was', 'There'), $this->addPerson('Is', 'There')];
        $this->saveSection($was, 'addresses', [
            'addresses' => [$this->address(['linkedAddressId' => $address, 'until' => 'yesterday'])],
        ])->assertOk();
        $this->saveSection($is, 'addresses', ['addresses' => [$this->address(['linkedAddressId' => $address])]])
            ->assertOk()
            ->assertJsonPath('addresses.addresses.0.sharedWith.*.name', ['Brass']);
        $this->getJson("/api/parties/{$company->id}")->assertJsonPath('addresses.addresses.1.sharedWith.*.name', ['Is There']);
    }

    public function test_of_the_many_who_share_an_address_the_first_are_named(): void
    {
        $company = $this->addCompany('Brass');
        $address = $this->saveSection($company, 'addresses', ['addresses' => [$this->address()]])->json('addresses.addresses.0.addressId');
        foreach (range('A', 'N') as $given) {
            $person = $this->addPerson($given, 'There');
            $this->saveSection($person, 'addresses', ['addresses' => [$this->address(['linkedAddressId' => $address])]])->assertOk();
        }
        $shared = $this->getJson("/api/parties/{$company->id}")->json('addresses.addresses.0');
        $this->assertSame(['A There', 'L There'], [$shared['sharedWith'][0]['name'], $shared['sharedWith'][11]['name']]);
        $this->assertSame([12, 2], [count($shared['sharedWith']), $shared['sharedWithMore']]);
    }

    public function test_a_past_and_a_future_position_are_not_where_somebody_works(): void
    {
        [$first, $next] = [$this->addCompany('First'), $this->addCompany('Next')];
        $person = $this->addPerson('Silas', 'Wren');
        $this->saveSection($person, 'positions', [
            'positions' => [$this->position($next, ['since' => '+7', 'isPrimary' => true]), $this->position($first, ['until' => '+6'])],
        ])
            ->assertOk()
            ->assertJsonPath('party.position', 'First');
        config(['almanac.today' => '2026-12-10']);
        $this->getJson("/api/parties/{$person->id}")->assertJsonPath('party.position', 'Next');
    }

    public function test_a_change_at_the_owner_shows_at_everybody_who_uses_the_address(): void
    {
        [$edith, $walter, $addressId] = $this->household();
        $use = $this->getJson("/api/parties/{$edith->id}")->json('addresses.addresses.0');
        $this->saveSection(
            $edith,
            'addresses',
            ['addresses' => [$this->address(['id' => $use['id'], 'lines' => '23 Orchard Hill'])]],
            1,
        )->assertOk();

        $this->getJson("/api/parties/{$walter->id}")
            ->assertJsonPath('addresses.addresses.0.addressId', $addressId)
            ->assertJsonPath('addresses.addresses.0.lines', '23 Orchard Hill')
            ->assertJsonPath('addresses.version', 2);
        $this->assertSame(
            'Address: 14 Meridian Lane, Brattleboro, VT 05301, primary, same as Edith Larkin -> 23 Orchard Hill, Brattleboro, VT 05301, primary, same as Edith Larkin',
            $this->changesOf($walter)[0],
        );
        $this->assertSame(1, Address::query()->count());
    }

    public function test_an_address_of_its_own_leaves_the_linked_one_alone(): void
    {
        [$edith, $walter] = $this->household();
        $use = $this->getJson("/api/parties/{$walter->id}")->json('addresses.addresses.0');
        $this->saveSection($walter, 'addresses', ['addresses' => [$this->address(['id' => $use['id'], 'lines' => '9 Mill Street'])]], 1)
            ->assertOk()->assertJsonPath('addresses.addresses.0.sameAs', null);
        $this->getJson("/api/parties/{$edith->id}")
            ->assertJsonPath('addresses.addresses.0.lines', '14 Meridian Lane')
            ->assertJsonPath('addresses.addresses.0.sharedWith', []);
    }

    public function test_an_address_that_its_owner_gives_up_passes_to_who_still_uses_it(): void
    {
        [$edith, $walter] = $this->household();
        $this->saveSection($edith, 'addresses', ['addresses' => []], 1)->assertOk()->assertJsonPath('letter.envelope', []);
        $this->getJson("/api/parties/{$walter->id}")
            ->assertJsonPath('addresses.addresses.0.sameAs', null)
            ->assertJsonPath('addresses.addresses.0.lines', '14 Meridian Lane');
        $this->saveSection($walter, 'addresses', ['addresses' => []], 2)->assertOk();
        $this->assertSame(0, Address::query()->count(), 'an address that nobody uses goes');
    }

    public function test_undo_of_a_removal_brings_the_address_back(): void
    {
        $company = $this->addCompany('Brass');
        $use = $this->saveSection($company, 'addresses', ['addresses' => [$this->address()]])->json('addresses.addresses.0');
        $this->saveSection($company, 'addresses', ['addresses' => []], 1)->assertOk();
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address(['id' => $use['id']])]], 2)
            ->assertOk()->assertJsonPath('addresses.addresses.0.lines', '14 Meridian Lane');
    }

    /** @return array{Party, Party, int} Edith, who owns the address, Walter, who uses it by link, and the address */
    private function household(): array
    {
        $edith = $this->addPerson('Edith', 'Larkin');
        $walter = $this->addPerson('Walter', 'Larkin');
        $addressId = $this->saveSection($edith, 'addresses', ['addresses' => [$this->address()]])->json('addresses.addresses.0.addressId');
        $this->saveSection($walter, 'addresses', ['addresses' => [$this->address(['linkedAddressId' => $addressId])]])
            ->assertOk()->assertJsonPath('addresses.addresses.0.sameAs.id', $edith->id);

        return [$edith, $walter, $addressId];
    }
}
