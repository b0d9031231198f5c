<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Actions\Interchange\MakeArchive;
use App\Background\PackBook;
use App\Models\Act;
use App\Models\Change;
use App\Models\Job;
use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\Property;
use Sabre\VObject\Reader;
use Tests\TestCase;

/** Lists as tables and as contact cards. */
final class ExportTest extends TestCase
{
    public function test_a_list_is_a_table_with_the_columns_and_the_order_that_it_has(): void
    {
        $this->addCompany('Brass Lantern Foundry', ['isVendor' => true]);
        $this->addCompany('=SUM(A1:A9)', ['isVendor' => true]);
        $this->addCompany('Penhallow', ['isClient' => true]);
        $csv = $this->asAdministrator()->get('/api/parties/export?filter=vendors&columns=number,name,role&sort=-number')->assertOk()
            ->assertHeader('Content-Type', 'text/csv; charset=UTF-8; header=present')
            ->assertHeader('Content-Disposition', 'attachment; filename="Records.csv"')->streamedContent();
        $this->assertSame("\xEF\xBB\xBFNumber,Name,Role\r\n1001,\"Brass Lantern Foundry\",vendor\r\n1002,'=SUM(A1:A9),vendor\r\n", $csv);
        $this->get('/api/parties/export?format=robot', ['Accept' => 'application/json'])->assertUnprocessable();
    }

    public function test_every_record_of_the_demo_office_is_a_card_that_is_read_back(): void
    {
        $this->demo();
        $this->actingAs($this->user(Role::Reader));
        foreach (['vcard4' => '4.0', 'vcard3' => '3.0'] as $format => $version) {
            $file = $this->get("/api/parties/export?format=$format&archived=1")
                ->assertOk()->assertHeader('Content-Type', 'text/vcard; charset=UTF-8')->streamedContent();
            $cards = array_filter(explode("END:VCARD\r\n", $file));
            $this->assertCount(Party::query()->count(), $cards);
            $uids = [];
            foreach ($cards as $card) {
                $read = Reader::read($card.'END:VCARD');
                $this->assertInstanceOf(VCard::class, $read);
                $this->assertSame([], array_filter($read->validate(), fn (array $problem) => $problem['level'] > 1), $card);
                $this->assertStringContainsString("VERSION:$version\r\n", $card);
                $uids[] = implode('', array_map(strval(...), $read->select('UID')));
            }
            $this->assertSame($uids, array_unique($uids));
        }
        $cards = json_decode($this->get('/api/parties/export?format=jcard')->assertOk()->streamedContent(), true);
        $this->assertIsArray($cards);
        $this->assertSame('vcard', $cards[0][0]);
        $this->assertCount(Party::query()->whereNull('archived_on')->count(), $cards);
    }

    public function test_a_card_says_how_somebody_is_reached_and_where_they_work_and_nothing_private(): void
    {
        $brass = $this->addCompany('Brass; Lantern, Foundry');
        $silas = $this->addPerson('Silas', 'Wren', ['companyId' => $brass->id, 'title' => 'Director']);
        $this->asAdministrator()->saveSection($silas, 'reach', ['contactPoints' => [
            $this->contact('phone', '802 555 0142 x7', ['label' => 'mobile', 'isPrimary' => true]),
            $this->contact('email', 'silas@wren.example', ['label' => 'home']),
        ]])->assertOk();
        $this->saveSection($silas, 'addresses', ['addresses' => [
            $this->address(['lines' => "14 Meridian Lane\nApt 2", 'uses' => ['home'], 'isPrimary' => true]),
            $this->address(['lines' => '3 Dial Street', 'until' => '2020-01-01']),
        ]])->assertOk();
        $this->saveSection($silas, 'identity', [
            'prefix' => 'Mr.', 'given' => 'Silas', 'middle' => 'A.', 'family' => 'Wren', 'suffix' => 'III',
            'preferred' => 'Sy', 'pronouns' => '',
            'postNominals' => 'CPA', 'birthDate' => '1980-01-02', 'isClient' => false, 'isVendor' => false,
        ])->assertOk();
        $card = $this->get("/api/parties/$silas->id/card")->assertOk()->streamedContent();
        $read = Reader::read($card);
        $this->assertInstanceOf(VCard::class, $read);
        $of = fn (string $name): array => array_map(
            fn (mixed $one) => $one instanceof Property ? $one->getParts() : [],
            $read->select($name),
        );
        $this->assertSame([['Wren', 'Silas', 'A.', 'Mr.', 'III,CPA']], $of('N'));
        $this->assertSame([['tel:+18025550142;ext=7']], $of('TEL'));
        $this->assertStringContainsString('TEL;VALUE=uri;TYPE=cell;PREF=1:tel:', $card);
        $this->assertSame([['Brass; Lantern, Foundry']], $of('ORG'));
        $this->assertSame([['Director']], $of('TITLE'));
        // What is no longer in force is left out.
        $this->assertSame([['', '', "14 Meridian Lane\nApt 2", 'Brattleboro', 'VT', '05301', 'United States']], $of('ADR'));
        $this->assertStringNotContainsString('1980', $card);
        $this->assertStringContainsString(
            'TEL;TYPE=cell,PREF:+18025550142 x7',
            $this->get("/api/parties/$silas->id/card?format=vcard3")->streamedContent(),
        );
    }

    public function test_private_values_are_masked_unless_somebody_who_may_asks_for_them_which_is_logged(): void
    {
        $silas = $this->addPerson('Silas', 'Wren');
        $this->asAdministrator()
            ->saveSection(
                $silas,
                'tax-numbers',
                ['taxNumbers' => [['id' => null, 'kind' => 'SSN', 'country' => '', 'value' => '123-45-6789']]],
            )
            ->assertOk();
        $silas->refresh()->update(['born_on' => '1960-02-28']);
        foreach (['csv', 'json'] as $format) {
            $masked = $this->get("/api/parties/export?whole=1&format=$format")->assertOk()->streamedContent();
            $this->assertStringContainsString('•••• 6789', $masked);
            $this->assertStringNotContainsString('123456789', $masked);
            $this->assertStringNotContainsString('1960-02-28', $masked);
            $this->assertSame(0, Change::query()->where('label', 'What is private')->where('subject_id', '!=', 0)->count());
        }
        $plain = $this->get('/api/parties/export?whole=1&private=1&format=json')->assertOk()->streamedContent();
        $this->assertStringContainsString('123456789', $plain);
        $this->assertStringContainsString('1960-02-28', $plain);
        $this->assertSame([$silas->id], Change::query()->where('label', 'What is private')->pluck('subject_id')->all());
        $this->actingAs($this->user(Role::Reader))->getJson('/api/parties/export?whole=1&private=1')->assertForbidden();
    }

    public function test_everything_is_one_archive_that_explains_itself_and_json_is_as_its_schema_says(): void
    {
        $this->demo();
        $administrator = User::query()->where('email', 'maud@orreryvane.example')->firstOrFail();
        Queue::fake();
        $this->actingAs($administrator);
        $job = $this->postJson('/api/office/archive')->assertCreated()->assertJsonPath('state', 'running')->json('id');
        $this->postJson('/api/office/archive')->assertCreated()->assertJsonPath('id', $job);
        Queue::assertPushed(PackBook::class, 1);
        $this->getJson("/api/jobs/$job/file")->assertNotFound();
        $told = [];
        Job::updated(function (Job $job) use (&$told): void {
            $told[] = $job->done;
        });
        (new PackBook(is_int($job) ? $job : 0))->handle($this->app->make(MakeArchive::class));
        $this->assertSame($told, array_values(Arr::sort($told)), 'it says how far it is');
        $this->assertGreaterThan(20, count(array_unique($told)));
        $this->assertSame(100, end($told));
        $answer = $this->get("/api/jobs/$job/file")->assertOk()->assertHeader('Content-Type', 'application/zip');
        $waiting = (string) file_get_contents(Storage::path((string) Job::query()->value('path')));
        $this->assertStringNotContainsString('READ ME FIRST', $waiting, 'while it waits nobody reads it on the disk');
        $this->assertCount(1, Storage::files('jobs'));
        $saved = (string) tempnam(sys_get_temp_dir(), 'archive');
        file_put_contents($saved, $answer->streamedContent());
        $zip = new \ZipArchive;
        $this->assertTrue($zip->open($saved));
        unlink($saved);
        $this->assertStringContainsString('This is the whole book', (string) $zip->getFromName('READ ME FIRST.html'));
        /** @var list<array<string, mixed>> $records */
        $records = json_decode((string) $zip->getFromName('records.json'), true, flags: JSON_THROW_ON_ERROR);
        $this->assertCount(Party::query()->count(), $records);
        /** @var array{items: array{properties: array<string, mixed>}} $schema */
        $schema = json_decode((string) file_get_contents(base_path('docs/record.schema.json')), true, flags: JSON_THROW_ON_ERROR);
        foreach ($records as $record) {
            $this->assertFits($record, $schema['items'], is_string($record['kind']) ? $record['kind'] : '');
        }
        foreach (['parties', 'documents', 'changes', 'engagements', 'payments'] as $table) {
            $this->assertSame(DB::table($table)->count(), substr_count((string) $zip->getFromName("tables/$table.jsonl"), "\n"), $table);
        }
        $this->assertSame(
            DB::table('files')->count(),
            count(array_filter(range(0, $zip->numFiles - 1), fn (int $at) => str_starts_with((string) $zip->getNameIndex($at), 'files/'))),
        );
        // What lets somebody in stays here: the archive opens what is encrypted.
        foreach (['second_factors', 'recovery_codes', 'known_devices', 'user_sessions', 'personal_access_tokens'] as $table) {
            $this->assertFalse($zip->getFromName("tables/$table.jsonl"), $table);
        }
        $users = (string) $zip->getFromName('tables/users.jsonl');
        $this->assertStringNotContainsString('password', $users);
        // What is encrypted where it is kept is told here: else it would be lost with the key.
        $this->assertStringNotContainsString(
            'eyJpdiI6',
            implode('', array_map(fn (int $at) => (string) $zip->getFromIndex($at), range(0, $zip->numFiles - 1))),
        );
        $this->assertSame('took the whole book as an archive', DB::table('acts')->orderByDesc('id')->value('what'));
        $zip->close();

        // Who no longer runs the office has it no longer either.
        $administrator->update(['role' => Role::Reader]);
        $this->actingAs($administrator->refresh())->getJson("/api/jobs/$job/file")->assertNotFound();
        $this->postJson('/api/office/archive')->assertForbidden();
        $administrator->update(['role' => Role::Administrator]);
        $this->actingAs($administrator->refresh())->deleteJson("/api/jobs/$job")->assertOk()->assertExactJson([]);
        $this->assertSame([], Storage::allFiles('jobs'));
    }

    public function test_an_archive_for_which_there_is_no_room_says_so_and_leaves_nothing(): void
    {
        Queue::fake();
        $this->asAdministrator();
        $id = $this->postJson('/api/office/archive')->assertCreated()->json('id');
        Act::creating(fn () => throw new \RuntimeException('The disk is full.'));
        (new PackBook(is_int($id) ? $id : 0))->handle($this->app->make(MakeArchive::class));
        Act::flushEventListeners();
        $this->getJson('/api/jobs')->assertJsonPath('0.state', 'failed')->assertJsonPath('0.failure', fn (string $told) => str_contains($told, 'Try again'));
        $this->assertSame([], Storage::allFiles('jobs'));
        $this->assertNotSame($id, $this->postJson('/api/office/archive')->assertCreated()->json('id'));
    }

    /** @param  array<string, mixed>  $schema  of JSON Schema, as far as ours uses it */
    private function assertFits(mixed $value, array $schema, string $at): void
    {
        if (isset($schema['enum'])) {
            $this->assertContains($value, (array) $schema['enum'], $at);
        }
        if (($schema['type'] ?? '') === 'string') {
            $this->assertIsString($value, $at);
        }
        if (($schema['type'] ?? '') === 'array') {
            $this->assertIsArray($value, $at);
            $this->assertTrue(array_is_list($value), $at);
            foreach ($value as $one) {
                $this->assertFits($one, (array) $schema['items'], $at);
            }
        }
        if (($schema['type'] ?? '') === 'object') {
            $this->assertIsArray($value, $at);
            $this->assertSame([], array_diff((array) ($schema['required'] ?? []), array_keys($value)), $at);
            foreach ($value as $key => $one) {
                $within = $schema['properties'][$key] ?? $schema['additionalProperties'] ?? false;
                $this->assertIsArray($within, "$at: $key is in the schema");
                $this->assertFits($one, $within, "$at, $key");
            }
        }
    }
}
