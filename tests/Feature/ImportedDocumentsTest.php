<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Interchange\ImportState;
use App\Actions\Interchange\RunImport;
use App\Models\Document;
use App\Models\Import;
use App\Models\Party;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\SumsOfDocuments;
use Tests\TestCase;

/** Documents of a file come in by the steps of people and companies: each is decided, mended, taken, and taken back. */
final class ImportedDocumentsTest extends TestCase
{
    use SumsOfDocuments;
    use TakesImports;

    private const HEADINGS = "kind,number,party,date,amount,text\n";

    private Party $penhallow;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->penhallow = $this->asAdministrator()->addCompany('Penhallow Observatory', ['isClient' => true]);
    }

    public function test_whose_it_is_is_said_once_for_all_of_that_name_and_can_be_said_otherwise(): void
    {
        $other = $this->addCompany('Larch Joiners', ['isClient' => true]);
        $id = $this->hand("invoice,1,The Dome,2026-11-01,5,\ninvoice,2,the dome,2026-11-02,6,\ninvoice,3,The Dome,2026-11-03,7,\n");
        $this->read($id)->assertJsonPath('outcomes.0', ['outcome' => 'doubtful', 'title' => 'doubtful', 'count' => 3]);
        $this->postJson("/api/imports/$id/decide", ['outcome' => 'doubtful', 'decision' => null])->assertUnprocessable()
            ->assertJsonPath('detail', 'There is nobody to take for any of them. Say of each what it is.');
        $this->say($id, 2, ['decision' => 'record', 'recordId' => $this->penhallow->id])
            ->assertOk()->assertJsonPath('outcome', 'new')->assertJsonPath('record.name', 'Penhallow Observatory')->assertJsonPath('name', 'Invoice 1');
        $this->read($id)->assertJsonPath('found', 3)->assertJsonCount(1, 'outcomes');
        // One of them is somebody else's: two are meant by the name now, and the third is asked for.
        $this->say($id, 4, ['decision' => 'record', 'recordId' => $other->id])->assertJsonPath('record.name', 'Larch Joiners');
        $this->read($id)->assertJsonPath('found', 2);
        $this->lines($id, 'doubtful')->assertJsonPath('lines.0.line', 3)
            ->assertJsonPath('lines.0.candidates.*.name', ['Penhallow Observatory', 'Larch Joiners']);
        // As it was: the name means one again.
        $this->say($id, 4, ['decision' => null, 'recordId' => null])->assertJsonPath('record.name', 'Penhallow Observatory');
        $this->read($id)->assertJsonPath('found', 3);
        $this->act($id, 'take')->assertJsonPath('state', 'taken')->assertJsonPath('results.0.count', 3);
        $this->assertSame([$this->penhallow->id], Document::query()->distinct()->pluck('party_id')->all());
        $this->putJson("/api/imports/$id/lines/2", ['cells' => [], 'decision' => 'out', 'recordId' => null, 'existing' => null])
            ->assertUnprocessable();
    }

    public function test_two_of_one_number_apart_in_the_file_stay_two_when_it_is_said_whose_they_are(): void
    {
        $id = $this->hand("invoice,1,The Dome,2026-11-01,5,\nbill,9,The Dome,2026-11-01,5,\ninvoice,1,The Dome,2026-11-01,5,\n");
        $this->say($id, 4, ['decision' => 'record', 'recordId' => $this->penhallow->id])->assertJsonPath('line', 4);
        $this->read($id)->assertJsonPath('outcomes.*.count', [2, 1]);
        $this->lines($id, 'wrong')->assertJsonPath('total', 1)
            ->assertJsonPath('lines.0.problems.0.message', fn (string $why) => str_contains($why, 'Invoice 1 stands on line '));
        $this->say($id, 2, ['decision' => 'out'])->assertJsonPath('outcome', 'left-out');
        $this->say($id, 4, ['decision' => 'record', 'recordId' => $this->penhallow->id])->assertJsonPath('outcome', 'new');
        $this->act($id, 'take')->assertJsonPath('results', [['outcome' => 'added', 'title' => 'added', 'count' => 2]]);
        $this->assertSame([500, 500], Document::query()->pluck('total_minor')->all());
    }

    public function test_a_document_with_several_lines_is_mended_left_out_and_taken_as_one(): void
    {
        $id = $this->hand("invoice,1,Penhallow Observatory,2026-11-01,5,dome\ninvoice,1,Penhallow Observatory,2026-11-01,x,lens\n"
            ."invoice,1,Penhallow Observatory,2026-11-04,y,\ninvoice,2,Penhallow Observatory,2026-11-01,8,\n");
        $this->read($id)->assertJsonPath('outcomes.*.count', [1, 1])->assertJsonPath('found', 1);
        $wrong = $this->lines($id, 'wrong')->assertJsonPath('total', 1)->assertJsonCount(3, 'lines.0.problems');
        $this->assertSame([3, 4, 4], $wrong->json('lines.0.problems.*.line'));
        $this->assertStringContainsString('It is of the same document as line 3.', $this->get("/api/imports/$id/wrong")->streamedContent());
        // A cell of a document beside it is none of its own; the same of a line that is not there.
        $cell = fn (int $line, int $column, string $text) => ['line' => $line, 'column' => $column, 'text' => $text];
        $this->say($id, 2, ['cells' => [$cell(5, 4, '9')]])->assertUnprocessable();
        $this->say($id, 2, ['cells' => [$cell(99, 4, '9')]])->assertUnprocessable();
        // The third line was of another day: with its own number it is a document of its own.
        $this->say($id, 2, ['cells' => [$cell(3, 4, '6'), $cell(4, 4, '7'), $cell(4, 1, '3')]])->assertJsonPath('outcome', 'new')
            ->assertJsonPath('changes.*.to', ['1 Nov 2026', 'USD 11.00', '2']);
        $this->read($id)->assertJsonPath('found', 3);
        // The same number twice: the later is told, where it stands.
        $this->say($id, 5, ['cells' => [$cell(5, 1, '1')]])->assertJsonPath('outcome', 'wrong')
            ->assertJsonPath('problems.0.message', 'Invoice 1 stands on line 2, too. Mend the number, or leave one of them out.');
        // With the number of the document before it, it belongs to that; and with another again not.
        $this->say($id, 5, ['cells' => [$cell(5, 1, '3')]])->assertJsonPath('line', 4)
            ->assertJsonPath('problems.0.message', 'The first line of this document has another date.');
        $this->read($id)->assertJsonPath('outcomes.*.count', [1, 1]);
        $this->say($id, 4, ['cells' => [$cell(5, 1, '1')]])->assertJsonPath('outcome', 'new');
        $this->say($id, 5, ['decision' => 'out'])->assertJsonPath('outcome', 'left-out');
        $this->say($id, 2, ['decision' => 'new'])->assertUnprocessable();
        $this->postJson("/api/imports/$id/decide", ['outcome' => 'doubtful', 'decision' => 'new'])->assertUnprocessable();
        $this->postJson("/api/imports/$id/decide", ['outcome' => 'new', 'decision' => 'out'])->assertJsonPath('found', 0);
        $this->postJson("/api/imports/$id/decide", ['outcome' => 'left-out', 'decision' => null])->assertOk();
        $this->read($id)->assertJsonPath('found', 2)->assertJsonPath('outcomes.*.outcome', ['new', 'wrong']);
        $this->act($id, 'take')->assertJsonPath('results', [['outcome' => 'added', 'title' => 'added', 'count' => 2]]);
        $this->assertSame([['1', 1100, 2], ['3', 700, 1]], Document::query()->orderBy('number')->get()
            ->map(fn (Document $one) => [$one->number, $one->total_minor, $one->lines()->count()])->all());
    }

    public function test_a_book_that_has_it_already_changes_nothing_and_one_that_has_it_otherwise_is_told(): void
    {
        $file = "invoice,1,Penhallow Observatory,2026-11-01,5,\nbill,1,Penhallow Observatory,2026-11-01,5,\n";
        $this->act($this->hand($file), 'take')->assertJsonPath('results.0.count', 2);
        $again = $this->hand($file);
        $this->read($again)->assertJsonPath('outcomes', [['outcome' => 'same', 'title' => 'the same already', 'count' => 2]])
            ->assertJsonPath('mayTake', false);
        $this->postJson("/api/imports/$again/take")->assertUnprocessable();
        $other = $this->hand("invoice,1,Penhallow Observatory,2026-11-01,50,\n");
        $this->lines($other, 'wrong')->assertJsonPath('lines.0.problems.0', [
            'line' => 2, 'column' => 1, 'text' => '1',
            'message' => 'Invoice 1 is in the book already, for somebody else, on another day or with another amount.',
        ]);
    }

    public function test_it_is_stopped_and_counts_as_far_as_it_was_and_goes_on_and_is_taken_back_but_for_what_was_touched(): void
    {
        $id = $this->hand(implode('', array_map(fn (int $n) => "invoice,$n,Penhallow Observatory,2026-11-01,5,\n", range(1, 250))));
        Queue::fake();
        $this->postJson("/api/imports/$id/take")->assertJsonPath('state', 'taking')->assertJsonPath('mayStop', true);
        $run = $this->app->make(RunImport::class);
        // Somebody stops it after the first few.
        $first = true;
        DB::listen(function ($query) use ($id, &$first): void {
            if ($first && str_contains($query->sql, 'update "imports"') && in_array(100, $query->bindings, true)) {
                $first = false;
                $this->app->make(RunImport::class)->stop(Import::query()->whereKey($id)->firstOrFail());
            }
        });
        $run->handle(Import::query()->whereKey($id)->firstOrFail());
        $this->read($id)->assertJsonPath('state', 'stopped')->assertJsonPath('done', 100)->assertJsonPath('mayTake', true)
            ->assertJsonPath('mayTakeBack', true);
        $this->assertSame(100, Document::query()->count());
        $this->owes(50000);
        $this->postJson("/api/imports/$id/take")->assertJsonPath('state', 'taking')->assertJsonPath('done', 100);
        $run->handle(Import::query()->whereKey($id)->firstOrFail());
        $this->read($id)->assertJsonPath('state', 'taken')->assertJsonPath('results.0.count', 250);
        $this->owes(125000);
        // One is void since, of one a part is paid: they stay.
        $void = Document::query()->where('number', '7')->firstOrFail();
        $this->deleteJson("/api/documents/{$void->id}", ['reason' => 'twice', 'amount' => ''])->assertOk();
        $this->postJson("/api/imports/$id/take-back")->assertJsonPath('state', 'taking-back');
        $run->handle(Import::query()->whereKey($id)->firstOrFail());
        $this->read($id)->assertJsonPath('state', 'taken-back')
            ->assertJsonPath('results.*.count', [249, 1]);
        $this->lines($id, '', 'kept')->assertJsonPath('lines.0.name', 'Invoice 7')->assertJsonPath('lines.0.documentId', $void->id)
            ->assertJsonPath('lines.0.message', fn (string $why) => $why !== '');
        $this->assertSame([$void->id], DB::table('documents')->pluck('id')->all());
        $this->owes(0);
        $this->assertSame(ImportState::TakenBack, Import::query()->whereKey($id)->firstOrFail()->state);
    }

    private function owes(int $minor): void
    {
        $this->assertSame($minor, (int) DB::table('balances')->where('party_id', $this->penhallow->id)->value('receivable_minor'));
        $this->assertSumsOfDocuments('as they are');
    }

    private function hand(string $rows): int
    {
        $id = $this->handIn(self::HEADINGS.$rows, 'invoices.csv')->assertCreated()->json('id');
        $this->read(is_int($id) ? $id : 0)->assertJsonPath('state', 'checked');

        return is_int($id) ? $id : 0;
    }

    /**
     * @param array<string, mixed> $said
     *
     * @return TestResponse<Response>
     */
    private function say(int $id, int $line, array $said): TestResponse
    {
        return $this->putJson("/api/imports/$id/lines/$line", $said + ['cells' => [], 'decision' => null, 'recordId' => null, 'existing' => null]);
    }

    /** @return TestResponse<Response> */
    private function lines(int $id, string $outcome, string $done = ''): TestResponse
    {
        return $this->getJson("/api/imports/$id/lines?".http_build_query(array_filter(['outcome' => $outcome, 'done' => $done])))->assertOk();
    }
}
