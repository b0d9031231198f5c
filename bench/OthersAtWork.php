<?php

declare(strict_types=1);

namespace Bench;

use App\Database\Ids;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** Somebody who goes on finding, opening and saving while long work is done in a process of its own. */
final readonly class OthersAtWork
{
    private const PAUSE = 100_000;

    public function __construct(private Served $served)
    {
    }

    /**
     * @param list<string> $command
     * @param array<string, string> $environment
     *
     * @return list<string> what the work said, and how long others waited meanwhile
     */
    public function during(string $what, array $command, array $environment): array
    {
        $work = new Process([PHP_BINARY, 'artisan', ...$command], base_path(), $environment, timeout: null);
        $work->start();
        $waits = ['find' => [], 'open a record' => [], 'save reach' => []];
        $inUse = Ids::of(DB::table('parties')->whereNull('archived_on')->where('id', '>', 1)->limit(1000)->pluck('id'));
        for ($n = 0; $work->isRunning(); $n++) {
            $id = $inUse[($n * 131) % count($inUse)];
            $waits['find'][] = Stopwatch::time(fn () => $this->served->get('/api/find?q='.substr('smithjohnson', 0, $n % 8 + 1)));
            $waits['open a record'][] = Stopwatch::time(fn () => $this->served->get("/api/parties/$id"));
            $waits['save reach'][] = Stopwatch::time(fn () => $this->served->saveReach($id, $n));
            usleep(self::PAUSE);
        }

        return ["$what: ".trim($work->getOutput().$work->getErrorOutput()), ...array_map(
            fn (string $kind, array $times) => vsprintf('%-44s %7.1f ms %7.1f ms, %.1f ms at the most (%d times)', [
                "  meanwhile, $kind", ...Stopwatch::spread($times), count($times),
            ]),
            array_keys($waits),
            $waits,
        )];
    }
}
