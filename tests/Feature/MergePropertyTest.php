<?php

declare(strict_types=1);

namespace Tests\Feature;

use Almanac\Merging\ApartDecisions;
use Almanac\Merging\Decisions;
use Almanac\Merging\Hindrance;
use App\Actions\Merging\MakeOne;
use App\Actions\Merging\MergePlan;
use App\Actions\Merging\PlanApart;
use App\Actions\Merging\PlanMerge;
use App\Actions\Merging\TakeApart;
use App\Models\Merge;
use App\Models\Party;
use App\Models\User;
use App\Register\AtMerge;
use App\Register\Hold;
use App\Register\PartyReferences;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Whoever is made one and taken apart again is what it was, to the byte; and nothing is lost or doubled meanwhile. */
final class MergePropertyTest extends TestCase
{
    /** What was told and how often it was saved grows; what is worked out is checked by itself. */
    private const NOT_COMPARED = [
        'changes', 'section_states', 'section_versions', 'merges', 'merge_sides', 'merge_sections', 'merge_rows', 'merge_moves',
        'acts', 'idempotency_keys', 'migrations', 'search_vocabulary', 'conflict_searches', 'conflict_names', 'conflict_findings',
    ];

    public function test_any_two_of_the_demo_office_made_one_and_taken_apart_are_what_they_were(): void
    {
        $this->demo();
        $this->administrator = User::query()->where('role', 'administrator')->firstOrFail();
        mt_srand(1867);
        $parties = Party::query()->orderBy('id')->get()->all();
        $made = 0;
        for ($n = 0; $n < 200 && $made < 40; $n++) {
            $ids = array_map(fn (int|string $at) => $parties[$at]->id, (array) array_rand($parties, mt_rand(2, 3)));
            $made += $this->thereAndBack($ids) ? 1 : 0;
        }
        $this->assertGreaterThan(25, $made);
    }

    /** @param  list<int>  $ids */
    private function thereAndBack(array $ids): bool
    {
        $plan = $this->plan($ids);
        if (array_filter($plan->hindrances, fn (Hindrance $one) => ! $one->isWaived) !== []) {
            return false;
        }
        $before = $this->book();
        $merge = $this->make($plan);
        $this->assertSame(0, Party::query()->whereIn('id', $plan->goneIds())->count());
        $apart = $this->app->make(PlanApart::class)->of($merge, new ApartDecisions);
        $this->assertSame([[], [], []], [$apart->items, $apart->changes, $apart->lost]);
        $this->app->make(TakeApart::class)->handle($merge, new ApartDecisions, $apart->seen, $this->administrator);
        $after = $this->book();
        foreach ($before as $table => $rows) {
            $this->assertSame($rows, $after[$table], "$table, ".implode(' and ', $ids));
        }

        return true;
    }

    /** @param  list<int>  $ids */
    private function plan(array $ids): MergePlan
    {
        return $this->app->make(PlanMerge::class)->of($ids, null, new Decisions(withArchived: true), $this->administrator);
    }

    private function make(MergePlan $plan): Merge
    {
        return $this->app->make(MakeOne::class)
            ->handle(array_values($plan->sides->map(fn (Party $party) => $party->id)->all()), $plan->kept->id, $plan->decisions, $plan->seen, '', $this->administrator);
    }

    /** @return array<string, list<string>> every table but the logs and what is worked out, row by row */
    private function book(): array
    {
        $derived = ['look_alike_due'];
        foreach (PartyReferences::all() as $reference) {
            if ($reference->hold === Hold::Derived && $reference->atMerge === AtMerge::Drops) {
                $derived[] = $reference->table;
            }
        }
        $book = [];
        foreach ($this->tables() as $table) {
            if (in_array($table, [...self::NOT_COMPARED, ...$derived], true) || preg_match('/^(search|mention|engagement_words|queued)/', $table) === 1) {
                continue;
            }
            $rows = array_map(fn (\stdClass $row) => json_encode($row, JSON_THROW_ON_ERROR), DB::table($table)->get()->all());
            sort($rows);
            $book[$table] = $rows;
        }

        return $book;
    }
}
