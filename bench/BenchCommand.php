<?php

declare(strict_types=1);

namespace Bench;

use App\Database\Ids;
use App\Models\Engagement;
use App\Models\Office;
use App\Models\SavedList;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/**
 * Times the requests that people wait for, as a browser sends them, each beside the bare query for the same words or
 * rows in the same run.
 */
final class BenchCommand extends Command
{
    protected $signature = 'almanac:bench {--records=10000} {--lines=50000} {--runs=40} {--import : nothing but the import, and who waits for it}';

    protected $description = 'Fill a big office once, and time what people wait for';

    private const WARMING = 8;

    private const TODAY = '2026-11-24';

    private int $records;

    /** The record of the longest history. */
    private int $longest;

    private Served $served;

    public function handle(BigOffice $big, BigEngagements $engagements, LongHistory $history): int
    {
        config(['almanac.today' => self::TODAY]);
        $this->records = (int) $this->option('records');
        if (! Office::query()->exists()) {
            $this->line("Filling an office of $this->records records …");
            $big->fill($this->records, self::TODAY);
        }
        if (! Engagement::query()->exists()) {
            $engagements->fill($this->records);
        }
        $this->longest = $history->fill(self::TODAY);
        DB::statement('PRAGMA optimize');
        if ($this->option('import') !== true) {
            $this->requests();
        }
        $this->onACopy((int) $this->option('lines'));

        return self::SUCCESS;
    }

    private function requests(): void
    {
        $this->served = Served::start(User::query()->firstOrFail()->createToken('bench')->plainTextToken, self::TODAY);
        try {
            $this->line(
                sprintf(
                    '%s, %s, load %.1f; over HTTP, %d runs a row',
                    date('Y-m-d H:i'),
                    php_uname('m'),
                    sys_getloadavg()[0] ?? 0,
                    (int) $this->option('runs'),
                ),
            );
            $this->line(
                sprintf('%-44s %10s %10s %10s %8s', number_format($this->records).' records', 'median', '95 % in', 'bare, 95 %', 'ratio'),
            );
            $this->row('an empty answer', fn () => $this->served->get('/api/session'), fn () => DB::select('SELECT 1'));
            $this->find();
            $this->directory();
            $this->lists();
            $this->rest();
            $this->engagements();
            $this->past();
            $this->bulk();
            $this->scan();
            $this->browser();
        } finally {
            $this->served->stop();
        }
        foreach ((new TwoServers)->compare(self::TODAY, (int) $this->option('runs')) as $line) {
            $this->line($line);
        }
    }

    /** What a browser adds to it that has never been here. */
    private function browser(): void
    {
        $browser = new Process(
            ['node', 'bench/browser.mjs', $this->served->url, BigOffice::EMAIL, BigOffice::PASSWORD],
            base_path(),
            timeout: 600,
        );
        $browser->mustRun();
        $this->line(trim($browser->getOutput()));
    }

    private function find(): void
    {
        mt_srand(5);
        $names = DB::table('parties')
            ->whereIn('id', array_map(fn () => mt_rand(1, $this->records), range(1, 300)))
            ->pluck('display_name')
            ->map(fn (mixed $name) => is_string($name) ? $name : '')
            ->all();
        $of = fn (int $n) => $names[$n % count($names)];
        $slip = function (string $name): string {
            $at = min(2, strlen($name) - 2);

            return substr($name, 0, $at).$name[$at + 1].$name[$at].substr($name, $at + 2, 5);
        };
        $this->words('find, 1 letter of names that exist', fn (int $n) => substr($of($n), 0, 1));
        $this->words('find, 2 or 3 letters', fn (int $n) => substr($of($n), 0, 2 + $n % 2));
        $this->words('find, 4 to 12 letters', fn (int $n) => substr($of($n), 0, 4 + $n % 9));
        $this->words('find, common parts', fn (int $n) => ['com', '802', 'vt', 'example', 'inc', 'road'][$n % 6]);
        $this->words('find, what nobody has', fn (int $n) => ['xylqu', 'zzgrb', 'qwxop', 'vvtrk'][$n % 4].substr('abcdef', 0, $n % 6));
        $this->words('find, with letters swapped', fn (int $n) => $slip($of($n)));
    }

    /** @param  \Closure(int): string  $words */
    private function words(string $name, \Closure $words): void
    {
        $this->row($name, fn (int $n) => $this->served->get('/api/find?engagements=1&q='.rawurlencode($words($n))), function (int $n) use (
            $words,
        ): array {
            $asked = implode(
                ' ',
                array_map(
                    fn (string $word) => '"'.$word.'"*',
                    preg_split('/[^a-z0-9]+/', strtolower($words($n)), -1, PREG_SPLIT_NO_EMPTY) ?: [],
                ),
            );

            return DB::select('SELECT rowid FROM search_words WHERE search_words MATCH ? ORDER BY rank LIMIT 20', [$asked]);
        });
    }

    private function directory(): void
    {
        $pages = max(1, intdiv($this->records, 100) - 5);
        $at = fn (int $n) => [1, intdiv($pages, 2), $pages][$n % 3];
        $this->row(
            'directory by name: first, middle, last page',
            fn (int $n) => $this->served->get('/api/parties?page='.$at($n)),
            fn (int $n) => $this->bare(
                'SELECT * FROM parties WHERE archived_on IS NULL ORDER BY sort_key, id LIMIT 100 OFFSET '.($at($n) - 1) * 100,
            ),
        );
        foreach (['receivable', 'payable', 'overdue', 'days-to-pay'] as $sort) {
            $column = $sort === 'days-to-pay' ? 'days_to_pay_tenths' : "{$sort}_minor";
            $this->row(
                "directory by $sort",
                fn (int $n) => $this->served->get("/api/parties?sort=$sort&page=".(($n % 5) + 1)),
                fn (int $n) => $this->bare(
                    "SELECT p.* FROM parties p JOIN balances b ON b.party_id = p.id WHERE p.archived_on IS NULL AND b.$column <> 0 ORDER BY b.$column DESC, p.id LIMIT 100 OFFSET ".
                        ($n % 5) * 100,
                ),
            );
        }
    }

    /** Lists of the directory: three conditions in several orders, lists counted, a sentence typed, many changed at once. */
    private function lists(): void
    {
        $wanted = [
            ['clients in VT, owing more than 100', "v.is_client = 1 AND v.region = 'vt' AND v.receivable_minor > 10000"],
            ['vendors without a tax number, owed something', 'v.is_vendor = 1 AND v.has_tax_number = 0 AND v.payable_minor IS NOT NULL'],
            ['people with an email, added this year', "v.kind = 'person' AND v.email IS NOT NULL AND v.added_at >= '2026-01-01'"],
            ['clients in NH or MA, not billed since 1 Jan 2026', "v.is_client = 1 AND v.region IN ('nh', 'ma')"],
        ];
        $sorts = ['name', 'receivable', 'place', '-added', 'owner,name'];
        $this->row(
            'directory, three conditions, in any order',
            fn (int $n) => $this->served->get(
                '/api/parties?filter='.rawurlencode($wanted[$n % 4][0]).'&sort='.$sorts[$n % 5].'&page='.($n % 3 + 1),
            ),
            fn (int $n) => $this->bare(
                "SELECT v.party_id FROM record_values v WHERE v.is_in_use = 1 AND {$wanted[$n % 4][1]} ORDER BY v.collated LIMIT 100",
            ),
        );
        $names = [
            'owing something', 'with something overdue', 'in VT', 'people without a phone', 'tagged museum',
            'vendors without bank details', 'not ready to bill',
        ];
        foreach ($names as $at => $sentence) {
            SavedList::query()->firstOrCreate(
                ['user_id' => 1, 'list' => 'parties', 'name' => "Bench $at"],
                ['is_shared' => true, 'sentence' => $sentence, 'columns' => [], 'sort' => '', 'view' => 'table'],
            );
        }
        $this->row(
            'the counts of twelve lists',
            fn () => $this->served->get('/api/long-lists/parties/saved'),
            fn () => $this->bare('SELECT count(*) FROM record_values WHERE is_in_use = 1 AND email IS NULL'),
        );
        $typed = 'vendors in VT without a tax number, paid this year, owed more than 500';
        $this->row(
            'what may come next in a sentence',
            fn (int $n) => $this->served->get(
                '/api/long-lists/parties/suggestions?typed='.rawurlencode(mb_substr($typed, 0, $n * 7 % mb_strlen($typed))),
            ),
            fn () => $this->bare('SELECT * FROM list_items'),
        );
    }

    /** Many records changed behind the screen, and how long others wait who save meanwhile; then changed back. */
    private function bulk(): void
    {
        $many = min(10_000, intdiv($this->records, 10));
        $ids = Ids::of(DB::table('record_values')->where('is_in_use', true)->orderBy('party_id')->limit($many)->pluck('party_id'));
        $others = Ids::of(
            DB::table('record_values')->where('is_in_use', true)->where('party_id', '>', end($ids))->limit(50)->pluck('party_id'),
        );
        foreach (['an owner set on' => (int) DB::table('users')->max('id'), 'nobody set on' => null] as $what => $owner) {
            $begun = microtime(true);
            $id = $this->served->sent('POST', '/api/bulk-changes', [
                'chosen' => ['isAll' => false, 'filter' => '', 'withArchived' => false, 'ids' => $ids],
                'change' => ['kind' => 'owner', 'values' => [], 'userId' => $owner],
            ])['id'];
            $longest = 0.0;
            for ($n = 0; DB::table('bulk_changes')->where('id', $id)->value('state') !== 'done'; $n++) {
                $before = hrtime(true);
                $this->served->saveReach($others[$n % count($others)], $n);
                $longest = max($longest, (hrtime(true) - $before) / 1e6);
                usleep(200_000);
            }
            $this->line(sprintf(
                '%-44s %8.1f s   the longest save of others meanwhile %.0f ms',
                "$what ".number_format(
                    DB::table('bulk_change_records')->where(['bulk_change_id' => $id, 'outcome' => 'changed'])->count(),
                ).' records',
                microtime(true) - $begun,
                $longest,
            ));
        }
    }

    /** The whole book gone through for look-alikes, and how long others wait who save meanwhile. */
    private function scan(): void
    {
        $others = Ids::of(DB::table('record_values')->where('is_in_use', true)->orderByDesc('party_id')->limit(50)->pluck('party_id'));
        $scan = new Process([PHP_BINARY, '-d', 'memory_limit=512M', 'artisan', 'almanac:bench-scan'], base_path(), timeout: null);
        $scan->start();
        $longest = 0.0;
        for ($n = 0; $scan->isRunning(); $n++) {
            $before = hrtime(true);
            $this->served->saveReach($others[$n % count($others)], $n);
            $longest = max($longest, (hrtime(true) - $before) / 1e6);
            usleep(200_000);
        }
        $this->line('a scan for look-alikes: '.trim($scan->getOutput().$scan->getErrorOutput())
            .sprintf('; the longest save of others meanwhile %.0f ms', $longest));
    }

    private function rest(): void
    {
        $inUse = Ids::of(DB::table('parties')->whereNull('archived_on')->where('id', '>', 1)->pluck('id'));
        $id = fn (int $n) => $inUse[($n * 131) % count($inUse)];
        $this->row(
            'open a record with its standing',
            fn (int $n) => $this->served->get('/api/parties/'.$id($n)),
            fn (int $n) => $this->bareRecord($id($n)),
        );
        $this->row(
            'open a company of '.BigOffice::STAFF_OF_THE_FIRST.' people',
            fn () => $this->served->get('/api/parties/1'),
            fn () => $this->bareRecord(1),
        );
        foreach (
            [
                'overdue' => "open_minor > 0 AND state IN ('issued', 'part-paid') AND next_due_on < '".self::TODAY."' ORDER BY next_due_on, id",
                'open' => "open_minor > 0 AND state IN ('issued', 'part-paid') ORDER BY next_due_on, id",
                'settled' => "state = 'settled' ORDER BY dated_on DESC, id DESC",
                '' => '1 = 1 ORDER BY dated_on DESC, id DESC',
            ] as $state => $where
        ) {
            $this->row(
                'the ledger, '.($state ?: 'everything'),
                fn (int $n) => $this->served->get("/api/documents?state=$state&page=".(($n % 5) + 1)),
                fn (int $n) => $this->bare("SELECT * FROM documents WHERE $where LIMIT 50 OFFSET ".($n % 5) * 50),
            );
        }
        $this->row(
            'today',
            fn () => $this->served->get('/api/today'),
            fn () => $this->bare('SELECT * FROM changes ORDER BY id DESC LIMIT 200'),
        );
        $this->row(
            'look-alike check',
            fn (int $n) => $this->served->send('POST', '/api/look-alikes', [
                'kind' => 'person',
                'given' => Names::given(),
                'family' => Names::family(),
                'name' => '',
                'phones' => ['802555'.sprintf('%04d', $n)],
                'emails' => [],
                'taxNumbers' => [],
                'exceptId' => null,
            ]),
            fn (int $n) => $this->bare("SELECT party_id FROM look_alike_keys WHERE key = 'phone:+1802555".sprintf('%04d', $n)."'"),
        );
        $this->row('save reach', fn (int $n) => $this->served->saveReach($id($n), $n), fn (int $n) => $this->bareSave($id($n), $n));
        $this->row(
            'save reach of the company of '.BigOffice::STAFF_OF_THE_FIRST,
            fn (int $n) => $this->served->saveReach(1, $n),
            fn (int $n) => $this->bareSave(1, $n),
        );
    }

    private function engagements(): void
    {
        $ids = Ids::of(DB::table('engagements')->orderBy('id')->limit(2000)->pluck('id'));
        $stages = Ids::of(DB::table('engagement_stages')->where('meaning', '!=', 'closed')->pluck('id'));
        $roles = Ids::of(DB::table('engagement_roles')->pluck('id'));
        $this->row(
            'a case or project with '.BigEngagements::DOCUMENTS_OF_THE_FIRST.' documents',
            fn () => $this->served->get('/api/engagements/'.$ids[0]),
            fn () => $this->bare("SELECT * FROM documents WHERE engagement_id = {$ids[0]}"),
        );
        $this->row(
            'cases and projects, going on',
            fn (int $n) => $this->served->get('/api/engagements?page='.($n % 5 + 1)),
            fn (int $n) => $this->bare(
                'SELECT * FROM engagements WHERE is_closed = 0 ORDER BY begun_on DESC LIMIT 50 OFFSET '.($n % 5) * 50,
            ),
        );
        $this->row(
            'cases and projects, three filters',
            fn (int $n) => $this->served->get(
                "/api/engagements?stageId={$stages[$n % count($stages)]}&roleId={$roles[$n % count($roles)]}&ownerId=1",
            ),
            fn (int $n) => $this->bare(
                "SELECT * FROM engagements WHERE stage_id = {$stages[$n % count($stages)]} AND owner_id = 1 LIMIT 50",
            ),
        );
        $this->row(
            'cases and projects of a record',
            fn (int $n) => $this->served->get('/api/parties/'.($n * 37 % $this->records + 1).'/engagements'),
            fn (int $n) => $this->bare('SELECT * FROM engagement_parties WHERE party_id = '.($n * 37 % $this->records + 1)),
        );
        $this->row('a conflict search of ten names', fn () => $this->served->send('POST', '/api/conflict-searches', [
            'engagementId' => null,
            'names' => array_map(fn () => ['name' => Names::given().' '.Names::family(), 'role' => 'insured'], range(1, 10)),
        ]), fn () => $this->bare("SELECT rowid FROM search_words WHERE search_words MATCH '\"smi\"*' LIMIT 300"));
    }

    private function past(): void
    {
        $id = $this->longest;
        $this->row(
            'first page of a history of '.LongHistory::ENTRIES,
            fn () => $this->served->get("/api/parties/$id/stream"),
            fn () => $this->bare("SELECT * FROM changes WHERE subject_id = $id ORDER BY at DESC LIMIT 40"),
        );
        $saved = fn (int $n) => ($n * 37) % $this->records + 1;
        $this->row(
            'a record as of a day',
            fn (int $n) => $this->served->get("/api/parties/{$saved($n)}/as-of?day=".self::TODAY),
            fn (int $n) => $this->bare("SELECT * FROM section_states WHERE subject_id = {$saved($n)}"),
        );
        $this->row(
            'a company of '.BigOffice::STAFF_OF_THE_FIRST.' people as of a day',
            fn () => $this->served->get('/api/parties/1/as-of?day='.self::TODAY),
            fn () => $this->bare('SELECT * FROM section_states WHERE subject_id = 1'),
        );
    }

    /**
     * @param \Closure(int): mixed $work
     * @param \Closure(int): mixed $bare
     */
    private function row(string $name, \Closure $work, \Closure $bare): void
    {
        $runs = (int) $this->option('runs');
        $times = $bares = [];
        // Each of the four processes of the server has done the same before, as by the middle of a morning.
        for ($n = 0; $n < self::WARMING; $n++) {
            $work($n);
            $bare($n);
        }
        for (; $n < $runs + self::WARMING; $n++) {
            $times[] = Stopwatch::time(fn () => $work($n));
            $bares[] = Stopwatch::time(fn () => $bare($n));
        }
        [$median, $most] = Stopwatch::spread($times);
        [, $bare] = Stopwatch::spread($bares);
        $this->line(sprintf('%-44s %7.1f ms %7.1f ms %7.2f ms %7.1f×', $name, $median, $most, $bare, $most / max(0.01, $bare)));
    }

    /** @return list<object> */
    private function bare(string $sql): array
    {
        return array_values(DB::select($sql));
    }

    private function bareRecord(int $id): void
    {
        foreach (
            [
                'parties WHERE id',
                'contact_points WHERE party_id',
                'address_uses WHERE party_id',
                'documents WHERE party_id',
                'changes WHERE subject_id',
                'positions WHERE company_id',
            ] as $table
        ) {
            DB::select("SELECT * FROM $table = ?", [$id]);
        }
    }

    private function bareSave(int $id, int $n): void
    {
        DB::transaction(fn () => DB::update('UPDATE contact_points SET label = ? WHERE party_id = ?', ["bare $n", $id]));
    }

    /** On a copy of the book: records made one, and files that come in while somebody else goes on working. */
    private function onACopy(int $lines): void
    {
        $copy = storage_path('bench-import.sqlite');
        $remove = fn () => array_map(unlink(...), glob("$copy*") ?: []);
        $remove();
        DB::statement('VACUUM INTO ?', [$copy]);
        config(['database.connections.sqlite.database' => $copy]);
        DB::purge();
        putenv("DB_DATABASE=$copy");
        $this->served = Served::start(User::query()->firstOrFail()->createToken('bench')->plainTextToken, self::TODAY);
        try {
            $this->line((new Merges($this->served))->handle());
            $working = new OthersAtWork($this->served);
            foreach ([
                'import of '.number_format($lines).' documents' => ['almanac:bench-import', "--records=$this->records", "--lines=$lines"],
                'import of people and companies' => ['almanac:bench-people', '--lines='.intdiv($lines, 10)],
            ] as $what => $command) {
                foreach ($working->during($what, [...$command, '--day='.self::TODAY], ['DB_DATABASE' => $copy]) as $line) {
                    $this->line($line);
                }
            }
        } finally {
            $this->served->stop();
            DB::purge();
            $remove();
        }
    }
}
