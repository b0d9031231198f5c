<?php

declare(strict_types=1);

namespace Bench;

use App\Actions\Ledger\ImportDocuments;
use App\Models\Import;
use App\Models\Office;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Once;

/** Times the requests that people wait for, each beside the bare query for the same rows, in the same run. */
final class BenchCommand extends Command
{
    protected $signature = 'almanac:bench {--records=10000} {--lines=50000} {--runs=60}';

    protected $description = 'Fill a big office once, and time what people wait for';

    private const TODAY = '2026-11-24';

    public function handle(BigOffice $big, Kernel $kernel): int
    {
        config(['almanac.today' => self::TODAY]);
        $records = (int) $this->option('records');
        if (! Office::query()->exists()) {
            $this->line("Filling an office of $records records …");
            DB::transaction(fn () => $big->fill($records, self::TODAY));
        }
        Auth::setUser(User::query()->firstOrFail());
        $this->line(sprintf('%-44s %12s %12s %8s', number_format($records).' records', '95 % within', 'bare query', 'ratio'));
        $pages = max(1, intdiv($records, 100));
        $this->row('find or add, each keystroke', fn (int $n) => $this->get($kernel, '/api/find?q='.rawurlencode(trim(substr(['lantern ha', 'merid', 'office'.($n * 7 % $records + 1), '0000'.($n + 1000), 'quill or'][$n % 5], 0, 3 + $n % 8)))), fn (int $n) => DB::select('SELECT rowid FROM search_words WHERE search_words MATCH ? ORDER BY rank LIMIT 20', ['"'.['lant', 'merid', 'offic', 'quil', 'gran'][$n % 5].'"*']));
        $this->row('directory, a page of 100, by name', fn (int $n) => $this->get($kernel, '/api/parties?page='.($n * 37 % $pages + 1)), fn (int $n) => $this->bare('SELECT * FROM parties WHERE archived_on IS NULL ORDER BY sort_key, id LIMIT 100 OFFSET '.($n * 37 % $pages * 100)));
        foreach (['receivable', 'overdue', 'days-to-pay'] as $sort) {
            $column = str_replace('-', '_', $sort);
            $this->row("directory, a page of 100, by $sort", fn (int $n) => $this->get($kernel, "/api/parties?sort=$sort&page=".($n % 5 + 1)), fn (int $n) => $this->bare("SELECT p.* FROM parties p JOIN balances b ON b.party_id = p.id WHERE p.archived_on IS NULL ORDER BY b.$column DESC, p.id LIMIT 100 OFFSET ".($n % 5 * 100)));
        }
        $this->row('open a record with its standing', fn (int $n) => $this->get($kernel, '/api/parties/'.($n * 131 % $records + 1)), fn (int $n) => $this->bareRecord($n * 131 % $records + 1));
        $this->row('the ledger, a page of 50 overdue', fn (int $n) => $this->get($kernel, '/api/documents?state=overdue&page='.($n % 5 + 1)), fn (int $n) => $this->bare("SELECT * FROM documents WHERE open_minor > 0 AND state IN ('issued', 'part-paid') AND next_due < '".self::TODAY."' ORDER BY next_due, id LIMIT 50 OFFSET ".($n % 5 * 50)));
        $this->row('save a section, look-alike check included', fn (int $n) => $this->save($kernel, $n * 17 % $records + 1, $n), fn (int $n) => DB::transaction(fn () => DB::update('UPDATE contact_points SET label = ? WHERE party_id = ?', ["l$n", $n * 17 % $records + 1])));
        $this->import((int) $this->option('lines'), $records);

        return self::SUCCESS;
    }

    /**
     * @param \Closure(int): mixed $work
     * @param \Closure(int): mixed $bare
     */
    private function row(string $name, \Closure $work, \Closure $bare): void
    {
        $runs = (int) $this->option('runs');
        $work(0);
        $bare(0);
        $times = $bares = [];
        for ($n = 1; $n <= $runs; $n++) {
            Once::flush();
            $times[] = $this->time(fn () => $work($n));
            $bares[] = $this->time(fn () => $bare($n));
        }
        sort($times);
        sort($bares);
        $at = (int) floor(0.95 * ($runs - 1));
        $this->line(sprintf('%-44s %9.1f ms %9.2f ms %7.1f×', $name, $times[$at], $bares[$at], $times[$at] / max(0.01, $bares[$at])));
    }

    /** @param  \Closure(): mixed  $work */
    private function time(\Closure $work): float
    {
        $start = hrtime(true);
        $work();

        return (hrtime(true) - $start) / 1e6;
    }

    /** @return list<object> */
    private function bare(string $sql): array
    {
        return array_values(DB::select($sql));
    }

    private function bareRecord(int $id): void
    {
        foreach (['parties WHERE id', 'contact_points WHERE party_id', 'address_uses WHERE party_id', 'documents WHERE party_id', 'changes WHERE party_id'] as $table) {
            DB::select("SELECT * FROM $table = ?", [$id]);
        }
    }

    private function get(Kernel $kernel, string $path): void
    {
        $this->mustSucceed($kernel->handle(Request::create($path, 'GET', server: ['HTTP_ACCEPT' => 'application/json']))->getStatusCode(), $path);
    }

    private function save(Kernel $kernel, int $id, int $n): void
    {
        $server = ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'];
        $asked = ['kind' => 'company', 'given' => '', 'family' => '', 'name' => 'Lantern Harbor Foundry', 'phones' => ["802555$n"], 'emails' => [], 'taxNumbers' => [], 'exceptId' => $id];
        $this->mustSucceed($kernel->handle(Request::create('/api/look-alikes', 'POST', server: $server, content: (string) json_encode($asked)))->getStatusCode(), 'look-alikes');
        $version = (int) DB::table('section_versions')->where('party_id', $id)->where('section', 'reach')->value('version');
        $points = array_map(fn (\stdClass $point) => ['id' => $point->id, 'kind' => $point->kind, 'value' => $point->typed, 'label' => "run $n", 'uses' => [], 'isPrimary' => true, 'isLinked' => false, 'addressUseId' => null], DB::select('SELECT id, kind, typed FROM contact_points WHERE party_id = ? AND kind != ?', [$id, 'phone']));
        $this->mustSucceed($kernel->handle(Request::create("/api/parties/$id/reach", 'PUT', server: $server, content: (string) json_encode(['version' => $version, 'contactPoints' => $points])))->getStatusCode(), 'reach');
    }

    private function mustSucceed(int $status, string $what): void
    {
        if ($status >= 300) {
            throw new \RuntimeException("$what answered $status.");
        }
    }

    /** In a process of its own, so that its memory is its own. */
    private function import(int $lines, int $records): void
    {
        $csv = "kind,number,party,date,amount,tax,text\n";
        for ($n = 1; $n <= $lines; $n++) {
            $csv .= 'invoice,B'.bin2hex(random_bytes(5)).','.(1000 + ($n * 13 % $records) + 1).',2026-11-'.sprintf('%02d', $n % 24 + 1).','.($n % 900).".50,6,Work\n";
        }
        Storage::put('imports/bench', $csv);
        $import = Import::query()->create(['name' => 'bench.csv', 'path' => 'imports/bench', 'state' => 'checking', 'user_id' => User::query()->firstOrFail()->id]);
        $documents = app(ImportDocuments::class);
        $check = $this->time(fn () => $documents->check($import));
        $documents->begin($import->refresh());
        $take = $this->time(fn () => $documents->take($import->refresh()));
        $this->line(sprintf('%-44s %9.1f s  checked in %.1f s, taken in %.1f s; %d found; %.0f MB at the most', 'import '.number_format($lines).' CSV lines', ($check + $take) / 1000, $check / 1000, $take / 1000, $import->refresh()->taken, memory_get_peak_usage(true) / 1048576));
        DB::transaction(function () use ($import): void {
            DB::statement('DELETE FROM document_events WHERE document_id IN (SELECT id FROM documents WHERE import_id = ?)', [$import->id]);
            DB::statement('DELETE FROM document_lines WHERE document_id IN (SELECT id FROM documents WHERE import_id = ?)', [$import->id]);
            DB::statement('DELETE FROM documents WHERE import_id = ?', [$import->id]);
        });
        $documents->forget($import);
    }
}
