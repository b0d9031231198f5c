<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Access\Role;
use Almanac\Mailing\LabelSheet;
use App\Models\Message;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** A list on paper: labels and envelopes, measured in the file; an address book; phones. */
final class MailingTest extends TestCase
{
    use LivesSomewhere;

    /** In which a PDF measures, in millimetres. */
    private const POINT = 25.4 / 72;

    protected function setUp(): void
    {
        parent::setUp();
        $this->asAdministrator();
    }

    public function test_the_list_is_addressed_by_the_rules_of_letters_and_who_gets_none_is_told(): void
    {
        $this->couple();
        $gone = $this->living('Silas', 'Wren', '1 Quay');
        $gone->update(['is_deceased' => true]);
        $lost = $this->addPerson('Ida', 'Bell');
        $half = $this->addCompany('Half Way Ltd');
        $this->saveSection(
            $half,
            'addresses',
            ['addresses' => [$this->address(['lines' => '2 Road', 'locality' => 'Putney', 'region' => 'VT', 'postcode' => ''])]],
        )
            ->assertOk();
        $answer = $this->getJson('/api/mailing?copies=2&start=30')->assertOk()->assertJsonPath('sheet', 'letter-30')
            ->assertJsonPath('leftOut.*.why', ['no address', 'the address lacks its zip code', 'has died']);
        $this->assertSame([$lost->id, $half->id, $gone->id], array_column((array) $answer->json('leftOut'), 'id'));
        $this->assertSame([['Edith Larkin and', 'Walter Larkin', '9 Pond Street', 'NEWFANE, VT 05345']], $answer->json('examples'));
        $this->assertSame(2, $answer->json('labels'), 'two of each');
        $this->assertSame(2, $answer->json('sheets'), 'the first of them is the last label of a sheet');
        $this->getJson("/api/mailing?ids=$lost->id")->assertJsonPath('labels', 0)->assertJsonPath('leftOutCount', 1);
        foreach (['sheet=none' => 'sheet', 'start=31' => 'start', 'own=1,2' => 'own', 'own=210,297,9,9,0,0,99,34,0,0' => 'own', 'ids=a' => 'ids', 'copies=x' => 'copies'] as $wrong => $field) {
            $this->getJson("/api/mailing?$wrong")->assertUnprocessable()->assertJsonPath('errors.0.field', $field);
        }
        $this->assertStringStartsWith(
            '%PDF',
            (string) $this->get("/api/mailing/pdf?ids=$lost->id")->assertOk()->getContent(),
            'nobody is an empty sheet',
        );
    }

    public function test_labels_stand_where_the_sheet_has_them_to_half_a_millimetre(): void
    {
        if (! is_executable('/usr/bin/pdftotext')) {
            $this->markTestSkipped('pdftotext is not installed: apt-get install poppler-utils, and this is measured too.');
        }
        for ($n = 1; $n <= 7; $n++) {
            $this->living('Person', "Number$n", "$n Some Street");
        }
        $this->living('A very long given name indeed', 'Featherstonehaugh-Cholmondeley of Marlow Falls', str_repeat('Long Road ', 6));
        foreach (LabelSheet::all() as $sheet) {
            $start = $sheet->isEnvelope ? 1 : 5;
            $words = $this->measured((string) $this->get("/api/mailing/pdf?sheet=$sheet->key&start=$start")->assertOk()->getContent());
            $this->assertEqualsWithDelta([$sheet->pageWidth, $sheet->pageHeight], $words['page'], 0.5, $sheet->key);
            $seen = 0;
            foreach ($words['words'] as [$word, $page, $left, $top, $right, $bottom]) {
                if (preg_match('/^Number(\d)$/', $word, $number) !== 1) {
                    continue;
                }
                // In the order of names: the one of the long name comes before them.
                [$onPage, $x, $y] = $sheet->place($start - 1 + (int) $number[1]);
                $this->assertSame($onPage, $page, "$sheet->key, $word");
                $this->assertTrue(
                    $left >= $x - 0.5 && $right <= $x + $sheet->width + 0.5 && $top >= $y - 0.5 && $bottom <= $y + $sheet->height + 0.5,
                    "$sheet->key, $word",
                );
                $seen++;
            }
            $this->assertSame(7, $seen, $sheet->key);
            foreach ($words['words'] as [$word, , $left, $top, $right, $bottom]) {
                $this->assertTrue(
                    $left >= -0.5 && $right <= $sheet->pageWidth + 0.5 && $top >= -0.5 && $bottom <= $sheet->pageHeight + 0.5,
                    "$sheet->key, $word is on the page",
                );
            }
        }
    }

    public function test_an_address_book_and_a_list_of_phones_are_printed_by_letter(): void
    {
        $edith = $this->living('Edith', 'Larkin', '9 Pond Street');
        $this->saveSection($edith, 'reach', ['contactPoints' => [$this->contact('phone', '802-555-0190', ['label' => 'home'])]])
            ->assertOk();
        $this->living('Zoë', 'Ångström', '1 Storgatan');
        $this->addCompany('時計店');
        foreach (['', '?phones=1', '?filter=nobody%20there', '?filter=companies'] as $asked) {
            $answer = $this->get("/api/address-book/pdf$asked")->assertOk();
            $this->assertStringStartsWith('%PDF', (string) $answer->getContent());
            $this->assertStringContainsString(
                $asked === '?phones=1' ? 'Phone-list.pdf' : 'Address-book.pdf',
                (string) $answer->headers->get('Content-Disposition'),
            );
        }
    }

    public function test_what_was_sent_is_found_again_and_sent_once_more_as_it_was(): void
    {
        Storage::fake('local');
        $client = $this->addCompany('Penhallow Observatory', ['isClient' => true]);
        $invoice = $this->issued($client, 'invoice', '12.50');
        $this->getJson('/api/messages')->assertOk()->assertJsonPath('total', 0);
        $this->postJson("/api/documents/$invoice->id/send", ['to' => 'a@penhallow.example, b@penhallow.example', 'text' => 'As agreed.'])
            ->assertOk();
        $first = $this->getJson('/api/messages?q=PENHALLOW')->assertJsonPath('total', 1)
            ->assertJsonPath('messages.0.to', 'a@penhallow.example, b@penhallow.example')
            ->assertJsonPath('messages.0.party.name', 'Penhallow Observatory')->json('messages.0.id');
        foreach (['nobody', '%', '_'] as $other) {
            $this->getJson('/api/messages?q='.urlencode($other))->assertJsonPath('total', 0);
        }
        $second = $this->postJson("/api/messages/$first/again")->assertCreated()->assertJsonPath('total', 2)->json('messages.0.id');
        $sent = array_map(fn (mixed $id) => (string) $this->get("/api/messages/$id")->assertOk()->getContent(), [$first, $second]);
        $own = fn (string $text) => preg_replace('/^(Date|Message-ID): .*$/mi', '', $text);
        $this->assertSame($own($sent[0]), $own($sent[1]), 'the same but for what is a message’s own');
        $this->assertSame(
            2,
            count(array_unique(array_map(
                fn (string $text) => preg_match('/^Message-ID: (.*)$/mi', $text, $found) === 1 ? $found[1] : '',
                $sent,
            ))),
        );
        $this->assertSame(1, $client->logEntries()->where('text', 'like', 'Sent again: %')->count());
        Storage::delete(Message::query()->whereKey($first)->firstOrFail()->path);
        $this->postJson("/api/messages/$first/again")
            ->assertStatus(422)
            ->assertJsonPath('detail', 'What was sent is no longer kept. Send it anew from where it comes.');
        $this->actingAs($this->user(Role::Reader))->postJson("/api/messages/$second/again")->assertForbidden();
    }

    /** @return array{page: array{float, float}, words: list<array{string, int, float, float, float, float}>} each word with its page and edges, in millimetres */
    private function measured(string $pdf): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'labels');
        file_put_contents($path, $pdf);
        $xml = (string) shell_exec('pdftotext -bbox '.escapeshellarg($path).' -');
        unlink($path);
        $document = new \DOMDocument;
        $document->loadXML((string) preg_replace('/<!DOCTYPE[^>]*>/', '', $xml));
        $words = [];
        $pages = $document->getElementsByTagName('page');
        foreach ($pages as $number => $page) {
            foreach ($page->getElementsByTagName('word') as $word) {
                $words[] = [
                    $word->textContent,
                    $number,
                    ...array_map(fn (string $edge) => (float) $word->getAttribute($edge) * self::POINT, ['xMin', 'yMin', 'xMax', 'yMax']),
                ];
            }
        }
        $first = $pages->item(0) ?? throw new \LogicException('There is no page.');

        return [
            'page' => [(float) $first->getAttribute('width') * self::POINT, (float) $first->getAttribute('height') * self::POINT],
            'words' => $words,
        ];
    }
}
