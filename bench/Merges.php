<?php

declare(strict_types=1);

namespace Bench;

use App\Actions\Ledger\KeepStandings;
use App\Database\Ids;
use Illuminate\Support\Facades\DB;

/** A record with 2,000 documents made one with another, and taken apart, as often as it takes to know how long that takes. */
final readonly class Merges
{
    private const MERGED = 2000;

    public function __construct(private Served $served)
    {
    }

    /** @return string how long each step takes */
    public function handle(): string
    {
        [$kept, $gone] = Ids::of(DB::table('record_values')->where('is_in_use', true)->where('kind', 'company')->where('party_id', '>', 1)
            ->orderBy('party_id')->limit(2)->pluck('party_id'));
        foreach (['bank_details', 'tax_numbers', 'party_codes', 'relations'] as $table) {
            foreach ($table === 'relations' ? ['from_id', 'to_id'] : ['party_id'] as $column) {
                DB::table($table)->whereIn($column, [$kept, $gone])->delete();
            }
        }
        DB::table('documents')->where('kind', 'invoice')->orderBy('id')->limit(self::MERGED)->update(['party_id' => $gone]);
        app(KeepStandings::class)->refresh($kept, $gone);
        $input = [
            'partyIds' => [$kept, $gone], 'keptId' => $kept, 'chosen' => [], 'lines' => [], 'withArchived' => true,
            'seen' => '', 'why' => '',
        ];
        $times = ['preview' => [], 'made one' => [], 'looked at apart' => [], 'taken apart' => []];
        for ($n = 0; $n < 10; $n++) {
            $preview = $merge = $apart = [];
            $times['preview'][] = Stopwatch::time(function () use (&$preview, $input): void {
                $preview = $this->served->sent('POST', '/api/merges/preview', $input);
            });
            $times['made one'][] = Stopwatch::time(function () use (&$merge, $preview, $input): void {
                $merge = $this->served->sent('POST', '/api/merges', ['seen' => $preview['seen']] + $input);
            });
            $times['looked at apart'][] = Stopwatch::time(function () use (&$apart, $merge): void {
                $apart = $this->served->read("/api/merges/{$merge['id']}/apart");
            });
            $times['taken apart'][] = Stopwatch::time(fn () => $this->served->sent(
                'POST', "/api/merges/{$merge['id']}/apart", ['seen' => $apart['seen'], 'belongs' => [], 'has' => []],
            ));
        }

        return 'two records made one, with '.number_format(DB::table('documents')->where('party_id', $gone)->count()).' documents: '.implode(', ', array_map(
            fn (string $what, array $of) => vsprintf("$what %.0f ms (at most %3\$.0f)", Stopwatch::spread($of)),
            array_keys($times),
            $times,
        ));
    }
}
