<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\File;
use App\Models\Party;
use App\Models\Reminder;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class FilesTest extends TestCase
{
    private const PDF = "%PDF-1.4\n1 0 obj\n<< /Type /Catalog >>\nendobj\ntrailer\n<< /Root 1 0 R >>\n%%EOF\n";

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
    }

    public function test_a_file_is_kept_under_its_hash_and_given_back_as_it_was(): void
    {
        $party = $this->addCompany('Brass');
        $this->upload($party, 'insurance.pdf', self::PDF)->assertCreated()
            ->assertJsonPath('files.0.name', 'insurance.pdf')->assertJsonPath('files.0.kind', 'certificate')
            ->assertJsonPath('files.0.canBeShown', true)->assertJsonPath('files.0.addedText', '24 Nov 2026 by Maud Ferris');
        $hash = hash('sha256', self::PDF);
        Storage::assertExists('files/'.substr($hash, 0, 2).'/'.substr($hash, 2));
        $this->assertSame([], array_filter(Storage::allFiles(), fn (string $path) => str_ends_with($path, '.part')));

        $saved = $this->get('/api/files/1')
            ->assertOk()
            ->assertHeader('Content-Type', 'application/octet-stream')
            ->assertHeader('X-Frame-Options', 'DENY');
        $this->assertStringStartsWith('attachment', (string) $saved->headers->get('Content-Disposition'));
        $this->assertSame(self::PDF, $saved->streamedContent());
        $shown = $this->get('/api/files/1?show=1')
            ->assertHeader('Content-Type', 'application/pdf')
            ->assertHeader('X-Frame-Options', 'SAMEORIGIN');
        $this->assertStringContainsString("default-src 'none'", (string) $shown->headers->get('Content-Security-Policy'));
        $this->assertContains('File:  -> insurance.pdf, certificate', $this->changesOf($party));
    }

    public function test_the_same_content_lies_there_once_and_goes_with_its_last_file(): void
    {
        [$one, $two] = [$this->addCompany('One'), $this->addCompany('Two')];
        $this->upload($one, 'a.pdf', self::PDF);
        $this->upload($two, 'b.pdf', self::PDF);
        $this->assertCount(1, Storage::allFiles('files'));
        $this->getJson('/api/find?q=a.pdf')->assertJsonPath('results.0.reasons', ['file a.pdf']);
        $this->deleteJson('/api/files/1')->assertOk()->assertJsonPath('files', []);
        $this->getJson('/api/find?q=a.pdf')->assertJsonPath('results', []);
        $this->assertCount(1, Storage::allFiles('files'));
        $this->deleteJson("/api/parties/{$two->id}")->assertNoContent();
        $this->assertCount(0, Storage::allFiles('files'));
    }

    public function test_what_a_file_is_counts_and_not_what_it_is_called(): void
    {
        $party = $this->addCompany('Brass');
        foreach (
            [
                'harmless.pdf' => '<html><script>alert(1)</script></html>',
                'tool.png' => "MZ\x90\x00\x03\x00\x00\x00\x04\x00\x00\x00\xff\xff\x00\x00",
                'drawing.svg' => '<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>',
            ] as $name => $content
        ) {
            $this->upload($party, $name, $content)
                ->assertUnprocessable()
                ->assertJsonPath(
                    'errors.0.message',
                    "“{$name}” is a kind of file that is not kept here. Use a picture, PDF, text, table, letter or email.",
                );
        }
        $this->upload($party, 'nothing.txt', '')->assertUnprocessable()->assertJsonPath('errors.0.message', 'That file is empty.');
        $this->upload($party, 'notes.txt', 'Ring twice.')->assertCreated()->assertJsonPath('files.0.canBeShown', false);
        $this->upload($party, '../../etc/passwd.txt', 'Ring twice.')->assertCreated()->assertJsonPath('files.0.name', 'passwd.txt');
        $this->asAdministrator()
            ->postJson("/api/parties/{$party->id}/files", ['kind' => 'photo'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'Choose a file.');
        $this->get('/api/files/1?show=1')->assertHeader('Content-Type', 'application/octet-stream');
    }

    public function test_a_date_of_expiry_raises_a_reminder_that_follows_it(): void
    {
        $party = $this->addCompany('Brass');
        $this->upload($party, 'insurance.pdf', self::PDF);
        $this->change(['expiresOn' => '31 Jan 2027'])
            ->assertOk()
            ->assertJsonPath('files.0.expiresOn', '31 Jan 2027')
            ->assertJsonPath('reminders.0.text', '“insurance.pdf” expires on 31 Jan 2027')
            ->assertJsonPath('reminders.0.whenText', 'Fri 1 Jan 2027, 09:00');
        $this->change(['expiresOn' => '1 Dec'])->assertJsonPath('reminders.*.whenText', ['Tue 24 Nov 2026, 09:00']);
        $this->getJson('/api/today')->assertJsonPath('files.0.name', 'insurance.pdf')->assertJsonPath('files.0.isExpired', false);
        $this->change(['expiresOn' => ''])->assertJsonPath('reminders', []);
        $this->change(['name' => ' ', 'expiresOn' => '31 Feb'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.*.field', ['name', 'expiresOn']);
        $this->assertSame(0, Reminder::query()->count());
    }

    public function test_a_private_file_is_for_those_who_may(): void
    {
        $party = $this->addCompany('Brass');
        $this->upload($party, 'passport.pdf', self::PDF);
        $reader = $this->user(Role::Reader);
        $this->actingAs($reader)->get('/api/files/1')->assertOk();
        $this->change(['isPrivate' => true])->assertOk();
        $this->actingAs($reader)
            ->getJson('/api/files/1')
            ->assertForbidden()
            ->assertJsonPath('detail', 'That file is private. Ask somebody who may see private values.');
        $this->asAdministrator()->get('/api/files/1')->assertOk();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/files/1')->assertUnauthorized();
    }

    public function test_files_of_an_archived_record_stay_as_they_are(): void
    {
        $party = $this->addCompany('Brass');
        $this->upload($party, 'a.pdf', self::PDF);
        $this->putJson("/api/parties/{$party->id}/archive", ['reason' => 'closed'])->assertOk();
        $this->upload($party, 'b.pdf', self::PDF)->assertStatus(423);
        $this->change([])->assertStatus(423);
        $this->deleteJson('/api/files/1')->assertStatus(423);
        $this->assertSame(1, File::query()->count());
    }

    public function test_what_a_stopped_server_left_behind_is_swept_and_nothing_else(): void
    {
        $this->upload($this->addCompany('Brass'), 'a.pdf', self::PDF);
        $kept = Storage::allFiles('files')[0];
        Storage::put('files/ab/'.str_repeat('c', 62), 'left behind');
        Storage::put('files/ab/'.str_repeat('d', 62).'.123.part', 'half of it');
        $this->assertSame(0, Artisan::call('almanac:index'));
        $this->assertCount(3, Storage::allFiles('files'), 'what is young may be on its way');
        foreach (Storage::allFiles('files') as $path) {
            touch(Storage::path($path), time() - 90_000);
        }
        $this->assertSame(0, Artisan::call('almanac:index'));
        $this->assertSame([$kept], Storage::allFiles('files'));
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function upload(Party $party, string $name, string $content): TestResponse
    {
        return $this->asAdministrator()->post("/api/parties/{$party->id}/files", [
            'file' => UploadedFile::fake()->createWithContent($name, $content), 'kind' => 'certificate',
        ], ['Accept' => 'application/json']);
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function change(array $input): TestResponse
    {
        return $this->asAdministrator()->putJson(
            '/api/files/1',
            $input + ['name' => 'insurance.pdf', 'kind' => 'certificate', 'expiresOn' => '', 'isPrivate' => false],
        );
    }
}
