<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\TaxNumber;
use Tests\TestCase;

final class ReadinessTest extends TestCase
{
    public function test_a_record_says_what_it_lacks_and_the_worklist_keeps_up(): void
    {
        $company = $this->addCompany('Brass Lantern Foundry', ['isVendor' => true]);
        $this->getJson("/api/parties/{$company->id}")
            ->assertJsonPath('readiness.*.purpose', ['write-to', 'pay', 'tax-report'])
            ->assertJsonPath('readiness.1.passed', 5)
            ->assertJsonPath('readiness.1.applicable', 6)
            ->assertJsonPath('readiness.1.checks.2.todo', 'Add bank details, or mark the address that payments go to as remit-to.');
        $this->getJson('/api/gaps')->assertJsonPath('total', 1)->assertJsonPath('rows.0.party.id', $company->id);

        $this->saveSection($company, 'addresses', ['addresses' => [$this->address(['uses' => ['remit-to']])]])
            ->assertOk()->assertJsonPath('readiness.*.passed', [5, 6, 2])
            ->assertJsonPath('readiness.2.checks.0.todo', 'Ask for the tax number, and keep it.');
        $this->saveSection($company, 'tax-numbers', [
            'taxNumbers' => [['id' => null, 'kind' => 'EIN', 'country' => '', 'value' => '91-1144442']],
        ])
            ->assertOk()
            ->assertJsonPath('readiness.*.passed', [5, 6, 3])
            ->assertJsonPath('readiness.2.checks.1.todo', 'Ask for form W-9, and say when it came in.');
        $this->saveSection($company, 'tax-numbers', [
            'taxNumbers' => [['id' => TaxNumber::query()->value('id'), 'kind' => 'EIN', 'country' => '', 'value' => null]],
            'formOn' => 'nov 3', 'formBy' => 'Iris Brandt', 'formFileId' => null, 'reportChoice' => 'by-rule', 'isAttorney' => false,
        ], 1)->assertOk()->assertJsonPath('readiness.*.passed', [5, 6, 4])->assertJsonPath('taxNumbers.formOnText', '3 Nov 2026');
        $this->getJson('/api/gaps')->assertJsonPath('total', 0);

        $id = $this->postJson("/api/parties/{$company->id}/cautions", [
            'level' => 'stop',
            'use' => 'paying',
            'text' => 'disputed',
            'since' => '',
            'until' => '',
        ])
            ->assertCreated()
            ->assertJsonPath('readiness.1.passed', 5)
            ->json('cautions.0.id');
        $this->getJson('/api/gaps')->assertJsonPath('total', 1);
        $this->deleteJson("/api/parties/{$company->id}/cautions/$id")->assertOk();
        $this->getJson('/api/gaps')->assertJsonPath('total', 0);
    }

    public function test_those_that_lack_most_come_first_and_archived_ones_stay_out(): void
    {
        $little = $this->addPerson('Ada', 'Finch', ['prefix' => 'Ms.']);
        $most = $this->addPerson('Silas', 'Wren', ['isVendor' => true]);
        $gone = $this->addCompany('Gone');
        $this->putJson("/api/parties/{$gone->id}/archive", ['reason' => 'gone'])->assertOk();
        $this->getJson('/api/gaps')->assertJsonPath('rows.*.party.id', [$most->id, $little->id]);
    }
}
