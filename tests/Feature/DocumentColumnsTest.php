<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Document;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** A table of documents whose headings tell little: somebody says what its columns are, and that is remembered. */
final class DocumentColumnsTest extends TestCase
{
    use TakesImports;

    private const GERMAN = "Art;Nummer;Kunde;Datum;Betrag;Bemerkung\n"
        ."invoice;R-1;Penhallow Observatory;13/11/2026;1.250,50;dome\ninvoice;R-2;Penhallow Observatory;02/11/2026;10,00;\n";

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->asAdministrator()->addCompany('Penhallow Observatory', ['isClient' => true]);
    }

    public function test_a_file_that_was_taken_for_people_is_of_documents_and_its_columns_are_said_by_hand_and_remembered(): void
    {
        $id = $this->hand(self::GERMAN)->assertJsonPath('of', 'records')->json('id');
        $this->say($id, ['of' => 'documents'])->assertOk();
        $this->getJson("/api/imports/$id")
            ->assertJsonPath('of', 'documents')->assertJsonPath('state', 'columns')->assertJsonPath('lines', 2)
            ->assertJsonPath('isOpen', true);
        $columns = $this->getJson("/api/imports/$id/columns")
            ->assertOk()
            ->assertJsonPath('columns.*.heading', ['Art', 'Nummer', 'Kunde', 'Datum', 'Betrag', 'Bemerkung']);
        $this->assertSame('Kind of document', $columns->json('targets.0.title'));
        $this->assertSame(['13/11/2026', '02/11/2026'], $columns->json('columns.3.samples'));
        $this->say($id, ['targets' => ['kind', 'number', 'party', 'date', '', '']])->assertUnprocessable()
            ->assertJsonPath('errors.0.field', 'targets')->assertJsonPath('errors.0.message', 'Say which column is: amount.');
        $this->say($id, ['targets' => ['kind', 'number', 'party', 'date', 'amount', 'amount']])
            ->assertJsonPath('errors.0.message', 'Two columns are said to be “Amount”. Leave one of them out.');
        $this->say($id, ['targets' => ['kind', 'number', 'party', 'date', 'amount', 'phone']])->assertUnprocessable();
        $this->say($id, ['targets' => ['kind', 'number', 'party', 'date', 'amount', 'text'], 'isMonthFirst' => false, 'decimalSign' => ','])
            ->assertOk();
        $this->getJson("/api/imports/$id")
            ->assertJsonPath('state', 'checked')->assertJsonPath('found', 2)->assertJsonCount(1, 'outcomes');
        $this->postJson("/api/imports/$id/take")->assertOk();
        $this->assertSame([['R-1', '2026-11-13', 125050], ['R-2', '2026-11-02', 1000]], Document::query()->orderBy('number')->get()
            ->map(fn (Document $one) => [$one->number, $one->dated_on->toIso(), $one->total_minor])->all());
        // The next of the same headings: only what is in it has to be said.
        $again = $this->hand(str_replace('R-', 'S-', self::GERMAN))->json('id');
        $this->say($again, ['of' => 'documents'])->assertOk();
        $this->getJson("/api/imports/$again")->assertJsonPath('state', 'checked')->assertJsonPath('found', 2);
        $this->getJson("/api/imports/$again/columns")
            ->assertJsonPath('columns.*.target', ['kind', 'number', 'party', 'date', 'amount', 'text'])
            ->assertJsonPath('isMonthFirst', false)->assertJsonPath('decimalSign', ',');
        $this->say($again, ['of' => 'records'])->assertOk();
        $this->getJson("/api/imports/$again")
            ->assertJsonPath('of', 'records')->assertJsonPath('state', 'columns')->assertJsonPath('lines', 2);
    }

    public function test_a_column_that_is_missing_is_asked_for_and_one_without_headings_is_read_too(): void
    {
        $id = $this->hand("Kind,Number,Who,Date,Amount\ninvoice,T-1,Penhallow Observatory,2026-11-02,5\n")
            ->assertJsonPath('of', 'documents')->json('id');
        $this->getJson("/api/imports/$id")->assertJsonPath('state', 'columns');
        $this->say($id, ['targets' => ['kind', 'number', 'party', 'date', 'amount']])->assertOk();
        $this->getJson("/api/imports/$id")->assertJsonPath('state', 'checked')->assertJsonPath('found', 1);
        // It may still be otherwise, as long as nothing is taken.
        $this->say($id, ['hasHeadings' => false, 'targets' => ['kind', 'number', 'party', 'date', 'amount']])->assertOk();
        $this->getJson("/api/imports/$id")->assertJsonPath('state', 'columns')->assertJsonPath('lines', 2);
        $this->say($id, ['targets' => ['kind', 'number', 'party', 'date', 'amount']])->assertOk();
        $this->getJson("/api/imports/$id")->assertJsonPath('state', 'checked')->assertJsonPath('found', 1);
        $this->getJson("/api/imports/$id/lines?outcome=wrong")
            ->assertJsonPath('lines.0.problems.0.message', fn (string $told) => str_contains($told, '“Kind” is not a kind of document'));
        $this->postJson("/api/imports/$id/take")->assertOk();
        $this->say($id, ['of' => 'records'])->assertUnprocessable();
        $this->assertSame(1, Document::query()->where('number', 'T-1')->count());
    }

    /** @return TestResponse<Response> */
    private function hand(string $content): TestResponse
    {
        return $this->handIn($content, 'invoices.csv')->assertCreated();
    }

    /**
     * @param array<string, mixed> $said
     *
     * @return TestResponse<Response>
     */
    private function say(mixed $id, array $said): TestResponse
    {
        $id = is_int($id) ? $id : 0;
        $columns = $this->getJson("/api/imports/$id/columns")->assertOk();

        return $this->putJson("/api/imports/$id/columns", $said + [
            'sheet' => $columns->json('sheet'), 'hasHeadings' => $columns->json('hasHeadings'),
            'targets' => $columns->json('columns.*.target'),
            'isMonthFirst' => $columns->json('isMonthFirst'), 'decimalSign' => $columns->json('decimalSign'), 'existing' => 'fill',
            'takesNewWords' => false, 'kind' => null, 'roles' => [],
        ]);
    }
}
