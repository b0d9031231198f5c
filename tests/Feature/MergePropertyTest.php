<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Banking\BankState;
use Almanac\Merging\ApartDecisions;
use Almanac\Merging\Decisions;
use Almanac\Merging\Hindrance;
use Almanac\TaxIds\TaxId;
use Almanac\TaxIds\TaxIdKind;
use App\Actions\Merging\MakeOne;
use App\Actions\Merging\MergePlan;
use App\Actions\Merging\PlanApart;
use App\Actions\Merging\PlanMerge;
use App\Actions\Merging\TakeApart;
use App\Models\BankDetail;
use App\Models\Document;
use App\Models\Merge;
use App\Models\Party;
use App\Models\TaxNumber;
use App\Models\User;
use App\Register\AtMerge;
use App\Register\Hold;
use App\Register\PartyReferences;
use App\Register\Reference;
use Illuminate\Support\Facades\DB;
use Tests\KeptAsTheCoreHasIt;
use Tests\TestCase;

/** Whoever is made one and taken apart again is what it was, to the byte; and nothing is lost or doubled meanwhile. */
final class MergePropertyTest extends TestCase
{
    use KeptAsTheCoreHasIt;

    /** What was told and how often it was saved grows; what is worked out is checked by itself. */
    private const NOT_COMPARED = [
        'changes', 'section_states', 'section_versions', 'merges', 'merge_sides', 'merge_sections', 'merge_rows', 'merge_moves',
        'acts', 'idempotency_keys', 'migrations', 'search_vocabulary', 'conflict_searches', 'conflict_names', 'conflict_findings',
    ];

    /** Of what nothing may be lost, and nothing doubled. */
    private const COUNTED = [
        'documents', 'payments', 'allocations', 'files', 'log_entries', 'reminders', 'cautions', 'meetings', 'messages',
        'cards',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demo();
        $this->administrator = User::query()->where('role', 'administrator')->firstOrFail();
        $this->asAdministrator();
        $this->fillUp();
    }

    public function test_any_of_the_demo_office_made_one_and_taken_apart_are_what_they_were(): void
    {
        mt_srand(1867);
        $parties = array_values(Party::query()->orderBy('id')->get()->all());
        $made = 0;
        for ($n = 0; $n < 300 && $made < 24; $n++) {
            $ids = array_map(fn (int|string $at) => $parties[(int) $at]->id, (array) array_rand($parties, mt_rand(2, 3)));
            $plan = $this->plan($ids);
            if ($this->isPossible($plan)) {
                $this->thereAndBack($plan, ++$made);
            }
        }
        $this->assertSame(24, $made);
        $this->assertEveryReferenceWasExercised();
        $this->assertKeptAsTheCoreHasIt('at the end');
    }

    public function test_nothing_is_lost_whatever_happens_between(): void
    {
        mt_srand(1901);
        $made = 0;
        for ($n = 0; $n < 200 && $made < 8; $n++) {
            $parties = array_values(Party::query()->whereNull('archived_on')->orderBy('id')->get()->all());
            $ids = array_map(fn (int|string $at) => $parties[(int) $at]->id, (array) array_rand($parties, 2));
            $plan = $this->plan($ids);
            if (! $this->isPossible($plan)) {
                continue;
            }
            $made++;
            $merge = $this->make($plan);
            for ($step = 0; $step < 6; $step++) {
                $this->oneStep($plan->kept, $n * 10 + $step);
            }
            $last = DB::table('changes')->max('id');
            $told = DB::table('changes')->count();
            $before = $this->counts();
            $money = $this->standing();
            $this->apartAtRandom($merge);
            $what = 'after '.implode(' and ', $ids);
            $this->assertSame($before, $this->counts(), $what);
            $this->assertSame($told, DB::table('changes')->where('id', '<=', $last)->count(), 'what was told stays');
            $this->assertSame($money, $this->standing(), $what);
            $this->assertSame(count($ids), Party::query()->whereIn('id', $ids)->count());
            $this->assertSame([], DB::select('pragma foreign_key_check'));
            $this->assertSame(0, DB::table('allocations')->join('documents', 'documents.id', 'document_id')->join('payments', 'payments.id', 'payment_id')
                ->whereColumn('documents.party_id', '!=', 'payments.party_id')->count(), "$what: money settles what is of the same record");
            $this->assertOneFirstOfEach($ids, $what);
        }
        $this->assertSame(8, $made);
        $this->assertKeptAsTheCoreHasIt('at the end');
    }

    private function thereAndBack(MergePlan $plan, int $n): void
    {
        $ids = $plan->sides->modelKeys();
        $before = $this->book();
        $counts = $this->counts();
        $money = $this->standing();
        $merge = $this->make($plan);
        $this->assertSame(0, Party::query()->whereIn('id', $plan->goneIds())->count());
        $this->assertSame($counts, $this->counts());
        $this->assertSame($money, $this->standing());
        if ($n % 10 === 0) {
            $this->assertKeptAsTheCoreHasIt('made one of '.implode(' and ', $ids));
        }
        $apart = $this->app->make(PlanApart::class)->of($merge, new ApartDecisions);
        $this->assertSame([[], [], []], [$apart->items, $apart->changes, $apart->lost]);
        $this->app->make(TakeApart::class)->handle($merge, new ApartDecisions, $apart->seen, $this->administrator);
        $after = $this->book();
        foreach ($before as $table => $rows) {
            $this->assertSame($rows, $after[$table], "$table, ".implode(' and ', $ids));
        }
    }

    /** Everything goes to whom chance has it. */
    private function apartAtRandom(Merge $merge): void
    {
        $plan = $this->app->make(PlanApart::class)->of($merge, new ApartDecisions);
        $ids = array_keys($plan->names);
        $belongs = $has = [];
        foreach ($plan->items as $item) {
            $belongs[$item->key] = $ids[mt_rand(0, count($ids) - 1)];
        }
        foreach ($plan->changes as $change) {
            $has[$change->part] = $change->isNew ? [$ids[mt_rand(0, 1)]] : [[], $ids, [$ids[0]], [$ids[1]]][mt_rand(0, 3)];
        }
        $decisions = new ApartDecisions($belongs, $has);
        $this->app->make(TakeApart::class)
            ->handle($merge, $decisions, $this->app->make(PlanApart::class)->of($merge, $decisions)->seen, $this->administrator);
    }

    /** One of the things that happen to a record. */
    private function oneStep(Party $party, int $n): void
    {
        $version = fn (string $section) => (int) DB::table('section_versions')->where([
            'subject_id' => $party->id, 'section' => $section,
        ])->value('version');
        $section = fn (string $section) => (array) $this->getJson("/api/parties/$party->id")->assertOk()->json($section);
        $open = Document::query()
            ->where('party_id', $party->id)->open()->where('kind', 'invoice')->where('currency', 'USD')->orderBy('id')
            ->first();
        $points = array_map(fn (array $point) => [
            ...array_intersect_key($point, $this->contact('', '')),
            'sameAsId' => $point['sameAs'] === null ? null : $point['sameAsId'] ?? null, 'addressUseId' => null,
        ], (array) ($section('reach')['contactPoints'] ?? []));
        match (mt_rand(0, 6)) {
            0 => $this->issued($party, 'invoice', (string) mt_rand(1, 900)),
            1 => $open === null ? null : $this->pay($party, '1', [$open->id => '1'])->assertCreated(),
            2 => $this->saveSection(
                $party, 'reach', ['contactPoints' => [...$points, $this->contact('email', "n$n@b.example")]],
                $version('reach'),
            )->assertOk(),
            3 => $this->saveSection($party, 'reach', ['contactPoints' => array_slice($points, 1)], $version('reach'))->assertOk(),
            4 => $this->postJson(
                "/api/parties/$party->id/entries",
                ['kind' => 'note', 'day' => '', 'withPartyId' => null, 'isPinned' => false, 'text' => "N $n"],
            )->assertCreated(),
            5 => $this->postJson(
                "/api/parties/$party->id/reminders",
                ['text' => "R $n", 'day' => '1 Dec', 'time' => '', 'rule' => '', 'userId' => $this->administrator->id],
            )->assertCreated(),
            default => $this->saveSection(
                $party, 'identity',
                ($party->isPerson() ? ['preferred' => "P$n"] : ['industry' => "I $n"]) + $section('identity'),
                $version('identity'),
            )->assertOk(),
        };
    }

    /** A row of everything that the demo office has little of, at records of both kinds. */
    private function fillUp(): void
    {
        $at = '2026-11-20 10:00:00';
        foreach (Party::query()->whereNull('archived_on')->orderBy('id')->get()->split(4)->first() ?? [] as $party) {
            $of = ['party_id' => $party->id];
            $by = ['user_id' => $this->administrator->id];
            DB::table('messages')->insert($of + $by + ['to' => 'a@b.example', 'subject' => 'S', 'path' => "m$party->id", 'at' => $at]);
            DB::table('jobs')->insert($of + $by + ['kind' => 'statement', 'title' => 'Statement', 'input' => '{}', 'state' => 'ready']);
            DB::table('record_uses')->insertOrIgnore($of + $by + ['at' => $at, 'used_on' => '2026-11-20']);
            if (BankDetail::query()->where($of)->doesntExist()) {
                BankDetail::query()->create($of + $by + [
                    'kind' => 'us', 'holder' => 'H', 'value' => "$party->id", 'masked' => "•••• $party->id",
                    'fingerprint' => "f$party->id", 'state' => BankState::Confirmed,
                    'decided_by_id' => $this->administrator->id, 'decided_at' => $at,
                ]);
            }
            $number = new TaxNumber($of + ['rank' => 9]);
            $number->setNumber(TaxId::of(TaxIdKind::Gln, '', '4006381333931'));
            $number->save();
            DB::table('cards')->insert($of + $by + [
                'brand' => 'Visa', 'last_four' => '4242', 'expires' => '2029-01', 'token' => "t$party->id",
            ]);
            $meeting = $this->postJson("/api/parties/$party->id/meetings", [
                'title' => 'The dial', 'day' => 'today', 'time' => '14', 'minutes' => 60, 'place' => '', 'agenda' => '',
                'partyIds' => [$party->id],
                'userIds' => [], 'documentId' => null, 'isInvited' => false, 'version' => 0,
            ])->assertCreated()->json('id');
            $this->assertIsInt($meeting);
            DB::table('meeting_parties')->insertOrIgnore(['meeting_id' => $meeting, 'party_id' => $party->id]);
            DB::table('log_entries')->insert($by + [
                'subject_id' => $party->id, 'kind' => 'call', 'happened_on' => '2026-11-20',
                'with_party_id' => $party->id, 'text' => 'T',
            ]);
            DB::table('reminders')->insert($by + [
                'subject_id' => $party->id, 'by_id' => $this->administrator->id, 'text' => 'T',
                'first_on' => '2026-12-01', 'due_on' => '2026-12-01', 'time' => '',
            ]);
            DB::table('files')->insert($by + [
                'subject_id' => $party->id, 'name' => 'n.txt', 'kind' => 'photo', 'sha256' => str_repeat('a', 64),
                'size' => 1, 'media_type' => 'text/plain', 'added_at' => $at,
            ]);
            DB::table('cautions')->insert($by + ['subject_id' => $party->id, 'level' => 'note', 'use' => 'any', 'text' => 'T']);
            DB::table('party_codes')->insert($of + ['system' => "portal $party->id", 'value' => '7', 'rank' => 9]);
            DB::table('look_alike_pairs')->insertOrIgnore([
                'first_id' => min($party->id, 90), 'second_id' => max($party->id, 90), 'verdict' => 'perhaps',
                'score' => 1.0, 'signs' => '[]',
                'reasons' => 0, 'state' => 'different', 'decided_by_id' => $this->administrator->id, 'decided_at' => $at,
            ]);
        }
        $this->app->make(\App\Actions\Finding\IndexParties::class)->everything();
    }

    /** The test fails when a table is added to the register and never comes into play here. */
    private function assertEveryReferenceWasExercised(): void
    {
        $touched = [
            ...DB::table('merge_moves')->selectRaw('"table" || \'.\' || "column" as what')->distinct()->pluck('what')->all(),
            ...DB::table('merge_rows')->distinct()->pluck('table')->all(),
        ];
        foreach (PartyReferences::all() as $reference) {
            $what = match ($reference->atMerge) {
                AtMerge::Moves => "$reference->table.$reference->column",
                AtMerge::Settles => $reference->table,
                default => null,
            };
            if ($what !== null) {
                $this->assertContains($what, $touched, 'nothing is what it was only because there was nothing');
            }
        }
    }

    /**
     * Of each kind of phone, email and address one comes first.
     *
     * @param list<int> $ids
     */
    private function assertOneFirstOfEach(array $ids, string $what): void
    {
        foreach (['contact_points' => 'kind', 'address_uses' => "'address'"] as $table => $kind) {
            $counts = DB::table($table)
                ->whereIn('party_id', $ids)->groupByRaw("party_id, $kind")->selectRaw('sum(is_primary) as firsts')
                ->pluck('firsts')->unique()->all();
            $this->assertSame([], array_values(array_diff($counts, [1])), "$what: $table");
        }
    }

    private function isPossible(MergePlan $plan): bool
    {
        return array_filter($plan->hindrances, fn (Hindrance $one) => ! $one->isWaived) === [];
    }

    /** @param  list<int>  $ids */
    private function plan(array $ids): MergePlan
    {
        return $this->app->make(PlanMerge::class)->of($ids, null, new Decisions(withArchived: true), $this->administrator);
    }

    private function make(MergePlan $plan): Merge
    {
        $ids = array_values($plan->sides->map(fn (Party $party) => $party->id)->all());

        return $this->app->make(MakeOne::class)->handle($ids, $plan->kept->id, $plan->decisions, $plan->seen, '', $this->administrator);
    }

    /** @return array<string, int> */
    private function counts(): array
    {
        return array_combine(self::COUNTED, array_map(fn (string $table) => DB::table($table)->count(), self::COUNTED));
    }

    /** @return list<string> what all owe and are owed, by side and currency */
    private function standing(): array
    {
        $sums = DB::table('standings')->groupBy('side', 'currency')->orderBy('side')->orderBy('currency')
            ->selectRaw('side, currency, sum(open_minor - credits_minor - unallocated_minor) as minor')->get();

        return array_values($sums->map(fn (\stdClass $sum) => "$sum->side $sum->currency $sum->minor")->all());
    }

    /** @return array<string, list<string>> every table but the logs and what is worked out, row by row */
    private function book(): array
    {
        $derived = array_map(
            fn (Reference $one) => $one->table,
            array_filter(PartyReferences::all(), fn (Reference $one) => $one->hold === Hold::Derived && $one->atMerge === AtMerge::Drops),
        );
        $book = [];
        foreach ($this->tables() as $table) {
            if (
                in_array($table, [...self::NOT_COMPARED, ...$derived], true)
                || preg_match('/^(search|mention|engagement_words|queued)/', $table) === 1
            ) {
                continue;
            }
            $rows = array_map(fn (\stdClass $row) => json_encode($row, JSON_THROW_ON_ERROR), DB::table($table)->get()->all());
            sort($rows);
            $book[$table] = $rows;
        }

        return $book;
    }
}
