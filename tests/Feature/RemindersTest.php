<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Party;
use App\Models\Reminder;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class RemindersTest extends TestCase
{
    public function test_a_reminder_is_due_at_its_time_and_done_once(): void
    {
        $party = $this->addCompany('Brass');
        $this->remind($party, ['text' => 'Ring the verger', 'day' => 'today', 'time' => '9:30'])->assertCreated()
            ->assertJsonPath('reminders.0.whenText', 'Tue 24 Nov 2026, 09:30')->assertJsonPath('reminders.0.isDue', true);
        $this->remind($party, ['text' => 'Later today', 'time' => '9:31'])->assertJsonPath('reminders.1.isDue', false);
        $this->getJson('/api/reminders')->assertJsonPath('*.text', ['Ring the verger', 'Later today']);
        $id = Reminder::query()->where('text', 'Ring the verger')->value('id');
        $this->postJson("/api/reminders/$id/done", ['day' => '2026-11-24'])->assertNoContent();
        $this->postJson("/api/reminders/$id/done", ['day' => '2026-11-24'])->assertNoContent();
        $this->getJson("/api/parties/{$party->id}")->assertJsonPath('reminders.*.text', ['Later today']);
        $changes = $this->changesOf($party);
        $this->assertSame(
            1,
            count(array_filter($changes, fn (string $change) => $change === 'Reminder: Ring the verger, 24 Nov 2026 09:30 -> done')),
            'done once, told once',
        );
    }

    public function test_one_that_repeats_goes_on_from_its_first_day(): void
    {
        $party = $this->addCompany('Brass');
        $this->remind($party, ['text' => 'Wind the clock', 'day' => '3 Nov', 'rule' => 'every week'])
            ->assertJsonPath('reminders.0.repeatText', 'every week')->assertJsonPath('reminders.0.isDue', true);
        $id = Reminder::query()->value('id');
        $this->putJson("/api/reminders/$id", ['day' => 'tomorrow', 'time' => ''])->assertNoContent();
        $this->getJson("/api/parties/{$party->id}")->assertJsonPath('reminders.0.whenText', 'Wed 25 Nov 2026, 09:00');
        $this->postJson("/api/reminders/$id/done", ['day' => '2026-11-25']);
        // Put off by a day, it is still reckoned from the Tuesday on which it began.
        $this->getJson("/api/parties/{$party->id}")->assertJsonPath('reminders.0.whenText', 'Tue 1 Dec 2026, 09:00');
    }

    public function test_a_reminder_for_a_colleague_is_on_their_day_only(): void
    {
        $party = $this->addCompany('Brass');
        $clerk = $this->user(Role::Clerk);
        $this->remind($party, ['text' => 'Send the survey', 'userId' => $clerk->id])
            ->assertJsonPath('reminders.0.for', 'Clerk')
            ->assertJsonPath('reminders.0.by', 'Maud Ferris');
        $this->getJson('/api/today')->assertJsonPath('due', []);
        $this->actingAs($clerk)->getJson('/api/today')->assertJsonPath('due.0.text', 'Send the survey');
    }

    public function test_what_cannot_be_is_told_at_its_field(): void
    {
        $party = $this->addCompany('Brass');
        $this->remind($party, ['text' => ' ', 'day' => 'never', 'time' => 'noon', 'rule' => 'sometimes', 'userId' => 999])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['text', 'day', 'time', 'rule', 'userId']);
        $this->remind($party, ['text' => 'x']);
        $this->putJson('/api/reminders/1', ['day' => 'yesterday', 'time' => ''])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'Choose a day from today on.');
        $this->deleteJson('/api/reminders/1')->assertNoContent();
        $this->assertSame(0, Reminder::query()->count());
    }

    public function test_a_calendar_program_reads_them_at_a_secret_address(): void
    {
        $party = $this->addCompany('Brass, Bell & Co');
        $this->remind($party, ['text' => 'Ring; twice', 'rule' => 'every month']);
        $this->remind($party, ['text' => 'For somebody else', 'userId' => $this->user(Role::Clerk)->id]);
        $address = $this->postJson('/api/calendar')->assertCreated()->json('address');
        $this->app['auth']->forgetGuards();
        $feed = (string) $this->get($address)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
        $this->assertStringContainsString('SUMMARY:Ring\; twice – Brass\, Bell & Co', $feed);
        $this->assertStringContainsString("RRULE:FREQ=MONTHLY\r\n", $feed);
        $this->assertStringNotContainsString('somebody else', $feed);
        $this->asAdministrator()->postJson('/api/calendar');
        $this->get($address)->assertNotFound();
    }

    public function test_today_tells_what_was_touched_and_what_ends(): void
    {
        $mine = $this->addCompany('Mine', ['isClient' => true]);
        $clerk = $this->user(Role::Clerk);
        $theirs = $this->actingAs($clerk)
            ->postJson('/api/parties', ['kind' => 'company', 'name' => 'Theirs', 'isClient' => false, 'isVendor' => false])
            ->json('party.id');
        $this->asAdministrator()
            ->postJson("/api/parties/$theirs/cautions", [
                'level' => 'stop',
                'use' => 'any',
                'text' => 'Ends soon',
                'since' => '',
                'until' => '+5',
            ])
            ->assertCreated();
        $this->postJson("/api/parties/$theirs/cautions", [
            'level' => 'note',
            'use' => 'any',
            'text' => 'Stays long',
            'since' => '',
            'until' => '+50',
        ])->assertCreated();
        $this->saveSection($mine, 'classification', [
            'types' => [], 'tags' => [], 'ownerId' => $this->administrator->id, 'accountManagerId' => null, 'buyerId' => null,
            'source' => '', 'language' => '', 'grade' => null, 'codes' => [],
        ])->assertOk();
        $this->getJson('/api/today')->assertOk()
            ->assertJsonPath('dayText', 'Tue 24 Nov 2026')
            ->assertJsonPath('mine.*.party.displayName', ['Mine', 'Theirs'])
            ->assertJsonPath('cautions.*.text', ['Ends soon'])
            ->assertJsonPath('gapCount', 1)
            ->assertJsonPath('gaps.0.party.displayName', 'Mine');
        $this->actingAs($clerk)
            ->getJson('/api/today')
            ->assertJsonPath('mine.*.party.displayName', ['Theirs'])
            ->assertJsonPath('gapCount', 0)
            ->assertJsonPath('everybodys.*.party.displayName', ['Mine', 'Theirs']);
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function remind(Party $party, array $input): TestResponse
    {
        return $this->asAdministrator()->postJson("/api/parties/{$party->id}/reminders", $input + [
            'text' => '', 'day' => '', 'time' => '', 'rule' => '', 'userId' => $this->administrator->id,
        ]);
    }
}
