<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use Almanac\Mailing\LettersState;
use App\Actions\Mailing\WriteLetters;
use App\Background\WriteLettersOfRun;
use App\Models\LetterRun;
use App\Models\LogEntry;
use App\Models\Message;
use App\Models\Party;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tests\TestCase;
use ZipArchive;

/** One letter to many: templates, who gets one, the paper, the outbox, the logs. */
final class LettersTest extends TestCase
{
    use BeginsEngagements;
    use LivesSomewhere;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->asAdministrator();
    }

    public function test_templates_are_kept_and_a_field_that_does_not_exist_is_told_at_its_place(): void
    {
        $template = [
            'name' => 'Spring', 'subject' => 'The clocks go forward, {name}', 'body' => "{greeting}\n\nCome by.\n{my name}",
            'version' => 0,
        ];
        $this->postJson('/api/letter-templates', ['body' => "{greeting}\n{gretting}"] + $template)->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'body')
            ->assertJsonPath('errors.0.message', 'There is no field “gretting” (line 2). Is “greeting” meant?');
        $this->postJson('/api/letter-templates', ['subject' => '{', 'name' => '', 'body' => ' '] + $template)->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['name', 'subject', 'body']);
        $id = $this->postJson('/api/letter-templates', $template)->assertCreated()->assertJsonPath('0.name', 'Spring')->json('0.id');
        $this->postJson('/api/letter-templates', $template)->assertUnprocessable()->assertJsonPath('errors.0.field', 'name');
        $this->putJson("/api/letter-templates/$id", ['subject' => 'Other'] + $template)->assertOk()->assertJsonPath('0.version', 1);
        $this->putJson("/api/letter-templates/$id", $template)->assertConflict();
        $this->deleteJson("/api/letter-templates/$id", ['version' => 0])->assertConflict();
        $this->deleteJson("/api/letter-templates/$id", ['version' => 1])->assertOk()->assertJsonCount(0);
        $fields = array_column((array) $this->getJson('/api/letter-fields?engagement=1')->assertOk()->json(), 'name');
        $this->assertContains('greeting', $fields);
        $this->assertContains('receivable', $fields);
        $this->assertContains('case: stage', $fields);
        $this->assertNotContains('date of birth', $fields, 'what is private goes into no letter');
        $this->assertSame($fields, array_unique($fields));
    }

    public function test_who_must_not_or_cannot_be_written_to_is_left_out_and_told(): void
    {
        [$edith, $walter] = $this->couple();
        $this->saveSection($edith, 'reach', ['contactPoints' => [$this->contact('email', 'edith@larkin.example', ['label' => 'home'])]])
            ->assertOk();
        $lost = $this->addPerson('Ida', 'Bell');
        $out = $this->living('Olive', 'Out', '2 Lane');
        $this->saveSection($out, 'classification', $this->classification(['noLettersOn' => '3 May 2026', 'noLettersHow' => 'by phone']))
            ->assertOk();
        $stopped = $this->living('Sam', 'Stopped', '3 Lane');
        $this->postJson(
            "/api/parties/$stopped->id/cautions",
            ['level' => 'stop', 'use' => 'writing', 'text' => 'they sue us', 'since' => '', 'until' => ''],
        )
            ->assertSuccessful();
        $gone = $this->living('Gil', 'Gone', '4 Lane');
        $gone->update(['is_deceased' => true]);
        $to = $this->postJson('/api/letters/to', ['chosen' => $this->all(), 'way' => 'paper', 'isOnceAHousehold' => false])->assertOk()
            ->assertJsonPath('letters', 1)
            ->assertJsonPath('leftOut.*.name', ['Bell, Ida', 'Gone, Gil', 'Out, Olive', 'Stopped, Sam'])
            ->assertJsonPath(
                'leftOut.*.why',
                ['no address', 'has died', 'wants no letters since 3 May 2026, by phone', 'stop: they sue us'],
            );
        $this->assertSame([$edith->id, $walter->id], $to->json('envelopes.0.ids'));
        $this->postJson('/api/letters/to', ['chosen' => $this->all(), 'way' => 'email', 'isOnceAHousehold' => false])->assertOk()
            ->assertJsonPath('letters', 1)->assertJsonPath('leftOut.0.why', 'no email');
        $this->postJson(
            '/api/letters/to',
            ['chosen' => ['isAll' => false, 'ids' => []] + $this->all(), 'way' => 'paper', 'isOnceAHousehold' => false],
        )
            ->assertUnprocessable();
        $this->postJson('/api/letters/preview', ['chosen' => $this->those($out)] + $this->letter())->assertUnprocessable();
        $this->getJson("/api/parties/$out->id")
            ->assertJsonPath('classification.noLettersText', 'wants no letters since 3 May 2026, by phone');
        foreach ([['noLettersOn' => '', 'noLettersHow' => 'by phone'], ['noLettersOn' => '1 Jan 2030', 'noLettersHow' => '']] as $wrong) {
            $this->saveSection($lost, 'classification', $this->classification($wrong))
                ->assertUnprocessable()->assertJsonPath('errors.0.field', 'noLettersOn');
        }
        $this->getJson('/api/parties?filter='.rawurlencode('wants no letters since is known'))->assertOk();
    }

    public function test_letters_on_paper_are_written_with_a_log_entry_for_each_and_one_for_a_couple(): void
    {
        [$edith, $walter] = $this->couple();
        $this->saveSection($edith, 'reach', ['contactPoints' => [$this->contact('email', 'edith@larkin.example', ['label' => 'home'])]])
            ->assertOk();
        $ida = $this->living('Ida', 'Bell', '5 Hill Road');
        $body = "{greeting}\n\nWe owe you a word, {first name|friend}. You owe us {receivable|nothing}.\n{our name}, {date}";
        $this->postJson('/api/letters/preview', ['chosen' => $this->those($ida), 'body' => $body] + $this->letter())->assertOk()
            ->assertJsonPath('address', ['Ida Bell', '5 Hill Road', 'NEWFANE, VT 05345'])
            ->assertJsonPath('day', '3 Dec 2026')
            ->assertJsonPath(
                'body',
                fn (string $text) => str_starts_with(
                    $text,
                    "Dear Ida Bell:\n\nWe owe you a word, Ida. You owe us nothing.\n",
                ) && str_ends_with($text, ', 3 Dec 2026'),
            );
        $run = $this->postJson('/api/letters', ['chosen' => $this->all(), 'body' => $body] + $this->letter())->assertCreated();
        $id = $run->json('run.id');
        $this->getJson("/api/letters/$id")
            ->assertOk()->assertJsonPath('run.state', 'done')->assertJsonPath('run.letters', 2)
            ->assertJsonPath('run.total', 3)
            ->assertJsonPath('letters.*.outcome', ['written', 'written', 'written'])
            ->assertJsonPath('letters.2.note', 'together with the one above');
        $pdf = $this->fileOf($id, 'application/pdf');
        $this->assertStringStartsWith('%PDF', $pdf);
        $text = $this->textOf($pdf);
        $this->assertStringContainsString('Dear Edith Larkin and Walter Larkin:', $text);
        $this->assertSame(2, substr_count($text, 'Page 1 of 1'), 'each is numbered by itself');
        $this->assertSame([$edith->id, $walter->id, $ida->id], LogEntry::query()->orderBy('subject_id')->pluck('subject_id')->all());
        $this->assertSame(['Written: News.'], LogEntry::query()->distinct()->pluck('text')->all());
        $this->assertSame('2026-12-03', LogEntry::query()->firstOrFail()->happened_on->toIso());
        $this->assertSame(0, Message::query()->count());
        $zip = $this->postJson('/api/letters', ['chosen' => $this->all(), 'way' => 'papers'] + $this->letter())
            ->assertCreated()->json('run.id');
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $this->fileOf($zip, 'application/zip'));
        $archive = new ZipArchive;
        $archive->open($path);
        $this->assertSame(['0001-Ida-Bell.pdf', '0002-Edith-Larkin-and.pdf'], [$archive->getNameIndex(0), $archive->getNameIndex(1)]);
        unlink($path);
        $this->deleteJson("/api/letters/$zip")->assertOk();
        $this->getJson("/api/letters/$zip")->assertNotFound();
        $this->assertCount(1, Storage::allFiles('letters'), 'its file went with it');
    }

    public function test_letters_by_email_go_to_everybody_who_shares_one_and_stand_in_the_outbox(): void
    {
        [$edith, $walter] = $this->couple();
        $this->saveSection($edith, 'reach', ['contactPoints' => [$this->contact('email', 'edith@larkin.example', ['label' => 'home'])]])
            ->assertOk();
        $this->saveSection($walter, 'reach', ['contactPoints' => [$this->contact('email', 'walter@larkin.example', ['label' => 'home'])]])
            ->assertOk();
        $this->postJson('/api/letters', ['chosen' => $this->all(), 'way' => 'email', 'subject' => ''] + $this->letter())
            ->assertUnprocessable()->assertJsonPath('errors.0.field', 'subject');
        $id = $this->postJson('/api/letters', ['chosen' => $this->all(), 'way' => 'email'] + $this->letter())
            ->assertCreated()->json('run.id');
        $this->getJson("/api/letters/$id")->assertJsonPath('run.letters', 1)->assertJsonPath('run.hasFile', false);
        $message = Message::query()->firstOrFail();
        $this->assertSame('edith@larkin.example, walter@larkin.example', $message->to);
        $this->assertStringContainsString('Dear Edith Larkin and Walter Larkin:', (string) Storage::get($message->path));
        $this->assertSame(1, Message::query()->count());
        $this->assertSame(2, LogEntry::query()->where('text', 'Sent: News, to edith@larkin.example, walter@larkin.example.')->count());
        $this->get("/api/letters/$id/file")->assertNotFound();
    }

    public function test_a_worker_that_died_writes_nothing_twice_and_what_was_stopped_is_gone_on_with(): void
    {
        Queue::fake();
        for ($n = 1; $n <= 45; $n++) {
            $this->living('Person', "Number $n", "$n Street");
        }
        $id = $this->postJson('/api/letters', ['chosen' => $this->all()] + $this->letter())
            ->assertCreated()->assertJsonPath('run.state', 'waiting')->json('run.id');
        Queue::assertPushed(WriteLettersOfRun::class, 1);
        $run = LetterRun::query()->sole();
        $write = $this->app->make(WriteLetters::class);
        $steps = 0;
        LogEntry::created(function () use (&$steps): void {
            if (++$steps === 30) {
                throw new \RuntimeException('The machine went off.');
            }
        });
        $this->withoutExceptionHandling();
        $write->handle($run);
        $this->assertSame(LettersState::Failed, $run->refresh()->state);
        $this->assertSame(20, LogEntry::query()->count(), 'the few in the middle of which it died are wholly out');
        $this->postJson("/api/letters/$id/go-on")->assertOk()->assertJsonPath('run.state', 'waiting');
        $this->postJson("/api/letters/$id/stop")->assertOk()->assertJsonPath('run.state', 'stopped');
        $write->handle($run);
        $this->assertSame(20, LogEntry::query()->count(), 'what is stopped is not worked on');
        $this->postJson("/api/letters/$id/go-on")->assertOk();
        // Since then somebody wants no letters any more.
        Party::query()->where('family', 'Number 40')->update(['no_letters_on' => '2026-11-01']);
        $write->handle($run);
        $this->getJson("/api/letters/$id")
            ->assertJsonPath('run.state', 'done')->assertJsonPath('run.letters', 44)->assertJsonPath('run.leftOut', 1)
            ->assertJsonPath('letters.0.name', 'Number 40, Person');
        $this->assertSame(44, LogEntry::query()->count());
        $this->assertSame(44, LogEntry::query()->distinct()->count('subject_id'));
    }

    public function test_a_letter_speaks_of_a_case_only_from_there_and_is_nobody_elses(): void
    {
        $client = $this->living('Ada', 'Client', '1 Row');
        $engagement = $this->begin('project', 'At work', 'Tower clock');
        $letter = ['chosen' => $this->those($client), 'body' => "{greeting}\nAbout {case: title}."] + $this->letter();
        $this->postJson('/api/letters/preview', $letter)->assertUnprocessable()->assertJsonPath('errors.0.field', 'body');
        $this->postJson('/api/letters/preview', ['engagementId' => $engagement->id] + $letter)->assertOk()
            ->assertJsonPath('body', fn (string $text) => str_ends_with($text, 'About Tower clock.'));
        $this->postJson('/api/letters', ['engagementId' => 99999] + $letter)->assertUnprocessable();
        $id = $this->postJson('/api/letters', ['engagementId' => $engagement->id] + $letter)->assertCreated()->json('run.id');
        $this->actingAs($this->user(Role::Clerk));
        $this->getJson("/api/letters/$id")->assertNotFound();
        $this->getJson('/api/letters')->assertOk()->assertJsonCount(0);
        $this->actingAs($this->user(Role::Reader));
        $this->postJson('/api/letters', $letter)->assertForbidden();
    }

    public function test_of_a_private_case_only_whom_it_names_reads_what_was_written(): void
    {
        $client = $this->living('Ada', 'Client', '1 Row');
        $this->saveSection($client, 'reach', ['contactPoints' => [$this->contact('email', 'ada@client.example', ['label' => 'home'])]])
            ->assertOk();
        $me = Auth::id();
        $case = $this->begin('project', 'At work', 'Hidden clock', ['isPrivate' => true, 'readerIds' => [$me]]);
        $letter = [
            'chosen' => $this->those($client), 'way' => 'email', 'subject' => '{case: title}',
            'engagementId' => $case->id,
        ] + $this->letter();
        $id = $this->postJson('/api/letters', $letter)->assertCreated()->json('run.id');
        $this->getJson('/api/messages')->assertJsonPath('total', 1)->assertJsonPath('messages.0.subject', 'Hidden clock');
        $this->getJson("/api/letters/$id")->assertJsonPath('run.title', 'Hidden clock');
        $this->assertSame([$case->id], LogEntry::query()->pluck('subject_id')->all(), 'only its own log tells');
        $this->postJson("/api/engagements/$case->id/meetings", [
            'title' => 'The dial', 'day' => 'today', 'time' => '14', 'minutes' => 60, 'place' => '', 'agenda' => '',
            'partyIds' => [$client->id], 'userIds' => [],
            'documentId' => null, 'isInvited' => true, 'version' => 0,
        ])->assertCreated();
        $this->getJson('/api/messages')->assertJsonPath('total', 2);
        // Who is no longer named there writes nothing about it.
        Queue::fake();
        $late = $this->postJson('/api/letters', $letter)->assertCreated()->json('run.id');
        DB::table('engagement_users')->where('engagement_id', $case->id)->delete();
        $this->app->make(WriteLetters::class)->handle(LetterRun::query()->latest('id')->firstOrFail());
        $this->assertSame('failed', DB::table('letter_runs')->where('id', $late)->value('state'));
        $this->assertSame(2, DB::table('messages')->count());
        DB::table('engagement_users')->insert(['engagement_id' => $case->id, 'user_id' => $me]);
        $other = $this->user(Role::Administrator);
        $this->actingAs($other)->getJson('/api/messages')->assertJsonPath('total', 0);
        $this->getJson('/api/messages/1')->assertNotFound();
        $this->postJson('/api/messages/1/again')->assertNotFound();
        $this->getJson("/api/letters/$id")->assertNotFound();
        $this->getJson('/api/letters')->assertJsonCount(0);
        $this->assertStringNotContainsString(
            'Hidden clock',
            (string) $this->getJson("/api/parties/$client->id/stream")->assertOk()->getContent(),
        );
        $this->postJson('/api/letters', $letter)->assertUnprocessable()->assertJsonPath('errors.0.field', 'engagementId');
    }

    /** @return array<string, mixed> */
    private function all(): array
    {
        return ['isAll' => true, 'filter' => '', 'withArchived' => false, 'ids' => []];
    }

    /** @return array<string, mixed> */
    private function those(Party ...$parties): array
    {
        return ['isAll' => false, 'ids' => array_map(fn (Party $party) => $party->id, $parties)] + $this->all();
    }

    /** @return array<string, mixed> */
    private function letter(): array
    {
        return [
            'way' => 'paper', 'isOnceAHousehold' => false, 'subject' => 'News', 'body' => "{greeting}\nNews.",
            'day' => '3 dec 2026', 'engagementId' => null,
        ];
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private function classification(array $more): array
    {
        return [
            'types' => [], 'tags' => [], 'ownerId' => null, 'accountManagerId' => null, 'buyerId' => null, 'source' => '',
            'language' => '', 'grade' => null,
            'codes' => [],
        ] + $more;
    }

    private function textOf(string $pdf): string
    {
        if (! is_executable('/usr/bin/pdftotext')) {
            $this->markTestSkipped('pdftotext is not installed: apt-get install poppler-utils, and the words of the paper are read too.');
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'letters');
        file_put_contents($path, $pdf);
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($path).' -');
        unlink($path);

        return $text;
    }

    private function fileOf(mixed $run, string $type): string
    {
        $file = $this->get('/api/letters/'.(is_int($run) ? $run : 0).'/file')->assertOk()->assertHeader('Content-Type', $type)->baseResponse;
        $this->assertInstanceOf(BinaryFileResponse::class, $file);

        return (string) file_get_contents($file->getFile()->getPathname());
    }
}
