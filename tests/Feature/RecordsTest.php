<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Party;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

final class RecordsTest extends TestCase
{
    public function test_it_says_since_when_it_is_in_the_book_and_what_happened_last(): void
    {
        $company = $this->addCompany('Penhallow', ['isClient' => true]);
        $read = fn () => $this->getJson("/api/parties/{$company->id}")->assertOk();
        $read()
            ->assertJsonPath('added.by', 'Maud Ferris')
            ->assertJsonPath('added.at', fn (string $at) => str_starts_with($at, '2026-11-24T'))
            ->assertJsonPath('lastHappening', null);
        $this->postJson("/api/parties/{$company->id}/entries", [
            'kind' => 'call',
            'day' => '',
            'withPartyId' => null,
            'text' => "They ring back.\nTomorrow.",
            'isPinned' => false,
        ])->assertSuccessful();
        $read()->assertJsonPath('lastHappening.text', 'Call: They ring back.');
        config(['almanac.today' => '2026-11-25']);
        $this->issued($company, 'invoice', '100');
        $read()
            ->assertJsonPath('lastHappening.text', 'Invoice I2026-0001: issued as I2026-0001')
            ->assertJsonPath('lastHappening.by', 'Maud Ferris');
        config(['almanac.today' => '2026-11-26']);
        $this->pay($company, '60')->assertCreated();
        $read()
            ->assertJsonPath('lastHappening.text', 'Payment of USD 60.00')
            ->assertJsonPath('added.at', fn (string $at) => str_starts_with($at, '2026-11-24T'));
    }

    public function test_a_company_is_added_and_numbered(): void
    {
        $first = $this->addCompany('Brass Lantern Foundry', ['legal' => 'Brass Lantern Foundry LLC', 'isVendor' => true]);
        $second = $this->addCompany('Hollow Pine Timber Yard');
        $this->assertSame([1001, 1002], [$first->number, $second->number]);
        $this->asAdministrator()->getJson("/api/parties/{$first->id}")->assertOk()
            ->assertJsonPath('party.displayName', 'Brass Lantern Foundry')
            ->assertJsonPath('party.isVendor', true)
            ->assertJsonPath('identity.legal', 'Brass Lantern Foundry LLC')
            ->assertJsonPath('lastChange.by', 'Maud Ferris');
        $this->assertSame(['Record:  -> added as Brass Lantern Foundry'], $this->changesOf($first));
    }

    public function test_a_person_added_from_a_company_is_tied_to_it_and_uses_its_address_by_link(): void
    {
        $company = $this->addCompany('Brass Lantern Foundry');
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $person = $this->addPerson('Silas', 'Wren', ['companyId' => $company->id, 'title' => 'Foundry manager']);

        $record = $this->getJson("/api/parties/{$person->id}")->assertOk();
        $record->assertJsonPath('positions.positions.0.party.id', $company->id)
            ->assertJsonPath('positions.positions.0.title', 'Foundry manager')
            ->assertJsonPath('positions.positions.0.isPrimary', true)
            ->assertJsonPath('addresses.addresses.0.sameAs.name', 'Brass Lantern Foundry')
            ->assertJsonPath('letter.envelope', ['Silas Wren', 'Brass Lantern Foundry', '14 Meridian Lane', 'BRATTLEBORO, VT 05301']);
        $this->getJson("/api/parties/{$company->id}")
            ->assertJsonPath('positions.positions.0.party.id', $person->id)
            ->assertJsonPath('addresses.addresses.0.sharedWith.0.name', 'Silas Wren');
        $this->assertSame('Position:  -> Silas Wren, Foundry manager, primary', $this->changesOf($company)[0]);
        $this->assertSame([
            'Record:  -> added as Silas Wren',
            'Address:  -> 14 Meridian Lane, Brattleboro, VT 05301, primary, same as Brass Lantern Foundry',
            'Position:  -> Brass Lantern Foundry, Foundry manager, primary',
        ], $this->changesOf($person));
    }

    /** @param  array<string, mixed>  $input */
    #[TestWith([['kind' => 'company', 'name' => ' '], 'name', 'Type the company’s name.'])]
    #[TestWith([['kind' => 'person'], 'given', 'Type a given name or a family name.'])]
    #[
        TestWith([
            ['kind' => 'person', 'given' => 'A', 'companyId' => 99],
            'companyId',
            'That company is no longer in use. Add the person by itself.',
        ]),
    ]
    #[TestWith([['kind' => 'robot', 'name' => 'R'], 'kind', 'The selected kind is invalid.'])]
    #[TestWith([['kind' => 'company', 'name' => ['a']], 'name', 'The name field must be a string.'])]
    public function test_what_cannot_be_added_is_told_at_its_field(array $input, string $field, string $message): void
    {
        $this->asAdministrator()->postJson('/api/parties', $input + ['isClient' => false, 'isVendor' => false])
            ->assertUnprocessable()
            ->assertHeader('Content-Type', 'application/problem+json')
            ->assertJsonPath('errors.0', ['field' => $field, 'message' => $message]);
        $this->assertSame(0, Party::query()->count());
    }

    public function test_a_name_of_300_characters_is_refused_and_200_are_kept(): void
    {
        $this->asAdministrator()
            ->postJson('/api/parties', ['kind' => 'company', 'name' => str_repeat('x', 300), 'isClient' => false, 'isVendor' => false])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'That is 300 characters long; the limit is 200. Shorten it, and keep the rest in a note.');
        $this->assertSame(str_repeat('é', 200), $this->addCompany(str_repeat('é', 200))->display_name);
    }

    public function test_saving_says_what_changed_and_who_did_it(): void
    {
        $person = $this->addPerson('Silas', 'Wren');
        $this->actingAs($this->user(Role::Clerk));
        $this->saveSection($person, 'identity', [
            'prefix' => 'Mr.',
            'given' => 'Silas',
            'middle' => 'A.',
            'family' => 'Wren',
            'suffix' => '',
            'preferred' => '',
            'isClient' => true,
            'isVendor' => false,
        ])
            ->assertOk()
            ->assertJsonPath('party.displayName', 'Mr. Silas A. Wren')
            ->assertJsonPath('identity.version', 1)
            ->assertJsonPath('lastChange.by', 'Clerk')
            ->assertJsonPath('lastChange.at', fn (string $at) => str_starts_with($at, '2026-11-24T'));
        $this->assertSame(
            ['Client: no -> yes', 'Middle name:  -> A.', 'Title before the name:  -> Mr.'],
            array_slice($this->changesOf($person), 0, 3),
        );
    }

    public function test_saving_what_is_there_already_changes_nothing(): void
    {
        $company = $this->addCompany('Brass');
        $input = ['name' => 'Brass', 'legal' => '', 'isClient' => false, 'isVendor' => false];
        $this->saveSection($company, 'identity', $input)->assertOk()->assertJsonPath('identity.version', 0);
        $this->assertCount(1, $this->changesOf($company));
    }

    public function test_the_second_of_two_who_save_one_section_is_told_and_sees_both(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'identity', [
            'name' => 'Brass & Sons',
            'legal' => '',
            'isClient' => true,
            'isVendor' => false,
        ])->assertOk();

        $this->actingAs($this->user(Role::Clerk));
        $mine = ['name' => 'Brass & Daughters', 'legal' => '', 'isClient' => false, 'isVendor' => false];
        $this->saveSection($company, 'identity', $mine)->assertConflict()
            ->assertHeader('Content-Type', 'application/problem+json')
            ->assertJsonPath('version', 1)
            ->assertJsonPath('savedBy', 'Maud Ferris')
            ->assertJsonPath('differences', [
                ['label' => 'Name', 'theirs' => 'Brass & Sons', 'yours' => 'Brass & Daughters'],
                ['label' => 'Client', 'theirs' => 'yes', 'yours' => 'no'],
            ]);
        $this->assertSame('Brass & Sons', $company->refresh()->display_name, 'nothing was written');

        $this->saveSection($company, 'identity', $mine, version: 1)->assertOk()->assertJsonPath('party.displayName', 'Brass & Daughters');
    }

    public function test_two_sections_do_not_get_in_each_others_way(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'identity', [
            'name' => 'Brass & Sons',
            'legal' => '',
            'isClient' => false,
            'isVendor' => false,
        ])->assertOk();
        $this->saveSection($company, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0142')]])->assertOk();
    }

    public function test_the_directory_is_in_filing_order_whatever_the_letters(): void
    {
        $this->addPerson('Zoë', 'Ångström');
        $this->addPerson('Abe', 'zimmer');
        $this->addCompany('The Bell Trust');
        $this->addCompany('élan');
        $this->asAdministrator()->getJson('/api/parties')->assertOk()
            ->assertJsonPath('total', 4)
            ->assertJsonPath('rows.*.fileAs', ['Ångström, Zoë', 'Bell Trust, The', 'élan', 'zimmer, Abe']);
    }

    public function test_the_log_comes_in_stretches(): void
    {
        $company = $this->addCompany('Brass');
        for ($n = 0; $n < 35; $n++) {
            $this->saveSection(
                $company,
                'identity',
                ['name' => "Brass $n", 'legal' => '', 'isClient' => false, 'isVendor' => false],
                $n,
            )->assertOk();
        }
        $first = $this->getJson("/api/parties/{$company->id}/changes")->assertJsonCount(30, 'changes');
        $this->assertSame('Brass 34', $first->json('changes.0.to'));
        $this->getJson("/api/parties/{$company->id}/changes?before=".$first->json('before'))
            ->assertJsonCount(6, 'changes')->assertJsonPath('before', null);
    }
}
