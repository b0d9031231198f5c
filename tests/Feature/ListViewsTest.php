<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Payment;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/**
 * Lists looked at otherwise than as a table of records: on the map, by what is next, over months; and the lists of the
 * ledger and of cases.
 */
final class ListViewsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demo();
        $this->actingAs($this->colleague('maud'));
    }

    #[TestWith([''])]
    #[TestWith(['vendors'])]
    #[TestWith(['clients or in VT'])]
    public function test_everybody_of_a_list_is_on_the_map_or_said_not_to_be(string $filter): void
    {
        foreach ([1, 6, 12] as $nearness) {
            $places = $this->asked('/api/parties/places', ['filter' => $filter, 'nearness' => $nearness]);
            $total = $this->asked('/api/parties', ['filter' => $filter])->json('total');
            /** @var list<array{many: int, clause: string}> $dots */
            $dots = [...(array) $places->json('dots'), ...(array) $places->json('areas')];
            $this->assertSame($total, array_sum(array_column($dots, 'many')) + $places->json('nowhere'));
            foreach ($dots as $dot) {
                $narrowed = $this->asked('/api/parties', ['filter' => $filter === '' ? $dot['clause'] : "($filter), {$dot['clause']}"]);
                $this->assertTrue($narrowed->json('filter.isWhole'), $dot['clause']);
                $this->assertSame($dot['many'], $narrowed->json('total'), $dot['clause']);
            }
        }
        // Farther away there are fewer dots.
        $this->assertLessThanOrEqual(
            count((array) $this->asked('/api/parties/places', ['nearness' => 12])->json('dots')),
            count((array) $this->asked('/api/parties/places', ['nearness' => 1])->json('dots')),
        );
        $this->assertSame([], $this->asked('/api/parties/places', ['inside' => '10S 10E to 5S 20E'])->json('dots'));
    }

    public function test_what_is_next_comes_first_and_what_is_past_its_day_is_told(): void
    {
        $page = $this->asked('/api/parties', ['view' => 'next-steps']);
        $page->assertJsonPath('columns.*.key', ['name', 'reminder', 'reminder-text', 'last', 'last-what', 'owner'])
            ->assertJsonPath('sort.0.key', 'reminder');
        $days = DB::table('record_values')->whereIn('party_id', (array) $page->json('rows.*.id'))->pluck('reminder_on', 'party_id');
        $inOrder = array_map(fn (int $id) => $days[$id], (array) $page->json('rows.*.id'));
        $known = array_values(array_filter($inOrder));
        $this->assertSame([...$known, ...array_fill(0, count($inOrder) - count($known), null)], $inOrder, 'those without come last');
        $this->assertSame(collect($known)->sort()->values()->all(), $known);
        $late = $days->filter(fn (mixed $day) => is_string($day) && $day < '2026-11-24')->keys()->all();
        $this->assertNotSame([], $late);
        $this->assertEqualsCanonicalizing($late, $page->json('late'));
        $this->getJson('/api/parties?view=nonsense')->assertStatus(422);
    }

    /** Against a plain walk over the documents and payments. */
    public function test_months_add_up_to_what_was_billed_and_paid(): void
    {
        $months = $this->asked('/api/parties/months', ['period' => 'last 12 months']);
        $total = $this->asked('/api/parties/counts', ['period' => 'last 12 months', 'by' => 'kind'])->json('total');
        $billed = $bills = $received = $paid = 0;
        foreach (Document::query()->get() as $one) {
            $isWithin = $one->dated_on->toIso() >= '2025-12-01' && $one->dated_on->toIso() <= '2026-11-30';
            if ($one->currency === 'USD' && $isWithin && in_array($one->state, DocumentState::counted(), true)) {
                $billed += match ($one->kind) {
                    DocumentKind::Invoice => $one->total_minor, DocumentKind::CreditNote => -$one->total_minor, default => 0,
                };
                $bills += match ($one->kind) {
                    DocumentKind::Bill => $one->total_minor, DocumentKind::CreditReceived => -$one->total_minor, default => 0,
                };
            }
        }
        foreach (Payment::query()->where('is_void', false)->where('currency', 'USD')->get() as $one) {
            $amount = $one->paid_on->toIso() >= '2025-12-01' && $one->paid_on->toIso() <= '2026-11-30' ? $one->amount_minor : 0;
            $received += $one->side->value === 'client' ? $amount : 0;
            $paid += $one->side->value === 'vendor' ? $amount : 0;
        }
        $this->assertGreaterThan(0, min($billed, $bills, $received, $paid));
        /** @var list<list<int>> $heights */
        $heights = $months->json('*.heights');
        $this->assertSame(
            [$billed, $received, $bills, $paid],
            array_map(fn (int $at) => array_sum(array_column($heights, $at)), [0, 1, 2, 3]),
        );
        $cents = fn (string $sum) => (int) round(100 * (float) ((array) $total)[$sum]['amount']);
        // Archived records are in no list unless they are asked for.
        $this->assertSame([$billed, $received], [$cents('billed'), $cents('received')]);
        $months->assertJsonPath('0.month', 'December 2025')->assertJsonCount(12);
        $this->asked('/api/parties/months', ['period' => 'nonsense'])->assertJsonPath('0.month', 'January 2026');
        $this->asked('/api/parties/counts', ['by' => 'billed'])->assertJsonPath('isOverTime', true);
    }

    public function test_the_ledger_is_asked_by_a_sentence_and_adds_up_what_it_shows(): void
    {
        $page = $this->asked(
            '/api/documents',
            ['filter' => 'invoices, above 500', 'sort' => '-total', 'columns' => 'number,party,total,party-region'],
        );
        $page->assertJsonPath('filter.isWhole', true)->assertJsonPath('columns.*.key', ['number', 'party', 'total', 'party-region']);
        $expected = Document::query()
            ->where(['kind' => 'invoice', 'currency' => 'USD'])->where('total_minor', '>', 50000)
            ->orderBy('total_minor')->get();
        $this->assertSame($expected->count(), $page->json('total'));
        $this->assertSame($expected->first()?->total()->figures(), $page->json('rows.0.total.text'));
        $counted = $expected->filter(fn (Document $one) => in_array($one->state, DocumentState::counted(), true));
        $this->assertSame(number_format($counted->sum('total_minor') / 100, 2), $page->json('sums.0.total.text'));
        // With what is chosen besides.
        $this->assertLessThan(
            $page->json('total'),
            $this->asked('/api/documents', ['filter' => 'invoices, above 500', 'state' => 'overdue'])->json('total'),
        );
        $this->assertSame(
            $this->asked('/api/documents', ['filter' => 'overdue'])->json('total'),
            $this->asked('/api/documents', ['state' => 'overdue'])->json('total'),
        );
        $this->asked('/api/documents', ['filter' => '"; drop table documents; --'])->assertJsonPath('filter.isWhole', false);
        $this->getJson('/api/documents?filter[]=x')->assertOk();
    }

    public function test_each_list_keeps_its_own_names_and_columns(): void
    {
        $input = [
            'name' => 'Late ones', 'sentence' => 'overdue', 'choices' => 'side=client&state=open', 'columns' => [],
            'sort' => '', 'view' => 'table',
            'isShared' => true,
        ];
        $this->postJson('/api/long-lists/documents/saved', $input)->assertCreated()
            ->assertJsonPath('0.name', 'Late ones')->assertJsonPath('0.count', null)->assertJsonPath('0.choices', 'side=client&state=open');
        $this->postJson('/api/long-lists/engagements/saved', ['sentence' => 'overdue'] + $input)
            ->assertCreated()->assertJsonPath('0.isWhole', false);
        $this->assertNotContains('Late ones', (array) $this->getJson('/api/long-lists/parties/saved')->json('*.name'));
        $this->getJson('/api/long-lists/nonsuch/saved')->assertNotFound();
        $this->putJson('/api/long-lists/documents/look', ['columns' => [['key' => 'open', 'width' => 90]]])->assertNoContent();
        $this->asked('/api/documents', [])->assertJsonPath('columns.*.key', ['number', 'open'])->assertJsonPath('columns.1.width', 90);
        $this->assertNotSame(['number', 'open'], $this->asked('/api/engagements', [])->json('columns.*.key'));
        $clause = ['field' => 'late', 'operator' => 'above', 'values' => '10'];
        $this->asked('/api/long-lists/documents/clause', $clause)->assertJsonPath('text', 'late by more than 10');
        $this->getJson('/api/long-lists/engagements/clause?'.http_build_query($clause))->assertStatus(422);
    }

    public function test_a_hidden_case_is_in_no_list_of_those_who_may_not_see_it(): void
    {
        $case = Engagement::everyOne()->where('is_private', true)->firstOrFail();
        DB::table('documents')->limit(1)->update(['engagement_id' => $case->id]);
        $many = fn (string $path, string $filter) => $this->asked(
            $path,
            ['filter' => $filter, 'state' => $path === '/api/engagements' ? 'all' : ''],
        )->json('total');
        $this->assertSame(
            [0, 0],
            [$many('/api/engagements', "number is {$case->number}"), $many('/api/documents', "case or project is {$case->number}")],
        );
        $this->actingAs($this->colleague('cordelia'));
        $this->assertSame(1, $many('/api/engagements', "number is {$case->number}"));
        $this->assertGreaterThan(0, $many('/api/documents', "case or project is {$case->number}"));
    }

    private function colleague(string $name): User
    {
        return User::query()->where('email', "$name@orreryvane.example")->firstOrFail();
    }

    /**
     * @param array<string, scalar> $query
     *
     * @return TestResponse<Response>
     */
    private function asked(string $path, array $query): TestResponse
    {
        return $this->getJson($path.'?'.http_build_query($query))->assertOk();
    }
}
