<?php

declare(strict_types=1);

namespace App\Actions\Office;

use App\Actions\Files\SweepFiles;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Background\DetachedProcess;
use App\Models\Import;
use App\Models\Office;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Once a day, in a process of its own: what is different today though nothing happened is worked out anew. */
final readonly class BeginDay
{
    public function __construct(
        private Clock $clock,
        private KeepStandings $standings,
        private IndexParties $index,
        private SweepFiles $files,
    ) {
    }

    /** Has it done, where it was not yet; whoever asks does not wait for it. */
    public function ask(): void
    {
        $today = $this->clock->today()->toIso();
        if (Office::current()->began_on !== $today) {
            DetachedProcess::run(['almanac:day']);
        }
    }

    public function handle(): void
    {
        $today = $this->clock->today()->toIso();
        // Two who ask at once begin it once.
        if (
            DB::table('offices')
                ->where(fn ($other) => $other->whereNull('began_on')->orWhere('began_on', '!=', $today))
                ->update(['began_on' => $today]) === 0
        ) {
            return;
        }
        $this->standings->freshen();
        $this->index->freshen();
        foreach (Import::query()->where('state', 'counting')->pluck('id') as $id) {
            DetachedProcess::run(['almanac:import', (string) $id, '--take']);
        }
        $this->files->handle();
        $this->takeStock();
    }

    /** By its statistics the database knows which index leads where; a sample of each is enough. */
    private function takeStock(): void
    {
        DB::statement('PRAGMA analysis_limit = 1000');
        DB::statement('ANALYZE');
    }
}
