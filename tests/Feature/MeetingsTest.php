<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Message;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class MeetingsTest extends TestCase
{
    use BeginsEngagements;

    private Party $silas;

    private User $maud;

    protected function setUp(): void
    {
        parent::setUp();
        config(['almanac.today' => '2026-11-24']);
        Storage::fake();
        $this->maud = $this->administrator;
        $this->asAdministrator();
        $this->silas = $this->addPerson('Silas', 'Wren');
        $this->saveSection($this->silas, 'reach', ['contactPoints' => [$this->contact('email', 'silas@wren.example')]])->assertOk();
    }

    public function test_a_meeting_about_a_quote_is_arranged_moved_held_and_the_quote_becomes_an_order(): void
    {
        $quote = $this->issued($this->silas, 'quote', '1200');
        $meeting = $this->arrange(['documentId' => $quote->id])->assertCreated()
            ->assertJsonPath('whenText', 'Thu 26 Nov 2026, 14:00 to 15:00, The workshop')
            ->assertJsonPath('canBecomeOrder', true)
            ->assertJsonPath('canConclude', false)
            ->json();
        [$first] = $this->sent();
        $this->assertSame("Invitation: The dial (Quote {$quote->shownNumber()}), 26 Nov 2026", $first['subject']);
        $this->assertStringContainsString('METHOD:REQUEST', $first['calendar']);
        $this->assertStringContainsString('SEQUENCE:0', $first['calendar']);
        $this->assertStringContainsString('mailto:silas@wren.example', $first['calendar']);

        $this->moved($meeting, ['title' => 'The dial', 'agenda' => 'More of it'], 0)->assertOk()->assertJsonPath('version', 1);
        $this->assertCount(1, $this->sent(), 'an agenda alone moves nothing');
        $this->moved($meeting, ['day' => '11/30/2026'], 0)->assertConflict();
        $this->moved($meeting, ['day' => '11/30/2026'], 1)->assertOk()->assertJsonPath('version', 2);
        $this->assertStringContainsString('SEQUENCE:1', $this->sent()[1]['calendar']);
        $this->assertStringStartsWith('Changed: ', $this->sent()[1]['subject']);

        $this->conclude($meeting, 'They agreed', 2)->assertStatus(422)->assertJsonPath('errors.0.field', 'outcome');
        config(['almanac.today' => '2026-12-01']);
        $this->conclude($meeting, ' ', 2)->assertStatus(422);
        $this->conclude($meeting, 'They agreed to the price.', 2)->assertOk()->assertJsonPath('state', 'held');
        $this->conclude($meeting, 'They agreed to the price, and to May.', 3)->assertOk()->assertJsonPath('version', 4);
        $this->moved($meeting, ['day' => '12/24/2026'], 4)->assertStatus(422);
        $this->postJson("/api/documents/{$quote->id}/next", ['kind' => 'order', 'isConfirmed' => false])->assertCreated();
        $this->getJson("/api/meetings/{$meeting['id']}")->assertJsonPath('canBecomeOrder', false);

        $line = $this->getJson("/api/parties/{$this->silas->id}/stream?show=written")->json('lines.0');
        $this->assertSame(['Meeting: The dial, 14:00, held', $meeting['id']], [$line['text'], $line['opensId']]);
        $this->assertContains(
            'They agreed to the price, and to May.',
            array_column($this->getJson("/api/parties/{$this->silas->id}/changes")->json('changes'), 'to'),
        );
    }

    public function test_one_that_is_called_off_is_told_to_all_and_leaves_the_calendar(): void
    {
        $meeting = $this->arrange(['userIds' => [$this->maud->id]])->assertCreated()->json();
        $address = (string) $this->postJson('/api/calendar')->json('address');
        $feed = fn () => (string) $this->get((string) parse_url($address, PHP_URL_PATH))->assertOk()->getContent();
        $this->assertStringContainsString("UID:meeting-{$meeting['id']}@", $feed());
        $this->assertSame([['The dial', false]], $this->onToday());
        config(['almanac.today' => '2026-11-28']);
        $this->assertSame([['The dial', true]], $this->onToday());
        config(['almanac.today' => '2026-11-24']);
        $this->postJson("/api/meetings/{$meeting['id']}/call-off", ['version' => 5])->assertConflict();
        $this->postJson("/api/meetings/{$meeting['id']}/call-off", ['version' => 0])->assertOk()->assertJsonPath('state', 'cancelled');
        $this->assertStringContainsString('METHOD:CANCEL', $this->sent()[1]['calendar']);
        $this->assertStringContainsString('SEQUENCE:1', $this->sent()[1]['calendar']);
        $this->assertStringNotContainsString("UID:meeting-{$meeting['id']}@", $feed());
        $this->assertSame([], $this->onToday());
        $this->postJson("/api/meetings/{$meeting['id']}/call-off", ['version' => 1])->assertStatus(422);
        $this->conclude($meeting, 'x', 1)->assertStatus(422);
    }

    public function test_who_need_not_come_any_more_is_told_so_alone(): void
    {
        $ada = $this->addPerson('Ada', 'Finch');
        $this->saveSection($ada, 'reach', ['contactPoints' => [$this->contact('email', 'ada@finch.example')]])->assertOk();
        $meeting = $this->arrange(['partyIds' => [$this->silas->id, $ada->id]])->assertCreated()->json();
        $this->assertCount(2, $this->sent());
        $this->moved($meeting, ['partyIds' => [$this->silas->id]], 0)->assertOk();
        $sent = array_slice($this->sent(), 2);
        $this->assertSame(['silas@wren.example', 'ada@finch.example'], array_column($sent, 'to'));
        $this->assertStringContainsString('METHOD:REQUEST', $sent[0]['calendar']);
        $this->assertStringContainsString('METHOD:CANCEL', $sent[1]['calendar']);
        $this->assertStringNotContainsString('silas@wren.example', $sent[1]['calendar']);
    }

    public function test_what_one_of_them_cannot_be_sent_is_sent_to_nobody(): void
    {
        $ada = $this->addPerson('Ada', 'Zeller');
        $this->saveSection($ada, 'reach', ['contactPoints' => [$this->contact('email', 'ada@zeller.example')]])->assertOk();
        DB::table('contact_points')->where('party_id', $ada->id)->update(['value' => 'ada at zeller']);
        $this->arrange(['partyIds' => [$this->silas->id, $ada->id]])->assertStatus(422)->assertJsonPath('errors.0.field', 'isInvited');
        $this->assertCount(0, $this->sent());
        $this->assertSame([], Storage::allFiles('outbox'), 'what was for the first of them is taken out again');
    }

    public function test_what_is_wrong_is_told_at_its_field_and_nothing_is_sent(): void
    {
        $none = $this->addPerson('Nobody', 'Known');
        $case = $this->begin('case', 'Reported', 'Secret', ['isPrivate' => true, 'readerIds' => [$this->maud->id]]);
        $clerk = $this->user(Role::Clerk);
        foreach ([
            [['title' => ' '], 'title'], [['day' => ''], 'day'], [['day' => 'soon'], 'day'], [['time' => '25:00'], 'time'],
            [['minutes' => 4], 'minutes'], [['minutes' => 1441], 'minutes'], [['partyIds' => [999]], 'partyIds.0'],
            [['partyIds' => [$this->silas->id, $none->id]], 'partyIds.1'], [['userIds' => [999]], 'userIds'],
            [['documentId' => 999], 'documentId'],
            [['title' => str_repeat('x', 201)], 'title'], [['agenda' => str_repeat('x', 5001)], 'agenda'],
        ] as [$input, $field]) {
            $this->arrange($input)->assertStatus(422)->assertJsonPath('errors.0.field', $field);
        }
        $this->postJson("/api/engagements/$case->id/meetings", $this->meeting(['userIds' => [$clerk->id]]))
            ->assertStatus(422)->assertJsonPath('errors.0.field', 'userIds');
        $this->assertCount(0, $this->sent());
        $this->arrange(['partyIds' => [$none->id], 'isInvited' => false])->assertCreated();
        $this->assertCount(0, $this->sent());
        $secret = $this->postJson("/api/engagements/$case->id/meetings", $this->meeting(['userIds' => [$this->maud->id]]))
            ->assertCreated()->json('id');
        $this->assertStringContainsString($case->number, implode(' ', array_column($this->sent(), 'subject')));
        $this->actingAs($clerk)->getJson("/api/meetings/$secret")->assertNotFound();
        $this->assertNotContains(
            "meeting-$secret",
            array_column($this->getJson("/api/parties/{$this->silas->id}/stream?show=written")->json('lines'), 'key'),
        );
        $this->actingAs($this->user(Role::Reader));
        $this->arrange([])->assertForbidden();
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private function meeting(array $more): array
    {
        return $more + [
            'title' => 'The dial', 'day' => '26 Nov 2026', 'time' => '2pm', 'minutes' => 60, 'place' => 'The workshop', 'agenda' => '',
            'partyIds' => [$this->silas->id], 'userIds' => [], 'documentId' => null, 'isInvited' => true, 'version' => 0,
        ];
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function arrange(array $more): TestResponse
    {
        return $this->postJson("/api/parties/{$this->silas->id}/meetings", $this->meeting($more));
    }

    /** @return list<array{string, bool}> */
    private function onToday(): array
    {
        return array_map(
            fn (array $one) => [(string) $one['title'], (bool) $one['isToBeWritten']],
            array_values((array) $this->getJson('/api/today')->assertOk()->json('meetings')),
        );
    }

    /**
     * @param array<string, mixed> $meeting as it was answered
     * @param array<string, mixed> $more
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function moved(array $meeting, array $more, int $version): TestResponse
    {
        return $this->putJson(
            "/api/meetings/{$meeting['id']}",
            $this->meeting($more + ['documentId' => $meeting['document']['id'] ?? null, 'version' => $version]),
        );
    }

    /**
     * @param array<string, mixed> $meeting
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function conclude(array $meeting, string $outcome, int $version): TestResponse
    {
        return $this->putJson("/api/meetings/{$meeting['id']}/outcome", ['outcome' => $outcome, 'version' => $version]);
    }

    /** @return list<array{to: string, subject: string, calendar: string}> what stands in the outbox, as a mail program reads it */
    private function sent(): array
    {
        return array_values(Message::query()->orderBy('id')->get()->map(function (Message $message): array {
            $raw = (string) Storage::get($message->path);
            $headers = iconv_mime_decode_headers($raw, ICONV_MIME_DECODE_CONTINUE_ON_ERROR, 'UTF-8') ?: [];
            preg_match('/^Content-Type: text\/calendar; method=\w+.*?\r\n\r\n(.*?)\r\n--/ms', $raw, $part);

            return [
                'to' => $this->headerOf($headers, 'To'),
                'subject' => $this->headerOf($headers, 'Subject'),
                'calendar' => str_replace("\r\n ", '', (string) base64_decode($part[1] ?? '', true)),
            ];
        })->all());
    }

    /** @param  array<string, string|array<string>>  $headers */
    private function headerOf(array $headers, string $name): string
    {
        return is_string($headers[$name] ?? null) ? $headers[$name] : '';
    }
}
