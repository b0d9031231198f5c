<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Register\AtUniqueKey;
use App\Register\EngagementReferences;
use App\Register\Hold;
use App\Register\PartyReferences;
use App\Register\Reference;
use App\Register\References;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class ReferencesTest extends TestCase
{
    public function test_the_register_names_every_column_that_points_to_a_party(): void
    {
        $pointing = [];
        foreach ($this->tables() as $table) {
            foreach (DB::select("pragma foreign_key_list('$table')") as $key) {
                if (
                    in_array($key->table, ['parties', 'subjects'], true)
                    && ! in_array("$table.$key->from", ['parties.id', 'engagements.id'], true)
                ) {
                    $pointing[] = "$table.$key->from";
                }
            }
        }
        foreach (
            DB::select(
                "select name from sqlite_master where sql like 'create virtual table%fts5%' and name not in ('search_spellings', 'engagement_words', 'mention_words')",
            ) as $search
        ) {
            $pointing[] = "$search->name.rowid";
        }
        $this->assertGreaterThan(30, count($pointing));
        $this->assertEqualsCanonicalizing($pointing, array_map(fn (Reference $one) => "$one->table.$one->column", PartyReferences::all()));
    }

    public function test_the_register_of_engagements_names_every_column_that_points_to_one(): void
    {
        $pointing = ['engagement_words.rowid', ...array_map(fn (Reference $one) => "$one->table.$one->column", References::ofSubject())];
        foreach ($this->tables() as $table) {
            foreach (DB::select("pragma foreign_key_list('$table')") as $key) {
                if ($key->table === 'engagements') {
                    $pointing[] = "$table.$key->from";
                }
            }
        }
        $this->assertEqualsCanonicalizing(
            $pointing,
            array_map(fn (Reference $one) => "$one->table.$one->column", EngagementReferences::all()),
        );
    }

    public function test_it_says_what_happens_at_each_unique_key(): void
    {
        foreach ([...PartyReferences::all(), ...EngagementReferences::all()] as $reference) {
            $keys = array_filter(
                DB::select("pragma index_list('$reference->table')"),
                fn (\stdClass $index) => $index->unique === 1 &&
                    in_array($reference->column, array_column(DB::select("pragma index_info('$index->name')"), 'name'), true),
            );
            $isKey =
                $keys !== [] ||
                array_filter(
                    DB::select("pragma table_info('$reference->table')"),
                    fn (\stdClass $column) => $column->name === $reference->column && $column->pk > 0,
                ) !== [];
            if ($reference->hold !== Hold::Derived) {
                $this->assertSame($isKey, $reference->atUniqueKey !== null, "$reference->table.$reference->column");
            } else {
                $this->assertSame(AtUniqueKey::Goes, $reference->atUniqueKey);
            }
        }
    }

    public function test_what_binds_says_what_it_is_called(): void
    {
        foreach ([...PartyReferences::all(), ...EngagementReferences::all()] as $reference) {
            $this->assertSame(
                $reference->hold === Hold::Binding,
                $reference->one !== '' && $reference->many !== '',
                "$reference->table.$reference->column",
            );
        }
    }
}
