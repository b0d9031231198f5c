<?php

declare(strict_types=1);

namespace Tests\Attack;

use Almanac\Interchange\ImportState;
use App\Actions\Interchange\RunImport;
use App\Database\ImmediatePdo;
use App\Models\Document;
use App\Models\Import;
use App\Models\Party;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\SumsOfDocuments;
use Tests\TestCase;

/** Several processes on one database file: saving at once, and being killed in the middle of it. */
final class SeveralProcessesTest extends TestCase
{
    use OfficeInAFile;
    use SumsOfDocuments;

    public function test_two_who_save_at_once_never_lose_a_change(): void
    {
        $company = $this->addCompany('Brass');
        $writers = [$this->start($company, 'One', 40), $this->start($company, 'Two', 40)];
        $answers = array_map(function (array $writer): string {
            $said = (string) stream_get_contents($writer[1]);
            $this->assertSame(0, proc_close($writer[0]), $said);

            return $said;
        }, $writers);
        $saved = substr_count(implode('', $answers), 'saved');
        $this->assertSame(80, $saved + substr_count(implode('', $answers), 'refused'), 'each save was taken or refused, none got lost');
        $this->assertTrueToItself($company, $saved);
    }

    public function test_a_killed_process_leaves_its_save_wholly_in_or_wholly_out(): void
    {
        $company = $this->addCompany('Brass');
        $told = 0;
        for ($n = 1; $n <= 6; $n++) {
            [$process, $output] = $this->start($company, "Kill $n", 100_000);
            $told += fgets($output) === "saved\n" ? 1 : 0;
            usleep(random_int(1_000, 60_000));
            proc_terminate($process, SIGKILL);
            $told += substr_count((string) stream_get_contents($output), "saved\n");
            proc_close($process);
            $this->assertTrueToItself($company);
            // A save that was told is there; one more may be that was cut off before it could be told.
            $kept = (int) DB::table('section_versions')->where('subject_id', $company->id)->value('version');
            $this->assertGreaterThanOrEqual($told, $kept);
            $this->assertLessThanOrEqual($told + $n, $kept);
            $this->assertGreaterThanOrEqual($n, $told);
        }
    }

    public function test_a_killed_merge_leaves_two_records_or_one(): void
    {
        $ids = [];
        for ($n = 1; $n <= 40; $n++) {
            $ids[] = $this->addPerson('Ada', "Finch $n")->id;
            $this->saveSection(
                Party::query()->findOrFail($ids[count($ids) - 1]),
                'reach',
                ['contactPoints' => [$this->contact('phone', sprintf('802 555 0%03d', 100 + $n))]],
            )
                ->assertOk();
        }
        $told = 0;
        for ($n = 1; $n <= 5; $n++) {
            $process = proc_open(
                [PHP_BINARY, __DIR__.'/merger.php', $this->database, (string) $ids[0]],
                [1 => ['pipe', 'w'], 2 => STDERR],
                $pipes,
            );
            $this->assertIsResource($process);
            $told += fgets($pipes[1]) === "made one\n" ? 1 : 0;
            usleep(random_int(1_000, 80_000));
            proc_terminate($process, SIGKILL);
            $told += substr_count((string) stream_get_contents($pipes[1]), "made one\n");
            proc_close($process);
            DB::purge();
            $this->assertSame('ok', DB::selectOne('pragma integrity_check')->integrity_check);
            $this->assertSame([], DB::select('pragma foreign_key_check'));
            $former = DB::table('former_records')->pluck('party_id')->all();
            $this->assertSame([], array_values(array_intersect($former, DB::table('parties')->pluck('id')->all())), 'nobody is both');
            $this->assertSame(40, count($former) + DB::table('parties')->whereIn('id', $ids)->count(), 'nobody is neither');
            $this->assertSame(count($former), DB::table('merges')->where('state', 'done')->count());
            $this->assertSame(40, DB::table('contact_points')->count());
            $this->assertSame(count($former) + 1, DB::table('contact_points')->where('party_id', $ids[0])->count());
            $this->assertGreaterThanOrEqual($told, count($former));
        }
    }

    public function test_a_killed_import_of_people_goes_on_where_it_was_no_line_twice_and_none_lost(): void
    {
        Queue::fake();
        $file = "First,Last,Company\n".implode('', array_map(fn (int $n) => "Given$n,Family$n,Firm ".($n % 7)."\n", range(1, 200)));
        $id = $this->asAdministrator()
            ->post(
                '/api/imports',
                ['file' => UploadedFile::fake()->createWithContent('people.csv', $file)],
                ['Accept' => 'application/json'],
            )
            ->json('id');
        $import = Import::query()->whereKey($id)->firstOrFail();
        $run = $this->app->make(RunImport::class);
        $run->handle($import);
        $import->refresh()->update(['state' => ImportState::Checking]);
        $run->handle($import->refresh());
        $run->begin($import->refresh());
        for ($kill = 0; $kill < 3; $kill++) {
            $before = DB::table('import_lines')->whereNotNull('done')->count();
            $process = proc_open(
                [PHP_BINARY, base_path('artisan'), 'almanac:import', (string) $import->id],
                [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes, null, ['DB_DATABASE' => $this->database] + getenv(),
            );
            for ($wait = 0; $wait < 1000 && DB::table('import_lines')->whereNotNull('done')->count() === $before && $before < 200; $wait++) {
                usleep(5_000);
            }
            usleep(random_int(1_000, 60_000));
            if ($process !== false) {
                proc_terminate($process, SIGKILL);
                proc_close($process);
            }
            DB::purge();
            $this->assertSame('ok', DB::selectOne('pragma integrity_check')->integrity_check);
            $done = DB::table('import_lines')->where('done', 'added')->count();
            $this->assertSame($done, DB::table('parties')->where('kind', 'person')->count(), 'what is done is what is in the book');
            $this->assertSame($done, DB::table('record_lines')->where('kind', 'person')->count(), 'and what is found');
        }
        $this->app->make(RunImport::class)->handle(Import::query()->whereKey($id)->firstOrFail());
        $this->assertSame(ImportState::Taken, $import->refresh()->state);
        $this->assertSame(
            [200, 7, 200],
            [
                DB::table('parties')->where('kind', 'person')->count(),
                DB::table('parties')->where('kind', 'company')->count(),
                DB::table('positions')->count(),
            ],
        );
    }

    public function test_a_killed_import_of_documents_counts_nothing_until_it_went_on_no_document_twice_and_none_lost(): void
    {
        Queue::fake();
        $company = $this->addCompany('Brass');
        $csv = "kind,number,party,date,amount\n".implode('', array_map(
            fn (int $n) => "invoice,K$n,{$company->number},2026-11-01,5\n", range(1, 1500),
        ));
        $id = $this->post(
            '/api/imports',
            ['file' => UploadedFile::fake()->createWithContent('killed.csv', $csv)],
            ['Accept' => 'application/json'],
        )->json('id');
        $import = Import::query()->whereKey($id)->firstOrFail();
        $run = $this->app->make(RunImport::class);
        $run->handle($import);
        $run->begin($import->refresh());
        $done = fn (): int => DB::table('import_lines')->where('done', 'added')->count();
        for ($kill = 0; $kill < 2; $kill++) {
            $before = $done();
            $process = proc_open(
                [PHP_BINARY, base_path('artisan'), 'almanac:import', (string) $import->id],
                [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes, null, ['DB_DATABASE' => $this->database] + getenv(),
            );
            // Only once it is at work, and then in the midst of it.
            for ($wait = 0; $wait < 2000 && $done() === $before && $before < 1500; $wait++) {
                usleep(2_000);
            }
            usleep(random_int(1_000, 40_000));
            if ($process !== false) {
                proc_terminate($process, SIGKILL);
                proc_close($process);
            }
            DB::purge();
            $this->assertSame('ok', DB::selectOne('pragma integrity_check')->integrity_check);
            $this->assertSame($done(), DB::table('documents')->count(), 'what is done is what is there');
            $this->assertSame($done(), DB::table('document_lines')->count());
            if ($import->refresh()->state === ImportState::Taking) {
                $this->assertSame(0, Document::query()->count(), 'and nobody sees it');
                $this->assertSame(0, (int) DB::table('balances')->sum('receivable_minor'));
            }
            $this->assertSumsOfDocuments('after a kill');
        }
        $this->app->make(RunImport::class)->handle($import->refresh());
        $this->assertSame([ImportState::Taken, 1500], [$import->refresh()->state, $import->taken]);
        $this->assertSame([1500, 1500], [Document::query()->count(), DB::table('document_lines')->count()]);
        $this->assertSame(1500 * 500, (int) DB::table('balances')->sum('receivable_minor'));
        $this->assertSumsOfDocuments('at the end');
    }

    public function test_long_work_lets_everybody_in_who_waits(): void
    {
        DB::statement('create table steps (step integer)');
        $pdo = DB::connection()->getPdo();
        $this->assertInstanceOf(ImmediatePdo::class, $pdo);
        $door = $pdo->door();
        DB::beginTransaction();
        $process = proc_open([PHP_BINARY, __DIR__.'/long-work.php', $this->database], [1 => ['pipe', 'w'], 2 => STDERR], $pipes);
        $this->assertIsResource($process);
        try {
            for ($wait = 0; $wait < 1000 && ! $door->isAwaited(); $wait++) {
                usleep(10_000);
            }
            $this->assertTrue($door->isAwaited(), 'whoever waits says so');
            DB::commit();
            $this->assertSame("at work\n", fgets($pipes[1]));
            $this->assertFalse($door->isAwaited(), 'who has come in waits no longer');
            for ($n = 1; $n <= 10; $n++) {
                $door->wait();
                $before = DB::table('steps')->count();
                $passed = DB::transaction(fn () => DB::table('steps')->count()) - $before;
                $door->leave();
                // The step at hand, and one that had looked round before somebody came.
                $this->assertLessThanOrEqual(2, $passed, "the $n. time");
                $before = DB::table('steps')->count();
                DB::table('steps')->insert(['step' => 0]);
                $this->assertLessThanOrEqual(
                    3,
                    DB::table('steps')->count() - $before,
                    "one that writes alone (it counts itself), the $n. time",
                );
            }
            $this->assertTrue(proc_get_status($process)['running'], 'it was at work all the time');
        } finally {
            proc_terminate($process, SIGKILL);
            proc_close($process);
        }
    }

    /** The name, its parts, the version, the log and the index agree, so no save is half there. */
    private function assertTrueToItself(Party $company, ?int $saves = null): void
    {
        DB::purge();
        $this->assertSame('ok', DB::selectOne('pragma integrity_check')->integrity_check);
        $company->refresh();
        $this->assertSame($company->company_name.' Ltd', $company->legal_name);
        $this->assertSame($company->company_name, $company->display_name);
        $version = (int) DB::table('section_versions')->where('subject_id', $company->id)->value('version');
        $this->assertSame($saves ?? $version, $version);
        $this->assertSame($version, DB::table('changes')->where('subject_id', $company->id)->where('label', 'Name')->count());
        $this->assertSame(
            $company->company_name,
            DB::table('changes')->where('subject_id', $company->id)->where('label', 'Name')->orderByDesc('id')->value('to'),
        );
        $this->assertStringContainsString(
            mb_strtolower($company->company_name),
            DB::table('search_words')->where('rowid', $company->id)->value('name'),
        );
    }

    /** @return array{resource, resource} the process and what it prints */
    private function start(Party $company, string $name, int $saves): array
    {
        $process = proc_open(
            [PHP_BINARY, __DIR__.'/writer.php', $this->database, (string) $company->id, $name, (string) $saves],
            [1 => ['pipe', 'w'], 2 => STDERR],
            $pipes,
        );
        $this->assertIsResource($process);

        return [$process, $pipes[1]];
    }
}
