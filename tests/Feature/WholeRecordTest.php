<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use App\Models\Party;
use App\Models\Position;
use App\Models\Reminder;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** What happens at the edges of a whole record: everything on it deleted, two people at once, other alphabets, too much. */
final class WholeRecordTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
    }

    public function test_deleting_leaves_nothing_of_the_record_in_any_table(): void
    {
        $party = $this->filled();
        $this->deleteJson("/api/parties/{$party->id}")->assertNoContent();
        $left = [];
        foreach (Schema::getTables() as ['name' => $table]) {
            foreach (Schema::getColumnListing($table) as $column) {
                if (
                    in_array($column, ['party_id', 'person_id', 'company_id', 'owner_id', 'from_id', 'to_id'], true) &&
                    ! in_array($table, ['parties', 'users'], true)
                ) {
                    $left["$table.$column"] = DB::table($table)->where($column, $party->id)->count();
                }
            }
        }
        $this->assertGreaterThan(15, count($left));
        $this->assertSame([], array_filter($left));
        $this->assertSame([], Storage::allFiles('files'));
        $this->assertSame([], $this->getJson('/api/find?q=Kitchen')->json('results'));
    }

    public function test_an_archived_record_keeps_everything_and_takes_nothing(): void
    {
        $party = $this->filled();
        $before = $this->getJson("/api/parties/{$party->id}")->json();
        $this->putJson("/api/parties/{$party->id}/archive", ['reason' => 'closed'])->assertOk();
        $refused = [
            [
                'PUT',
                'classification',
                [
                    'version' => 1,
                    'types' => [],
                    'tags' => [],
                    'ownerId' => null,
                    'accountManagerId' => null,
                    'buyerId' => null,
                    'source' => '',
                    'language' => '',
                    'grade' => null,
                    'codes' => [],
                ],
            ],
            ['PUT', 'details', ['version' => 1, 'values' => []]],
            ['POST', 'reminders', ['text' => 'x', 'day' => '', 'time' => '', 'rule' => '', 'userId' => 1]],
            [
                'POST',
                'addresses/'.$before['addresses']['addresses'][0]['id'].'/move',
                [
                    'since' => '',
                    'everybody' => true,
                    'documentIds' => [],
                    'country' => 'US',
                    'lines' => '1',
                    'locality' => '',
                    'region' => '',
                    'postcode' => '',
                ],
            ],
            ['POST', 'entries', ['kind' => 'note', 'day' => '', 'withPartyId' => null, 'text' => 'x', 'isPinned' => false]],
        ];
        foreach ($refused as [$method, $path, $input]) {
            $this->json($method, "/api/parties/{$party->id}/$path", $input)->assertStatus(423);
        }
        $this->deleteJson("/api/parties/{$party->id}/archive")->assertOk();
        $after = $this->getJson("/api/parties/{$party->id}")->json();
        unset($before['lastChange'], $after['lastChange']);
        $this->assertSame($before, $after);
    }

    public function test_a_reader_sees_that_private_values_are_there_and_not_what_they_are(): void
    {
        $party = $this->filled();
        $this->actingAs($this->user(Role::Reader));
        $answer = (string) $this->getJson("/api/parties/{$party->id}")
            ->assertOk()
            ->assertJsonPath('details.sheets.0.fields.0.isFilled', true)
            ->getContent();
        $this->assertStringNotContainsString('hunter2', $answer);
        foreach (['changes', 'changes?show=changes'] as $path) {
            $this->assertStringNotContainsString('hunter2', (string) $this->getJson("/api/parties/{$party->id}/$path")->getContent());
        }
        $this->postJson("/api/parties/{$party->id}/reveal", ['fieldId' => 1, 'taxNumberId' => null])->assertForbidden();
    }

    public function test_two_people_who_mark_one_reminder_done_move_it_on_once(): void
    {
        $party = $this->addCompany('Brass');
        $this->postJson("/api/parties/{$party->id}/reminders", [
            'text' => 'Wind',
            'day' => '',
            'time' => '',
            'rule' => 'every week',
            'userId' => 1,
        ])->assertCreated();
        $this->postJson('/api/reminders/1/done', ['day' => '2026-11-24'])->assertNoContent();
        $this->actingAs($this->user(Role::Clerk))->postJson('/api/reminders/1/done', ['day' => '2026-11-24'])->assertNoContent();
        $this->assertSame('2026-12-01', Reminder::query()->findOrFail(1)->due_on->toIso());
        $this->postJson('/api/reminders/1/done', ['day' => '2026-12-01'])->assertNoContent();
        $this->assertSame('2026-12-08', Reminder::query()->findOrFail(1)->due_on->toIso());
    }

    public function test_two_people_who_replace_one_person_do_it_once(): void
    {
        $company = $this->addCompany('Brass');
        $lise = $this->addPerson('Lise', 'Brandt', ['companyId' => $company->id]);
        $sara = $this->addPerson('Sara', 'Holm');
        $position = $lise->heldPositions()->firstOrFail();
        $input = ['successorId' => $sara->id, 'since' => 'today', 'contactPointIds' => []];
        $this->postJson("/api/positions/{$position->id}/replace", $input)->assertOk();
        $this->actingAs($this->user(Role::Clerk))->postJson("/api/positions/{$position->id}/replace", $input)->assertUnprocessable();
        $this->assertSame(2, Position::query()->count());
    }

    public function test_two_people_on_the_classification_are_told_of_each_other(): void
    {
        $party = $this->addCompany('Brass');
        $classify = fn (array $tags) => $this->saveSection($party, 'classification', [
            'types' => [],
            'tags' => $tags,
            'ownerId' => null,
            'accountManagerId' => null,
            'buyerId' => null,
            'source' => '',
            'language' => '',
            'grade' => null,
            'codes' => [],
        ]);
        $classify(['bells'])->assertOk();
        $classify(['chimes'])
            ->assertStatus(409)
            ->assertJsonPath('differences.0', ['label' => 'Tags', 'theirs' => 'bells', 'yours' => 'chimes']);
        $this->assertSame(0, DB::table('list_items')->where('name', 'chimes')->count(), 'what was not saved has made no tag');
    }

    public function test_two_people_on_a_secret_are_told_without_being_told_it(): void
    {
        $party = $this->filled();
        $this->saveSection($party, 'details', ['values' => [['fieldId' => 1, 'value' => 'correct horse']]], 0)->assertStatus(409)
            ->assertJsonPath('differences.0', ['label' => 'Site: Safe', 'theirs' => 'kept, private', 'yours' => 'another, private']);
    }

    public function test_names_of_files_come_from_anywhere(): void
    {
        $party = $this->addCompany('Brass');
        foreach (['شهادة.txt', '証明書.txt', '🕰 clock.txt', 'Zifferblätter "neu" 100%.txt', str_repeat('ä', 120).'.txt'] as $n => $name) {
            $this->post(
                "/api/parties/{$party->id}/files",
                ['file' => UploadedFile::fake()->createWithContent($name, "Ring twice. $n"), 'kind' => 'letter'],
                ['Accept' => 'application/json'],
            )
                ->assertCreated()
                ->assertJsonPath('files.0.name', $name);
            $this->get('/api/files/'.($n + 1))->assertOk();
        }
        $this->putJson('/api/files/1', [
            'name' => '../a/b\\c.txt',
            'kind' => 'letter',
            'expiresOn' => '',
            'isPrivate' => false,
        ])->assertOk();
        $this->assertStringContainsString(
            'attachment',
            (string) $this->get('/api/files/1')->assertOk()->headers->get('Content-Disposition'),
        );
    }

    public function test_a_file_that_is_too_large_is_refused_with_its_size(): void
    {
        $party = $this->addCompany('Brass');
        $large = UploadedFile::fake()->createWithContent('scan.txt', str_repeat("Ring twice.\n", 2_200_000));
        $this->post("/api/parties/{$party->id}/files", ['file' => $large, 'kind' => 'photo'], ['Accept' => 'application/json'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.0.message', 'That file is 26.4 MB; the limit is 25.0 MB. Make it smaller, or split it.');
        $this->assertSame([], Storage::allFiles('files'));
    }

    public function test_words_of_any_alphabet_are_kept_and_found(): void
    {
        $party = $this->addCompany('Brass');
        $this->saveSection($party, 'classification', [
            'types' => [],
            'tags' => ['ساعات', '時計', 'Glocken & Türme'],
            'ownerId' => null,
            'accountManagerId' => null,
            'buyerId' => null,
            'source' => 'Empfehlung – München',
            'language' => 'ar',
            'grade' => null,
            'codes' => [['id' => null, 'system' => 'Lexware-№', 'value' => 'Ä-77/9']],
        ])
            ->assertOk()
            ->assertJsonPath('classification.languageName', 'Arabic');
        foreach (['ساعات', '時計', 'turme', 'ä-77'] as $typed) {
            $this->getJson('/api/find?q='.urlencode($typed))->assertJsonPath('results.0.party.id', $party->id);
        }
    }

    /** A company with something of everything. */
    private function filled(): Party
    {
        $party = $this->addCompany('Kitchen & Sink', ['isClient' => true]);
        $this->postJson('/api/sheets', [
            'name' => 'Site',
            'partyKind' => null,
            'type' => '',
            'isRetired' => false,
            'fields' => [
                [
                    'id' => null,
                    'name' => 'Safe',
                    'kind' => 'secret',
                    'options' => [],
                    'help' => '',
                    'requiredFor' => null,
                    'isRetired' => false,
                ],
            ],
        ])->assertCreated();
        $this->saveSection($party, 'addresses', ['addresses' => [$this->address()]])->assertOk();
        $this->saveSection($party, 'reach', [
            'contactPoints' => [$this->contact('phone', '802-555-0142'), $this->contact('email', 'a@b.example')],
        ])->assertOk();
        $this->saveSection($party, 'classification', [
            'types' => ['contractor'],
            'tags' => ['bells'],
            'ownerId' => 1,
            'accountManagerId' => 1,
            'buyerId' => null,
            'source' => 'web',
            'language' => 'de',
            'grade' => 3,
            'codes' => [['id' => null, 'system' => 'ledger', 'value' => 'K1']],
        ])->assertOk();
        $this->saveSection($party, 'details', ['values' => [['fieldId' => 1, 'value' => 'hunter2']]])->assertOk();
        $this->saveSection($party, 'client-terms', ['listedId' => null, 'shorthand' => 'net 30'])->assertOk();
        $this->postJson("/api/parties/{$party->id}/reminders", [
            'text' => 'Ring',
            'day' => '',
            'time' => '',
            'rule' => 'every day',
            'userId' => 1,
        ])->assertCreated();
        $this->postJson("/api/parties/{$party->id}/entries", [
            'kind' => 'note',
            'day' => '',
            'withPartyId' => null,
            'text' => 'A note',
            'isPinned' => true,
        ])->assertCreated();
        $this->postJson("/api/parties/{$party->id}/cautions", [
            'level' => 'note',
            'use' => 'any',
            'text' => 'A caution',
            'since' => '',
            'until' => '',
        ])->assertCreated();
        $this->post(
            "/api/parties/{$party->id}/files",
            ['file' => UploadedFile::fake()->createWithContent('a.txt', 'Ring twice.'), 'kind' => 'letter'],
            ['Accept' => 'application/json'],
        )->assertCreated();
        $this->putJson('/api/files/1', ['name' => 'a.txt', 'kind' => 'letter', 'expiresOn' => '+60', 'isPrivate' => false])->assertOk();

        return $party;
    }
}
