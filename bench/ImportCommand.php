<?php

declare(strict_types=1);

namespace Bench;

use Almanac\Interchange\ImportState;
use App\Actions\Interchange\RunImport;
use App\Models\Import;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Storage;

/** Imports many documents in a process of its own, as an office does, and says how long it took and how much memory. */
final class ImportCommand extends Command
{
    protected $signature = 'almanac:bench-import {--records=10000} {--lines=50000} {--day=}';

    protected $description = 'Time an import of documents';

    public function handle(RunImport $run): int
    {
        config(['almanac.today' => $this->option('day')]);
        Storage::put('imports/bench', $this->csv((int) $this->option('lines'), (int) $this->option('records')));
        $import = Import::query()->create([
            'name' => 'bench.csv',
            'path' => 'imports/bench',
            'state' => ImportState::Reading,
            'user_id' => User::query()->firstOrFail()->id,
        ]);
        $start = hrtime(true);
        $run->handle($import);
        $checked = hrtime(true);
        $run->begin($import->refresh());
        $run->handle($import->refresh());
        $this->line(sprintf(
            'checked in %.1f s, taken in %.1f s; %d found; %.0f MB at the most',
            ($checked - $start) / 1e9,
            (hrtime(true) - $checked) / 1e9,
            $import->refresh()->taken,
            memory_get_peak_usage(true) / 1048576,
        ));
        Storage::delete('imports/bench');

        return self::SUCCESS;
    }

    private function csv(int $lines, int $records): string
    {
        $csv = "kind,number,party,date,amount,tax,text\n";
        for ($n = 1; $n <= $lines; $n++) {
            $csv .= sprintf(
                "invoice,B%s,%d,2026-11-%02d,%d.50,6,Work\n",
                bin2hex(random_bytes(5)),
                1000 + (($n * 13) % $records) + 1,
                ($n % 24) + 1,
                $n % 900,
            );
        }

        return $csv;
    }
}
