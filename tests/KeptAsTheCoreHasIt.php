<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Database\DryRun;
use Illuminate\Support\Facades\DB;

/** What is kept over all records, beside what the core makes of them now. */
trait KeptAsTheCoreHasIt
{
    use SumsOfDocuments;

    private function assertKeptAsTheCoreHasIt(string $when): void
    {
        $kept = $this->everythingKept();
        $anew = DryRun::of(function (): array {
            $this->app->make(KeepStandings::class)->everything();
            $this->app->make(IndexParties::class)->everything();

            return $this->everythingKept();
        });
        $this->assertEquals($anew, $kept, $when);
        $this->assertSumsOfDocuments($when);
    }

    /** @return array<string, list<array<string, mixed>>> by table */
    private function everythingKept(): array
    {
        $kept = [];
        foreach (
            [
                'standings' => '*',
                'balances' => '*',
                'record_gaps' => '*',
                'record_lines' => '*',
                'record_values' => '*',
                'look_alike_keys' => '*',
                'search_words' => 'rowid, *',
                'search_letters' => 'rowid, *',
            ] as $table => $columns
        ) {
            $rows = DB::table($table)
                ->selectRaw($columns)
                ->get()
                ->map(fn (object $row) => array_diff_key((array) $row, ['id' => 0, 'created_at' => 0, 'updated_at' => 0]))
                ->all();
            usort($rows, fn (array $a, array $b) => json_encode($a) <=> json_encode($b));
            $kept[$table] = $rows;
        }

        return $kept;
    }
}
