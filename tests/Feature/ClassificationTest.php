<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\ListItem;
use App\Models\Party;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class ClassificationTest extends TestCase
{
    public function test_everything_is_kept_logged_and_found(): void
    {
        $company = $this->addCompany('Brass Lantern Foundry');
        $this->classify($company, [
            'types' => ['contractor', 'subcontractor'],
            'tags' => ['bells', 'Bristol fair'],
            'ownerId' => $this->administrator->id,
            'source' => 'trade fair',
            'language' => 'de',
            'grade' => 4,
            'codes' => [
                ['id' => null, 'system' => 'their number with us', 'value' => 'V-77012'],
                ['id' => null, 'system' => 'ledger', 'value' => 'BLF1'],
            ],
        ])
            ->assertOk()
            ->assertJsonPath('classification.types', ['contractor', 'subcontractor'])
            ->assertJsonPath('classification.owner.own.name', 'Maud Ferris')
            ->assertJsonPath('classification.languageName', 'German')
            ->assertJsonPath('classification.codes.0.value', 'V-77012');
        $changes = $this->changesOf($company);
        foreach (
            ['Types:  -> contractor, subcontractor', 'Grade:  -> 4', 'Ledger:  -> BLF1', 'Looked after by:  -> Maud Ferris'] as $change
        ) {
            $this->assertContains($change, $changes);
        }
        $this->getJson('/api/find?q=bristol')->assertJsonPath('results.0.reasons', ['tag Bristol fair']);
        $this->getJson('/api/find?q=77012')->assertJsonPath('results.0.reasons', ['number elsewhere V-77012']);
        $this->assertSame(1, ListItem::query()->where('list', 'tags')->where('name', 'bells')->count(), 'a tag is made by using it');
    }

    public function test_what_cannot_be_is_told_at_its_field(): void
    {
        $company = $this->addCompany('Brass');
        $this->classify($company, [
            'types' => ['wizard'], 'tags' => [str_repeat('x', 61)], 'ownerId' => 999, 'language' => 'qq', 'grade' => 6,
            'codes' => [['id' => null, 'system' => '', 'value' => '']],
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['types', 'tags', 'ownerId', 'language', 'grade', 'codes.0.system', 'codes.0.value'])
            ->assertJsonPath('errors.4.message', 'Choose a grade from 1 to 5.');
        $this->assertSame(0, $company->listItems()->count());
    }

    public function test_people_take_their_account_manager_over_from_the_company_and_it_from_its_parent(): void
    {
        $clerk = $this->user(Role::Clerk);
        $group = $this->addCompany('Lantern Group');
        $company = $this->addCompany('Brass Lantern Foundry');
        $person = $this->addPerson('Silas', 'Wren', ['companyId' => $company->id]);
        $this->saveSection($company, 'relations', [
            'relations' => [
                [
                    'id' => null,
                    'partyId' => $group->id,
                    'kind' => 'parent company',
                    'together' => 'alone',
                    'since' => '',
                    'until' => '',
                ],
            ],
        ])->assertOk();
        $this->classify($group, ['accountManagerId' => $clerk->id])->assertOk();
        $this->getJson("/api/parties/{$person->id}")
            ->assertJsonPath('classification.accountManager.inForce.name', 'Clerk')
            ->assertJsonPath('classification.accountManager.from', 'Lantern Group')
            ->assertJsonPath('classification.accountManager.own', null);
        $this->classify($company, ['accountManagerId' => $this->administrator->id])->assertOk();
        $this->getJson("/api/parties/{$person->id}")
            ->assertJsonPath('classification.accountManager.inForce.name', 'Maud Ferris')
            ->assertJsonPath('classification.accountManager.from', 'Brass Lantern Foundry');
        $this->classify($person, ['accountManagerId' => $clerk->id])->assertOk()
            ->assertJsonPath('classification.accountManager.own.name', 'Clerk')
            ->assertJsonPath('classification.accountManager.from', '');
    }

    public function test_who_looks_after_a_company_looks_after_its_branches_and_people_until_they_have_somebody_of_their_own(): void
    {
        $clerk = $this->user(Role::Clerk);
        [$group, $company] = [$this->addCompany('Lantern Group'), $this->addCompany('Brass Lantern Foundry')];
        $person = $this->addPerson('Silas', 'Wren', ['companyId' => $company->id]);
        $this->classify($group, ['ownerId' => $clerk->id])->assertOk();
        $gaps = fn () => array_column((array) $this->actingAs($clerk)->getJson('/api/today')->json('gaps'), 'party');
        $names = function () use ($gaps): array {
            $names = array_column($gaps(), 'displayName');
            $this->asAdministrator();
            sort($names);

            return $names;
        };
        $this->assertSame(['Lantern Group'], $names());
        $parent = [
            'id' => null,
            'partyId' => $group->id,
            'kind' => 'parent company',
            'together' => 'alone',
            'since' => '',
            'until' => '',
        ];
        $this->saveSection($company, 'relations', ['relations' => [$parent]])
            ->assertOk()
            ->assertJsonPath('classification.owner.inForce.name', 'Clerk')
            ->assertJsonPath('classification.owner.from', 'Lantern Group');
        $this->assertSame(['Brass Lantern Foundry', 'Lantern Group', 'Silas Wren'], $names());
        $this->classify($person, ['ownerId' => $this->administrator->id])->assertOk();
        $this->assertSame(['Brass Lantern Foundry', 'Lantern Group'], $names());
        $this->classify($group, [], 1)->assertOk();
        $this->assertSame([], $names());
        $this->classify($group, ['ownerId' => $clerk->id], 2)->assertOk();
        $this->saveSection($company, 'relations', ['relations' => []], 1)->assertOk()->assertJsonPath('classification.owner.inForce', null);
        $this->assertSame(['Lantern Group'], $names());
    }

    public function test_companies_that_own_each_other_end(): void
    {
        $one = $this->addCompany('One');
        $two = $this->addCompany('Two');
        foreach ([[$one, $two], [$two, $one]] as $n => [$from, $to]) {
            $rows =
                $n === 0
                    ? []
                    : [
                        [
                            'id' => 1,
                            'partyId' => $one->id,
                            'kind' => 'subsidiary',
                            'together' => 'alone',
                            'since' => '',
                            'until' => '',
                        ],
                    ];
            $this->saveSection(
                $from,
                'relations',
                [
                    'relations' => [
                        ...$rows,
                        [
                            'id' => null,
                            'partyId' => $to->id,
                            'kind' => 'parent company',
                            'together' => 'alone',
                            'since' => '',
                            'until' => '',
                        ],
                    ],
                ],
                $n,
            )->assertOk();
        }
        $this->getJson("/api/parties/{$one->id}")->assertOk()->assertJsonPath('classification.buyer.inForce', null);
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function classify(Party $party, array $more, int $version = 0): TestResponse
    {
        return $this->saveSection($party, 'classification', $more + [
            'types' => [], 'tags' => [], 'ownerId' => null, 'accountManagerId' => null, 'buyerId' => null,
            'source' => '', 'language' => '', 'grade' => null, 'codes' => [],
        ], $version);
    }
}
