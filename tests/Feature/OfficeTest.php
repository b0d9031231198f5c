<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\User;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

final class OfficeTest extends TestCase
{
    private const TOBIAS = [
        'name' => 'Tobias Reed',
        'email' => 'Tobias@OrreryVane.example',
        'role' => 'clerk',
        'password' => 'second-hand-12',
    ];

    public function test_a_colleague_is_added_and_signs_in(): void
    {
        $this->asAdministrator()->postJson('/api/users', self::TOBIAS)->assertCreated()
            ->assertJsonPath('*.name', ['Maud Ferris', 'Tobias Reed'])
            ->assertJsonPath('1.email', 'tobias@orreryvane.example');
        $this->app['auth']->forgetGuards();
        $this->withHeader('Referer', 'http://localhost/')
            ->postJson('/api/session', ['email' => 'tobias@orreryvane.example', 'password' => 'second-hand-12'])->assertOk()
            ->assertJson(['role' => 'clerk', 'mayChangeRecords' => true, 'mayRunOffice' => false]);
    }

    public function test_what_is_missing_is_told_at_its_field(): void
    {
        $this->asAdministrator()->postJson('/api/users', ['name' => '', 'email' => 'no', 'role' => 'king', 'password' => 'short'])
            ->assertUnprocessable()->assertJsonPath('errors.*.field', ['name', 'email', 'role', 'password']);
        $this->postJson('/api/users', ['email' => 'MAUD@orreryvane.example'] + self::TOBIAS)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'email', 'message' => 'Somebody signs in with that email already.']);
    }

    public function test_a_retired_colleague_is_out_at_once_and_stays_in_the_log(): void
    {
        $clerk = $this->user(Role::Clerk);
        $token = $clerk->createToken('script')->plainTextToken;
        $company = $this->addCompany('Brass');
        $this->actingAs($clerk);
        $this->saveSection($company, 'client-terms', ['listedId' => null, 'shorthand' => 'net 7'])->assertOk();

        $this->asAdministrator()
            ->putJson("/api/users/{$clerk->id}", ['name' => 'Clerk', 'role' => 'clerk', 'password' => '', 'isRetired' => true])
            ->assertOk();
        $this->actingAs($clerk->refresh())->getJson('/api/parties')->assertUnauthorized();
        $this->getJson('/api/session')->assertJson(['userName' => null]);
        $this->app['auth']->forgetGuards();
        $this->withToken($token)->getJson('/api/parties')->assertUnauthorized();
        $this->withHeader('Referer', 'http://localhost/')
            ->postJson('/api/session', ['email' => $clerk->email, 'password' => self::PASSWORD])->assertUnprocessable();
        $this->asAdministrator()->getJson("/api/parties/{$company->id}")->assertJsonPath('lastChange.by', 'Clerk');

        $this->putJson("/api/users/{$clerk->id}", [
            'name' => 'Clerk',
            'role' => 'reader',
            'password' => 'new-password-1',
            'isRetired' => false,
        ])->assertOk();
        $this->app['auth']->forgetGuards();
        $this->postJson('/api/session', ['email' => $clerk->email, 'password' => 'new-password-1'])
            ->assertOk()
            ->assertJson(['role' => 'reader']);
    }

    /** @param  array<string, mixed>  $change */
    #[TestWith([['role' => 'clerk']])]
    #[TestWith([['isRetired' => true]])]
    public function test_the_last_administrator_stays(array $change): void
    {
        $input = $change + ['name' => 'Maud Ferris', 'role' => 'administrator', 'password' => '', 'isRetired' => false];
        $this->asAdministrator()
            ->putJson("/api/users/{$this->administrator->id}", $input)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0', [
                'field' => 'role',
                'message' => 'The office needs an administrator. Make somebody else one first.',
            ]);
        $this->user(Role::Administrator);
        $this->putJson("/api/users/{$this->administrator->id}", $input)->assertOk();
        $this->assertSame(2, User::query()->count());
    }

    public function test_nobody_but_an_administrator_runs_the_office(): void
    {
        foreach ([Role::Clerk, Role::Approver, Role::Reader] as $role) {
            $this->actingAs($this->user($role));
            $this->getJson('/api/users')->assertForbidden();
            $this->postJson('/api/users', self::TOBIAS)->assertForbidden();
            $this->putJson('/api/users/1', [])->assertForbidden();
            $this->putJson('/api/office', ['name' => 'Mine', 'country' => 'US'])->assertForbidden();
        }
    }

    public function test_the_office_gets_a_new_name_address_and_formats(): void
    {
        $office = $this->asAdministrator()
            ->getJson('/api/office')
            ->assertOk()
            ->assertJson(['name' => 'Orrery & Vane', 'country' => 'US', 'monthFirst' => true, 'currency' => 'USD', 'lines' => ''])
            ->json();
        $this->putJson(
            '/api/office',
            [
                'name' => 'Orrery, Vane & Reed',
                'country' => 'GB',
                'lines' => "Old Bell Yard\n5 Foundry Row",
                'locality' => 'London',
                'postcode' => 'e11aa',
                'monthFirst' => false,
            ] + $office,
        )
            ->assertOk()
            ->assertJson(['officeName' => 'Orrery, Vane & Reed', 'officeCountry' => 'GB']);
        $this->getJson('/api/office')->assertJson(['postcode' => 'E1 1AA', 'currency' => 'GBP', 'monthFirst' => false]);
        $person = $this->addPerson('Edith', 'Larkin');
        $identity = $this->getJson("/api/parties/{$person->id}")->json('identity');
        $this->saveSection($person, 'identity', ['deceasedOn' => '3/4/2026'] + $identity)->assertJsonPath(
            'identity.deceasedOn',
            '3 Apr 2026',
        );
        $this->putJson('/api/office', ['name' => '', 'postcode' => '05301'] + $office)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'name');
        $this->putJson('/api/office', ['country' => 'GB', 'postcode' => '05301'] + $office)
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'postcode');
    }
}
