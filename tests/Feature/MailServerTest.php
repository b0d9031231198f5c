<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use Almanac\Mailing\MessageState;
use App\Actions\Interchange\PackEverything;
use App\Actions\Mailing\DeliverMessage;
use App\Background\SendMessage;
use App\Models\Act;
use App\Models\Document;
use App\Models\MailServer;
use App\Models\Message;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;
use ZipArchive;

/** What is sent goes out by the mail server of the office, where it has one, once. */
final class MailServerTest extends TestCase
{
    private string $place;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->asAdministrator();
        $this->place = sys_get_temp_dir().'/mail-'.bin2hex(random_bytes(6));
        mkdir($this->place);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("$this->place/*") ?: []);
        rmdir($this->place);
        parent::tearDown();
    }

    public function test_without_one_what_is_sent_is_kept_here_only(): void
    {
        Queue::fake();
        $this->getJson('/api/office/mail-server')->assertOk()->assertJsonPath('isSet', false)->assertJsonPath('port', 465);
        $this->send($this->invoice());
        Queue::assertNotPushed(SendMessage::class);
        $this->getJson('/api/messages')
            ->assertJsonPath('messages.0.state', 'kept')->assertJsonPath('messages.0.stateText', 'kept here only');
        $this->postJson('/api/office/mail-server/try')
            ->assertUnprocessable()->assertJsonPath('errors.0.message', 'Save a mail server first.');
    }

    public function test_a_message_goes_out_with_its_sender_and_whom_answers_go_to_and_a_refusal_is_told(): void
    {
        $server = Process::start([
            PHP_BINARY, base_path('tests/MadeUp/mail-server.php'), "$this->place/port", "$this->place/said", 'nobody@',
        ]);
        $this->putJson(
            '/api/office/mail-server',
            $this->server(['sender' => 'books@orreryvane.example', 'userName' => 'office', 'password' => 'secret']),
        )
            ->assertOk()->assertJsonPath('hasPassword', true)->assertJsonMissingPath('password');
        $this->postJson('/api/office/mail-server/try')->assertNoContent();
        $invoice = $this->invoice();
        $this->send($invoice);
        $this->getJson('/api/messages')->assertJsonPath('messages.0.state', 'sent');
        $said = (string) file_get_contents("$this->place/said");
        $this->assertStringContainsString("MAIL FROM:<books@orreryvane.example>\r\nRCPT TO:<post@penhallow.example>\r\nDATA\r\n", $said);
        $this->assertMatchesRegularExpression('/^From: .*<books@orreryvane\.example>\r$/m', $said);
        $this->assertMatchesRegularExpression('/^Reply-To: \S+@\S+\r$/m', $said);
        $this->assertStringContainsString('Subject: Neat Almanac can send', $said);
        $this->send($invoice, 'nobody@penhallow.example');
        $this->getJson('/api/messages')->assertJsonPath('messages.0.state', 'failed')
            ->assertJsonPath(
                'messages.0.stateText',
                fn (string $told) => str_starts_with($told, 'not sent: ') && str_contains($told, 'nobody of that name here'),
            );
        $this->putJson(
            '/api/office/mail-server',
            $this->server(['sender' => 'books@orreryvane.example', 'userName' => 'office', 'password' => 'guessed', 'version' => 1]),
        )
            ->assertOk();
        $this->postJson('/api/office/mail-server/try')->assertUnprocessable()->assertJsonPath('errors.0.field', 'host');
        $server->signal(9);
        $log = json_encode(Act::query()->get(), JSON_THROW_ON_ERROR);
        $this->assertStringContainsString('Sends from', $log);
        $this->assertStringNotContainsString('secret', $log);
        $this->assertStringNotContainsString('secret', (string) json_encode(DB::table('mail_servers')->get()), 'encrypted at rest');
        $path = (string) tempnam(sys_get_temp_dir(), 'archive');
        $this->app->make(PackEverything::class)->handle($this->user(Role::Administrator), $path, fn () => null);
        $archive = new ZipArchive;
        $archive->open($path);
        $this->assertStringContainsString(
            'books@orreryvane.example',
            (string) $archive->getFromName('tables/messages.jsonl').$archive->getFromName('tables/mail_servers.jsonl'),
        );
        $this->assertStringNotContainsString(
            'guessed',
            (string) $archive->getFromName('tables/mail_servers.jsonl'),
            'what opens doors is not in the archive',
        );
        unlink($path);
    }

    public function test_what_was_on_its_way_when_the_worker_died_is_not_sent_twice(): void
    {
        Queue::fake();
        $this->putJson('/api/office/mail-server', ['host' => '127.0.0.1', 'port' => 1] + $this->server([]))->assertOk();
        $this->send($this->invoice());
        Queue::assertPushed(SendMessage::class, 1);
        $message = Message::query()->sole();
        $this->assertSame(MessageState::Waiting, $message->state);
        $message->update(['state' => MessageState::Sending]);
        $deliver = $this->app->make(DeliverMessage::class);
        $deliver->handle($message);
        $this->assertSame(MessageState::Failed, $message->refresh()->state);
        $this->assertStringContainsString('may have gone out', $message->failure);
        $message->update(['state' => MessageState::Waiting]);
        $deliver->handle($message);
        $this->assertSame(MessageState::Failed, $message->refresh()->state, 'nobody listens there');
        $message->update(['state' => MessageState::Waiting]);
        $this->deleteJson('/api/office/mail-server', ['version' => 0])->assertConflict();
        $this->deleteJson('/api/office/mail-server', ['version' => 1])->assertOk()->assertJsonPath('isSet', false);
        $deliver->handle($message);
        $this->assertSame('the office has no mail server any more', $message->refresh()->failure);
    }

    public function test_what_cannot_be_a_server_is_told_at_its_field_and_a_password_goes_to_no_other_server(): void
    {
        foreach ([
            ['host', ['host' => 'no such host']], ['host', ['host' => '']], ['port', ['port' => 0]],
            ['port', ['port' => 70000]], ['sender', ['sender' => 'books']],
            ['password', ['userName' => 'office']], ['security', ['security' => 'hope']],
        ] as [$field, $wrong]) {
            $this->putJson('/api/office/mail-server', $wrong + ['host' => 'mail.example', 'port' => 587] + $this->server([]))
                ->assertUnprocessable()->assertJsonPath('errors.0.field', $field);
        }
        $input = ['host' => 'mail.example', 'port' => 587, 'userName' => 'office'] + $this->server([]);
        $this->putJson('/api/office/mail-server', ['password' => 'secret'] + $input)->assertOk();
        $this->putJson('/api/office/mail-server', $input)->assertConflict();
        $this->putJson('/api/office/mail-server', ['version' => 1] + $input)->assertOk();
        $this->assertSame('secret', MailServer::query()->sole()->password);
        $this->putJson('/api/office/mail-server', ['host' => 'other.example', 'version' => 2] + $input)
            ->assertUnprocessable()->assertJsonPath('errors.0.field', 'password');
        $this->actingAs($this->user(Role::Approver))->getJson('/api/office/mail-server')->assertForbidden();
        $this->putJson('/api/office/mail-server', $input)->assertForbidden();
    }

    private function invoice(): Document
    {
        return $this->issued($this->addCompany('Penhallow Observatory', ['isClient' => true]), 'invoice', '12.50');
    }

    private function send(Document $invoice, string $to = 'post@penhallow.example'): void
    {
        $this->postJson("/api/documents/$invoice->id/send", ['to' => $to, 'text' => ''])->assertSuccessful();
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private function server(array $more): array
    {
        for ($tries = 0; $tries < 200 && ! is_file("$this->place/port") && $more !== []; $tries++) {
            usleep(20_000);
        }

        return $more + [
            'host' => '127.0.0.1',
            'port' => is_file("$this->place/port") ? (int) file_get_contents("$this->place/port") : 25, 'security' => 'none',
            'userName' => '', 'password' => null, 'sender' => '', 'version' => 0,
        ];
    }
}
