<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ListItem;
use Tests\TestCase;

final class OfficeListsTest extends TestCase
{
    public function test_a_renamed_entry_is_renamed_where_it_is_used(): void
    {
        $company = $this->addCompany('Brass');
        $person = $this->addPerson('Silas', 'Wren');
        $this->saveSection($company, 'positions', [
            'positions' => [$this->position($person, ['duties' => ['site'], 'firstFor' => ['site']])],
        ])->assertOk();
        $this->saveSection($company, 'reach', [
            'contactPoints' => [
                $this->contact('phone', '802-555-0142', ['label' => 'mobile']),
                $this->contact('email', 'a@b.example', ['label' => 'mobile']),
            ],
        ])->assertOk();
        $this->rename('duties', 'site', 'at the site');
        $this->rename('phone-labels', 'mobile', 'cell');
        $this->getJson("/api/parties/{$company->id}")
            ->assertJsonPath('positions.positions.0.duties', ['at the site'])
            ->assertJsonPath('reach.contactPoints.*.label', ['cell', 'mobile']);
    }

    public function test_a_renamed_tag_is_found_by_its_new_name(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'classification', [
            'types' => [], 'tags' => ['carillons'], 'ownerId' => null, 'accountManagerId' => null, 'buyerId' => null,
            'source' => '', 'language' => '', 'grade' => null, 'codes' => [],
        ])->assertOk();
        $this->rename('tags', 'carillons', 'chimes');
        $this->getJson('/api/find?q=chimes')->assertJsonPath('results.0.reasons', ['tag chimes']);
        $this->getJson('/api/find?q=carillons')->assertJsonPath('results', []);
    }

    public function test_a_retired_entry_stays_where_it_is_and_is_offered_no_more(): void
    {
        $company = $this->addCompany('Brass');
        $person = $this->addPerson('Silas', 'Wren');
        $this->saveSection($company, 'positions', ['positions' => [$this->position($person, ['duties' => ['orders']])]])->assertOk();
        $orders = ListItem::query()->where('list', 'duties')->where('name', 'orders')->firstOrFail();
        $this->putJson("/api/list-items/{$orders->id}", ['name' => 'orders', 'inverse' => '', 'isRetired' => true])->assertOk();
        $this->getJson('/api/choices')->assertJsonPath('lists.2', [
            'list' => 'duties',
            'names' => ['accounts payable', 'billing', 'signatory', 'site', 'technical'],
        ]);
        $id = $this->getJson("/api/parties/{$company->id}")
            ->assertJsonPath('positions.positions.0.duties', ['orders'])
            ->json('positions.positions.0.id');
        $this->saveSection(
            $company,
            'positions',
            ['positions' => [$this->position($person, ['id' => $id, 'duties' => ['orders'], 'title' => 'Buyer'])]],
            1,
        )->assertOk();
        $this->getJson('/api/lists')->assertJsonPath('2.items.5', [
            'id' => $orders->id,
            'name' => 'orders',
            'inverse' => '',
            'isRetired' => true,
            'uses' => 1,
        ]);
    }

    public function test_the_office_has_relations_of_its_own(): void
    {
        $this->asAdministrator()->postJson('/api/lists/relation-kinds', ['name' => 'landlord', 'inverse' => 'tenant'])->assertCreated();
        $shop = $this->addCompany('Shop');
        $owner = $this->addPerson('Ada', 'Finch');
        $this->saveSection($shop, 'relations', [
            'relations' => [
                ['id' => null, 'partyId' => $owner->id, 'kind' => 'landlord', 'together' => 'alone', 'since' => '', 'until' => ''],
            ],
        ])->assertOk();
        $this->getJson("/api/parties/{$owner->id}")->assertJsonPath('relations.relations.0.kind', 'tenant');
        $this->getJson("/api/parties/{$shop->id}")->assertJsonPath('relations.relations.0.kind', 'landlord');
        // Told again from the other end, it stays one relation.
        $this->saveSection(
            $owner,
            'relations',
            [
                'relations' => [
                    ['id' => 1, 'partyId' => $shop->id, 'kind' => 'tenant', 'together' => 'alone', 'since' => '1 May', 'until' => ''],
                ],
            ],
            1,
        )->assertOk();
        $this->getJson("/api/parties/{$shop->id}")
            ->assertJsonPath('relations.relations.0.kind', 'landlord')
            ->assertJsonPath('relations.relations.0.period.text', 'since 1 May 2026');
        $this->rename('relation-kinds', 'landlord', 'lets to us', 'rents');
        $this->getJson("/api/parties/{$owner->id}")->assertJsonPath('relations.relations.0.kind', 'rents');
    }

    public function test_a_name_is_taken_once_and_never_empty(): void
    {
        $this->asAdministrator()->postJson('/api/lists/tags', ['name' => 'bells', 'inverse' => ''])->assertCreated();
        $this->postJson('/api/lists/tags', ['name' => ' bells ', 'inverse' => ''])->assertUnprocessable()
            ->assertJsonPath('errors.0.message', '“bells” is in the list already.');
        $this->postJson('/api/lists/tags', ['name' => ' ', 'inverse' => ''])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'Type a name for it.');
        $this->postJson('/api/lists/nothing', ['name' => 'x', 'inverse' => ''])->assertNotFound();
    }

    public function test_the_first_to_be_asked_is_one_at_each_company(): void
    {
        $company = $this->addCompany('Brass');
        [$silas, $ada] = [$this->addPerson('Silas', 'Wren'), $this->addPerson('Ada', 'Finch')];
        $rows = [$this->position($silas, ['duties' => ['billing']]), $this->position($ada, ['duties' => ['billing', 'site']])];
        $saved = $this->saveSection($company, 'positions', ['positions' => $rows])->assertOk()->json('positions.positions');
        $this->assertSame([['billing'], []], array_column($saved, 'firstFor'));
        $this->saveSection(
            $ada,
            'positions',
            [
                'positions' => [
                    $this->position($company, ['id' => $saved[1]['id'], 'duties' => ['billing', 'site'], 'firstFor' => ['billing']]),
                ],
            ],
            1,
        )
            ->assertOk()
            ->assertJsonPath('positions.positions.0.firstFor', ['billing']);
        $this->getJson("/api/parties/{$silas->id}")->assertJsonPath('positions.positions.0.firstFor', []);
    }

    private function rename(string $list, string $from, string $to, string $inverse = ''): void
    {
        $item = ListItem::query()->where('list', $list)->where('name', $from)->firstOrFail();
        $this->asAdministrator()
            ->putJson("/api/list-items/{$item->id}", ['name' => $to, 'inverse' => $inverse, 'isRetired' => false])
            ->assertOk();
    }
}
