<?php

declare(strict_types=1);

namespace App\Actions\Office;

use App\Actions\Files\SweepFiles;
use App\Actions\Ledger\KeepStandings;
use App\Models\Import;
use App\Support\Aside;
use App\Support\Clock;
use Illuminate\Support\Facades\DB;

/** Once a day, in a process of its own: what is different today though nothing happened is worked out anew. */
final readonly class BeginDay
{
    public function __construct(private Clock $clock, private KeepStandings $standings, private SweepFiles $files)
    {
    }

    /** Has it done, where it was not yet; whoever asks does not wait for it. */
    public function ask(): void
    {
        $today = $this->clock->today()->toIso();
        if (DB::table('offices')->value('began_on') !== $today) {
            Aside::run(['almanac:day']);
        }
    }

    public function handle(): void
    {
        $today = $this->clock->today()->toIso();
        // Two who ask at once begin it once.
        if (DB::table('offices')->where(fn ($other) => $other->whereNull('began_on')->orWhere('began_on', '!=', $today))->update(['began_on' => $today]) === 0) {
            return;
        }
        $this->standings->freshen();
        foreach (Import::query()->where('state', 'counting')->pluck('id') as $id) {
            Aside::run(['almanac:import', (string) $id, '--take']);
        }
        $this->files->handle();
    }
}
