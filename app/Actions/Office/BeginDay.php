<?php

declare(strict_types=1);

namespace App\Actions\Office;

use App\Actions\Files\SweepFiles;
use App\Actions\Finding\IndexParties;
use App\Actions\Finding\TidySearch;
use App\Actions\Ledger\KeepStandings;
use App\Actions\LookAlikes\ScanBook;
use App\Background\ReadImport;
use App\Background\WorkOutDay;
use App\Database\Ids;
use App\Models\Import;
use App\Models\Office;
use App\Time\Clock;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** Once a day, behind the screen: what is different today though nothing happened is worked out anew. */
final readonly class BeginDay
{
    /** Seconds after which it is asked for again, should whoever had it be gone. */
    private const ASKED_FOR = 120;

    public function __construct(
        private Clock $clock,
        private KeepStandings $standings,
        private IndexParties $index,
        private SweepFiles $files,
        private TidySearch $search,
        private ScanBook $scan,
    ) {
    }

    /** Has it done, where it was not yet; whoever asks does not wait for it. */
    public function ask(): void
    {
        $today = $this->clock->today()->toIso();
        // Asked again by everybody until it is done: once it waits, that is enough.
        if (Office::current()->began_on !== $today && Cache::add("day $today", true, self::ASKED_FOR)) {
            WorkOutDay::dispatch();
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
        foreach (Ids::of(Import::query()->where('state', 'counting')->pluck('id')) as $id) {
            ReadImport::dispatch($id);
        }
        $this->files->handle();
        $this->search->handle();
        $this->scan->beginAgain();
        $this->takeStock();
    }

    /** By its statistics the database knows which index leads where; a sample of each is enough. */
    private function takeStock(): void
    {
        DB::statement('PRAGMA analysis_limit = 1000');
        DB::statement('ANALYZE');
    }
}
