<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Address;
use App\Models\Change;
use App\Models\Party;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class ArchiveTest extends TestCase
{
    public function test_an_archived_record_is_read_only_and_out_of_the_lists_but_found(): void
    {
        $company = $this->addCompany('Coldwater Crane Hire');
        $this->addCompany('Coldwater Springs');
        $this->putJson("/api/parties/{$company->id}/archive", ['reason' => ' closed its  business '])->assertOk()
            ->assertJsonPath('archive', ['onText' => '24 Nov 2026', 'reason' => 'closed its business'])
            ->assertJsonPath('party.isArchived', true);

        $this->getJson('/api/parties')->assertJsonPath('total', 1)->assertJsonPath('archived', 1);
        $this->getJson('/api/parties?archived=1')->assertJsonPath('total', 2);
        $this->getJson('/api/find?q=coldwater')->assertJsonPath('results.*.party.isArchived', [false, true]);
        $this->getJson('/api/find?q=coldwater&archived=0')->assertJsonPath('results.*.party.displayName', ['Coldwater Springs']);

        $this->saveSection($company, 'reach', ['contactPoints' => []])->assertStatus(423)
            ->assertJsonPath('detail', 'This record is archived. Restore it to change it.');
        $this->postJson('/api/parties', [
            'kind' => 'person',
            'given' => 'A',
            'companyId' => $company->id,
            'isClient' => false,
            'isVendor' => false,
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'companyId');

        $this->deleteJson("/api/parties/{$company->id}/archive")->assertOk()->assertJsonPath('archive', null);
        $this->saveSection($company, 'reach', ['contactPoints' => []])->assertOk();
        $this->assertSame([
            'Record: archived: closed its business -> in use',
            'Record: in use -> archived: closed its business',
        ], array_slice($this->changesOf($company), 0, 2));
    }

    public function test_archiving_wants_a_reason(): void
    {
        $company = $this->addCompany('Brass');
        $this->putJson("/api/parties/{$company->id}/archive", ['reason' => ' '])->assertUnprocessable()
            ->assertJsonPath('errors.0', ['field' => 'reason', 'message' => 'Say in a few words why, such as “closed its business”.']);
        $this->putJson("/api/parties/{$company->id}/archive", ['reason' => str_repeat('x', 201)])->assertUnprocessable();
    }

    public function test_archiving_and_restoring_twice_is_told_once(): void
    {
        $company = $this->addCompany('Brass');
        $this->deleteJson("/api/parties/{$company->id}/archive")->assertOk();
        $this->putJson("/api/parties/{$company->id}/archive", ['reason' => 'first'])->assertOk();
        $this->putJson("/api/parties/{$company->id}/archive", ['reason' => 'second'])
            ->assertOk()
            ->assertJsonPath('archive.reason', 'first');
        $this->assertCount(2, $this->changesOf($company));
    }

    public function test_a_record_that_nothing_refers_to_is_deleted_without_a_trace(): void
    {
        $company = $this->addCompany('Brass Typo');
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->saveSection($company, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0142')]])->assertOk();
        $this->saveSection($company, 'client-terms', ['listedId' => null, 'shorthand' => 'net 7'])->assertOk();
        $this->deleteJson("/api/parties/{$company->id}")->assertNoContent();
        $this->getJson('/api/find?q=brass')->assertJsonPath('results', []);
        foreach ([Party::class, Address::class, Change::class] as $model) {
            $this->assertSame(0, $model::query()->count());
        }
        foreach (['contact_points', 'address_uses', 'section_versions', 'search_words', 'search_letters'] as $table) {
            $this->assertSame(0, DB::table($table)->count(), $table);
        }
        $this->assertSame(0, DB::table('client_terms')->whereNotNull('party_id')->count());
    }

    public function test_a_record_that_is_used_is_kept_and_says_by_what(): void
    {
        $company = $this->addCompany('Brass');
        $this->saveSection($company, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $person = $this->addPerson('Silas', 'Wren', ['companyId' => $company->id]);
        $this->deleteJson("/api/parties/{$company->id}")
            ->assertUnprocessable()
            ->assertJsonPath(
                'detail',
                'It is still used by 1 position and 1 record with the same address, so deleting it would leave a hole. Archive it instead.',
            );
        $this->deleteJson("/api/parties/{$person->id}")->assertUnprocessable();
        $this->assertSame(2, Party::query()->count());
    }
}
