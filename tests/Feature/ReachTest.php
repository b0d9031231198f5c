<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

final class ReachTest extends TestCase
{
    public function test_contact_points_are_kept_as_typed_and_shown_for_reading(): void
    {
        $company = $this->addCompany('Penhallow Observatory');
        $this->saveSection($company, 'reach', ['contactPoints' => [
            $this->contact('phone', '802.555.0142 x 5'),
            $this->contact('email', 'Office@Penhallow.Example', ['uses' => ['invoices']]),
            $this->contact('website', 'www.penhallow.example'),
        ]])->assertOk()
            ->assertJsonPath('reach.version', 1)
            ->assertJsonPath('reach.contactPoints.*.value', ['802.555.0142 x 5', 'Office@Penhallow.Example', 'www.penhallow.example'])
            ->assertJsonPath('reach.contactPoints.*.display', [
                '(802) 555-0142 ext. 5',
                'Office@penhallow.example',
                'www.penhallow.example',
            ])
            ->assertJsonPath('reach.contactPoints.*.uri', [
                'tel:+18025550142;ext=5',
                'mailto:Office@penhallow.example',
                'https://www.penhallow.example',
            ])
            ->assertJsonPath('reach.contactPoints.*.isPrimary', [true, true, true])
            ->assertJsonPath('reach.contactPoints.1.uses', ['invoices']);
    }

    public function test_each_wrong_value_is_told_at_its_line_and_nothing_is_saved(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'reach', [
            'contactPoints' => [
                $this->contact('phone', 'letters'),
                $this->contact('email', 'a@b@c.example'),
                $this->contact('phone', '802-555-0142'),
                $this->contact('website', 'javascript:alert(1)'),
            ],
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['contactPoints.0.value', 'contactPoints.1.value', 'contactPoints.3.value']);
        $this->getJson("/api/parties/{$company->id}")->assertJsonPath('reach', [
            'version' => 0,
            'contactPoints' => [],
            'localTime' => null,
        ]);
    }

    public function test_the_region_comes_from_the_address(): void
    {
        $company = $this->addCompany('Tarn & Whitlow');
        $this->saveSection($company, 'addresses', [
            'addresses' => [$this->address(['country' => 'GB', 'region' => '', 'postcode' => 'E1 1AA'])],
        ])->assertOk();
        $this->saveSection($company, 'reach', ['contactPoints' => [$this->contact('phone', '020 7946 0321')]])
            ->assertOk()
            ->assertJsonPath('reach.contactPoints.0.display', '+44 20 7946 0321');
    }

    public function test_a_number_stays_what_it_was_after_a_move_abroad(): void
    {
        $company = $this->addCompany('Brass');
        $id = $this->saveSection($company, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0142')]])->json(
            'reach.contactPoints.0.id',
        );
        $this->saveSection($company, 'addresses', [
            'addresses' => [$this->address(['country' => 'GB', 'region' => '', 'postcode' => 'E1 1AA'])],
        ])->assertOk();
        $this->saveSection(
            $company,
            'reach',
            ['contactPoints' => [$this->contact('phone', '802-555-0142', ['id' => $id, 'label' => 'direct'])]],
            1,
        )
            ->assertOk()
            ->assertJsonPath('reach.contactPoints.0.uri', 'tel:+18025550142');
    }

    public function test_when_the_primary_goes_the_next_is_promoted_and_the_log_says_so(): void
    {
        $company = $this->addCompany('Brass');
        $kept = $this->saveSection($company, 'reach', ['contactPoints' => [
            $this->contact('phone', '802-555-0142'), $this->contact('phone', '802-555-0143'),
        ]])->json('reach.contactPoints');
        $this->saveSection($company, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0143', ['id' => $kept[1]['id']])]], 1)
            ->assertOk()->assertJsonPath('reach.contactPoints.*.isPrimary', [true]);
        $this->assertSame([
            'Phone: (802) 555-0143, office -> (802) 555-0143, office, primary',
            'Phone: (802) 555-0142, office, primary -> ',
        ], array_slice($this->changesOf($company), 0, 2));
    }

    public function test_a_line_of_another_record_cannot_be_taken_over(): void
    {
        $one = $this->addCompany('One');
        $other = $this->addCompany('Other');
        $id = $this->saveSection($one, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0142')]])->json(
            'reach.contactPoints.0.id',
        );
        $this->saveSection($other, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0199', ['id' => $id])]])->assertOk();
        $this->getJson("/api/parties/{$one->id}")->assertJsonPath('reach.contactPoints.0.value', '802-555-0142');
        $this->getJson("/api/parties/{$other->id}")->assertJsonPath('reach.contactPoints.0.value', '802-555-0199');
    }

    public function test_wrong_types_and_too_much_are_refused(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'reach', ['contactPoints' => 'none'])->assertUnprocessable();
        $this->saveSection($company, 'reach', ['contactPoints' => [['kind' => 'phone']]])->assertUnprocessable();
        $this->saveSection($company, 'reach', ['contactPoints' => [$this->contact('pager', '1')]])->assertUnprocessable();
        $this->saveSection($company, 'reach', [
            'contactPoints' => [$this->contact('phone', '802-555-0142', ['isPrimary' => 'yes'])],
        ])->assertUnprocessable();
        $this->saveSection($company, 'reach', [
            'contactPoints' => array_fill(0, 101, $this->contact('phone', '802-555-0142')),
        ])->assertUnprocessable();
        $this->saveSection($company, 'reach', [
            'contactPoints' => [$this->contact('email', str_repeat('a', 5000).'@b.example')],
        ])->assertUnprocessable();
        $this->putJson("/api/parties/{$company->id}/reach", ['contactPoints' => [], 'localTime' => null])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'version');
    }

    public function test_two_emails_may_have_the_same_use_and_a_use_is_kept_once(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'reach', ['contactPoints' => [
            $this->contact('email', 'a@b.example', ['uses' => ['invoices', 'invoices']]),
            $this->contact('email', 'c@b.example', ['uses' => ['invoices', 'statement-copies']]),
        ]])->assertOk()->assertJsonPath('reach.contactPoints.*.uses', [['invoices'], ['invoices', 'statement-copies']]);
    }

    public function test_handles_and_profiles_are_kept_too(): void
    {
        $person = $this->addPerson('Silas', 'Wren');
        $this->saveSection($person, 'reach', ['contactPoints' => [
            $this->contact('handle', ' @silas.wren ', ['label' => 'signal flags']),
            $this->contact('profile', 'social.example/silas'),
        ]])->assertOk()
            ->assertJsonPath('reach.contactPoints.*.display', ['@silas.wren', 'social.example/silas'])
            ->assertJsonPath('reach.contactPoints.*.uri', ['', 'https://social.example/silas']);
        $this->saveSection($person, 'reach', ['contactPoints' => [$this->contact('handle', 'two words')]], 1)
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.0.message',
                '“two words” is not a handle: there is a space in it. Name the service in the label instead.',
            );
        $this->getJson('/api/find?q=silas.wren')->assertJsonPath('results.0.party.id', $person->id);
    }

    public function test_a_company_of_several_offices_is_reached_at_each(): void
    {
        $company = $this->addCompany('Brass');
        $uses = $this->saveSection($company, 'addresses', [
            'addresses' => [$this->address(), $this->address(['lines' => '2 New Street', 'locality' => 'Putney', 'postcode' => '05346'])],
        ])
            ->assertOk()
            ->json('addresses.addresses');
        $rows = [$this->contact('phone', '802-555-0142', ['addressUseId' => $uses[1]['id']]), $this->contact('phone', '802-555-0143')];
        $this->saveSection($company, 'reach', ['contactPoints' => $rows])->assertOk()
            ->assertJsonPath('reach.contactPoints.*.atText', ['2 New Street, Putney', '']);
        $this->assertContains('Phone:  -> (802) 555-0142, office, at 2 New Street, Putney, primary', $this->changesOf($company));
        $this->saveSection($company, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0142', ['addressUseId' => 999])]], 1)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'contactPoints.0.addressUseId',
                'message' => 'That address is no longer kept. Choose another.',
            ]);
        // An office that is given up leaves the phone.
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address(['id' => $uses[0]['id']])]], 1)->assertOk()
            ->assertJsonPath('reach.contactPoints.0.atText', '');
    }
}
