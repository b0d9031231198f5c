<?php

declare(strict_types=1);

namespace Bench;

use App\Database\Ids;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** The same requests to the server of one desk and to nginx with php-fpm, in turns. */
final readonly class TwoServers
{
    private const WARMING = 12;

    /** @return list<string> */
    public function compare(string $today, int $runs): array
    {
        $token = User::query()->firstOrFail()->createToken('bench')->plainTextToken;
        $desk = Served::start($token, $today);
        $nginx = Served::behindNginx($token, $today);
        try {
            $ids = Ids::of(DB::table('parties')->whereNull('archived_on')->where('id', '>', 1)->limit(5000)->pluck('id'));
            $manifest = json_decode((string) file_get_contents(public_path('build/manifest.json')), true, flags: JSON_THROW_ON_ERROR);
            $script = is_array($manifest) ? $manifest['resources/js/main.tsx']['file'] : '';
            $lines = [sprintf('%-44s %21s %21s', 'median, 95 % in', 'serve', 'nginx and php-fpm')];
            $works = [
                'an empty answer' => fn (Served $at) => $at->get('/api/session'),
                'find, 5 letters' => fn (Served $at, int $n) => $at->get('/api/find?q='.rawurlencode(substr(Names::family(), 0, 5))),
                'directory by name' => fn (Served $at, int $n) => $at->get('/api/parties?page='.($n % 9 + 1)),
                'open a record with its standing' => fn (Served $at, int $n) => $at->get('/api/parties/'.$ids[($n * 131) % count($ids)]),
                'save reach' => fn (Served $at, int $n) => $at->saveReach($ids[($n * 131) % count($ids)], $n),
                'the first script, compressed' => fn (Served $at) => $at->get("/build/$script"),
            ];
            foreach ($works as $name => $work) {
                $times = [[], []];
                for ($n = 0; $n < $runs + self::WARMING; $n++) {
                    foreach ([$desk, $nginx] as $which => $served) {
                        $took = Stopwatch::time(fn () => $work($served, 2 * $n + $which));
                        if ($n >= self::WARMING) {
                            $times[$which][] = $took;
                        }
                    }
                }
                $lines[] = sprintf('%-44s %7.1f ms %7.1f ms %8.1f ms %7.1f ms', $name, ...array_slice(Stopwatch::spread($times[0]), 0, 2), ...array_slice(Stopwatch::spread($times[1]), 0, 2));
            }

            return $lines;
        } finally {
            $desk->stop();
            $nginx->stop();
        }
    }
}
