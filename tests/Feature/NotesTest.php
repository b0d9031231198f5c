<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Caution;
use App\Models\LogEntry;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class NotesTest extends TestCase
{
    public function test_an_entry_takes_its_place_among_the_changes(): void
    {
        $company = $this->addCompany('Brass');
        $silas = $this->addPerson('Silas', 'Wren');
        $this->write($company->id, [
            'kind' => 'call',
            'day' => 'yesterday',
            'withPartyId' => $silas->id,
            'text' => "Asked for a quote.\nWants it by Friday.",
        ])->assertCreated();
        $this->saveSection($company, 'client-terms', ['listedId' => null, 'shorthand' => 'net 7'])->assertOk();

        $all = $this->getJson("/api/parties/{$company->id}/changes")->assertJsonPath('changes.*.section', [
            'When we bill them',
            'Log',
            'Name and roles',
        ]);
        $entry = $all->json('changes.1.entry');
        $this->assertSame(
            ['call', '23 Nov 2026', 'Silas Wren', "Asked for a quote.\nWants it by Friday.", 'Maud Ferris'],
            [$entry['kind'], $entry['dayText'], $entry['with']['name'], $entry['text'], $entry['by']],
        );
        $this->getJson("/api/parties/{$company->id}/changes?show=entries")->assertJsonCount(1, 'changes');
        $this->getJson("/api/parties/{$company->id}/changes?show=changes")
            ->assertJsonCount(2, 'changes')
            ->assertJsonPath('changes.*.entry', [null, null]);
    }

    public function test_a_pinned_note_stands_at_the_head_until_it_is_taken_down(): void
    {
        $company = $this->addCompany('Brass');
        $id = $this->write($company->id, ['isPinned' => true])
            ->assertJsonPath('pinned.0.text', 'Key is under the third pot.')
            ->json('pinned.0.id');
        $this->putJson("/api/parties/{$company->id}/entries/$id", ['isPinned' => false])
            ->assertOk()
            ->assertJsonPath('pinned', []);
        $this->putJson("/api/parties/{$company->id}/entries/$id", ['isPinned' => true])
            ->assertOk()
            ->assertJsonCount(1, 'pinned');
    }

    public function test_a_removed_entry_leaves_what_it_said_in_the_log(): void
    {
        $company = $this->addCompany('Brass');
        $id = $this->write($company->id, ['isPinned' => true])->json('pinned.0.id');
        $this->deleteJson("/api/parties/{$company->id}/entries/$id")->assertOk();
        $this->assertSame(0, LogEntry::query()->count());
        $this->assertSame('Log entry: Key is under the third pot. -> ', $this->changesOf($company)[0]);
    }

    public function test_what_cannot_be_is_told_at_its_field(): void
    {
        $company = $this->addCompany('Brass');
        $this->write($company->id, ['text' => " \n ", 'day' => '31 February', 'withPartyId' => 99])->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['text', 'day', 'withPartyId']);
        $this->write($company->id, ['kind' => 'rumour'])->assertUnprocessable();
    }

    public function test_an_entry_of_another_record_is_out_of_reach(): void
    {
        $one = $this->addCompany('One');
        $other = $this->addCompany('Other');
        $id = $this->write($one->id, ['isPinned' => true])->json('pinned.0.id');
        $this->deleteJson("/api/parties/{$other->id}/entries/$id")->assertNotFound();
    }

    public function test_somebody_named_in_a_log_is_not_deleted(): void
    {
        $company = $this->addCompany('Brass');
        $silas = $this->addPerson('Silas', 'Wren');
        $this->write($company->id, ['withPartyId' => $silas->id])->assertCreated();
        $this->deleteJson("/api/parties/{$silas->id}")->assertUnprocessable()
            ->assertJsonPath('detail', 'It is still used by 1 log entry, so deleting it would leave a hole. Archive it instead.');
        $this->deleteJson("/api/parties/{$company->id}")->assertNoContent();
        $this->deleteJson("/api/parties/{$silas->id}")->assertNoContent();
    }

    public function test_a_stop_is_lifted_by_its_author_or_an_administrator_only(): void
    {
        $company = $this->addCompany('Brass');
        $clerk = $this->user(Role::Clerk);
        $approver = $this->user(Role::Approver);
        $this->actingAs($approver);
        $id = $this->caution($company->id, ['level' => 'stop', 'use' => 'paying'])->assertCreated()
            ->assertJsonPath('cautions.0.mayLift', true)->json('cautions.0.id');

        $this->actingAs($clerk)->getJson("/api/parties/{$company->id}")->assertJsonPath('cautions.0.mayLift', false);
        $this->deleteJson("/api/parties/{$company->id}/cautions/$id")->assertForbidden()
            ->assertJsonPath('detail', 'Only its author or an administrator lifts a stop.');
        $this->assertSame(1, Caution::query()->count());

        $this->asAdministrator()->deleteJson("/api/parties/{$company->id}/cautions/$id")->assertOk()->assertJsonPath('cautions', []);
        $this->assertSame([
            'Caution: stop, when paying: The account is disputed. -> ',
            'Caution:  -> stop, when paying: The account is disputed.',
        ], array_slice($this->changesOf($company), 0, 2));
    }

    public function test_a_note_is_lifted_by_anybody_who_may_change_the_record(): void
    {
        $company = $this->addCompany('Brass');
        $id = $this->caution($company->id)->json('cautions.0.id');
        $this->actingAs($this->user(Role::Clerk))->deleteJson("/api/parties/{$company->id}/cautions/$id")->assertOk();
    }

    public function test_cautions_are_shown_while_they_are_in_force_stops_first(): void
    {
        $company = $this->addCompany('Brass');
        $this->caution($company->id, ['text' => 'a note']);
        $this->caution($company->id, ['text' => 'past', 'until' => 'yesterday']);
        $this->caution($company->id, ['text' => 'to come', 'since' => '+1']);
        $this->caution($company->id, ['text' => 'a stop', 'level' => 'stop'])->assertJsonPath('cautions.*.text', ['a stop', 'a note']);
        $this->caution($company->id, ['text' => '', 'since' => '2 Mar', 'until' => '1 Mar'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['until', 'text']);
    }

    public function test_an_archived_record_takes_neither(): void
    {
        $company = $this->addCompany('Brass');
        $this->putJson("/api/parties/{$company->id}/archive", ['reason' => 'gone'])->assertOk();
        $this->write($company->id)->assertStatus(423);
        $this->caution($company->id)->assertStatus(423);
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function write(int $id, array $more = []): TestResponse
    {
        return $this->postJson("/api/parties/$id/entries", $more + [
            'kind' => 'note', 'day' => '', 'withPartyId' => null, 'text' => 'Key is under the third pot.', 'isPinned' => false,
        ]);
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function caution(int $id, array $more = []): TestResponse
    {
        return $this->postJson("/api/parties/$id/cautions", $more + [
            'level' => 'note', 'use' => 'any', 'text' => 'The account is disputed.', 'since' => '', 'until' => '',
        ]);
    }
}
