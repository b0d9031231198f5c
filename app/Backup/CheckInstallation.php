<?php

declare(strict_types=1);

namespace App\Backup;

use Almanac\Ledger\DocumentKind;
use App\Actions\Finding\IndexParties;
use App\Actions\Ledger\KeepStandings;
use App\Actions\Office\RebuildProjections;
use App\Models\File;
use App\Upgrade\ReleasedMigrations;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Once;

/**
 * Checks an installation from end to end: the database, the key, projections against the core, files against their
 * hashes, numbers of documents without gaps. It reads a copy, so that nobody waits for it.
 */
final readonly class CheckInstallation
{
    /** Tables that are computed, with the columns by which rows are compared. */
    private const PROJECTIONS = [
        'standings' => '*', 'balances' => '*', 'record_gaps' => '*', 'record_lines' => '*', 'record_values' => '*', 'look_alike_keys' => '*',
        'search_words' => 'rowid, *', 'search_letters' => 'rowid, *', 'engagement_words' => 'rowid, *',
        'tax_numbers' => 'id, fingerprint', 'bank_details' => 'id, fingerprint', 'detail_values' => 'id, sort',
    ];

    private const SUMMED = 'SELECT kind, state, open_minor > 0 AS is_open, currency, iif(open_minor > 0, coalesce(next_due_on, \'\'), \'\') AS next_due_on,'
        .' is_in_parts, count(*) AS documents, sum(total_minor) AS total_minor, sum(net_minor) AS net_minor, sum(open_minor) AS open_minor'
        .' FROM documents WHERE state <> \'staged\' GROUP BY 1, 2, 3, 4, 5, 6 ORDER BY 1, 2, 3, 4, 5, 6';

    private const KEPT_SUMS = 'SELECT kind, state, is_open, currency, next_due_on, is_in_parts, documents, total_minor, net_minor, open_minor'
        .' FROM document_sums WHERE documents <> 0 ORDER BY 1, 2, 3, 4, 5, 6';

    public function __construct(private Application $app)
    {
    }

    /** @return list<Finding> nothing where all is well */
    public function handle(): array
    {
        $found = [...$this->database(), ...$this->key(), ...$this->numbers(), ...$this->files()];

        // What is damaged is not computed anew.
        return $found === [] ? $this->projections() : $found;
    }

    /** @return list<Finding> */
    private function database(): array
    {
        $found = [];
        foreach (DB::select('PRAGMA integrity_check(10)') as $row) {
            $said = (string) array_values((array) $row)[0];
            $said === 'ok' || $found[] = new Finding("The database is damaged: $said. Restore a backup.");
        }
        foreach (DB::select('PRAGMA foreign_key_check') as $row) {
            $found[] = new Finding("Row {$row->rowid} of $row->table refers to a row of $row->parent that is missing. Restore a backup, or ask for help.");
        }
        $missing = array_diff(ReleasedMigrations::all(), DB::table('migrations')->pluck('migration')->all());
        $missing === [] || $found[] = new Finding('The database is of an earlier version. Run ./almanac serve, which upgrades it.');

        return $found;
    }

    /** @return list<Finding> */
    private function key(): array
    {
        [$unreadable, $looked] = Installation::unreadable(DB::connection()->getPdo(), (string) config('app.key'));

        return $unreadable === 0 ? [] : [new Finding(
            "The key does not fit the database: $unreadable of $looked private values that were tried cannot be read. Put back the file key from a backup of this office.",
        )];
    }

    /** @return list<Finding> */
    private function numbers(): array
    {
        $found = [];
        foreach (DB::table('series')->get() as $series) {
            $kind = DocumentKind::tryFrom((string) $series->kind);
            if ($kind === null) {
                continue;
            }
            $year = (int) $series->year;
            $known = array_flip(DB::table('documents')->where('kind', $kind->value)
                ->where('number', 'like', substr($kind->numbered($year, 0), 0, -4).'%')->pluck('number')->all());
            for ($place = 1; $place <= (int) $series->last; $place++) {
                $number = $kind->numbered($year, $place);
                isset($known[$number]) || $found[] = new Finding("The number $number was given to a document that is missing.");
            }
        }

        return $found;
    }

    /** @return list<Finding> */
    private function files(): array
    {
        $found = [];
        foreach (File::query()->lazyById(500) as $file) {
            if (! Storage::exists($file->path())) {
                $found[] = new Finding("The file “{$file->name}” (file $file->id) is missing. Restore a backup, or upload it again.");
            } elseif (hash_file('sha256', Storage::path($file->path())) !== $file->sha256) {
                $found[] = new Finding("The file “{$file->name}” (file $file->id) is not what was uploaded. Restore a backup, or upload it again.");
            }
        }
        foreach (['messages' => 'an email of the outbox', 'letter_runs' => 'the file of a letter run'] as $table => $what) {
            foreach (DB::table($table)->whereNotNull('path')->get(['id', 'path']) as $row) {
                Storage::exists((string) $row->path) || $found[] = new Finding("The file of $what is missing ($table $row->id). Restore a backup.");
            }
        }
        $logo = DB::table('offices')->value('logo_path');
        is_string($logo) && ! Storage::exists($logo) && $found[] = new Finding('The logo of the office is missing. Upload it again.');

        return $found;
    }

    /** @return list<Finding> */
    private function projections(): array
    {
        $found = [];
        if (json_encode(DB::select(self::SUMMED)) !== json_encode(DB::select(self::KEPT_SUMS))) {
            $found[] = $this->differs('document_sums');
        }

        return [...$found, ...$this->onCopy(function (): array {
            // What only a new day changes is no fault.
            $this->app->make(KeepStandings::class)->freshen();
            $this->app->make(IndexParties::class)->freshen();
            $kept = $this->stored();
            $this->app->make(RebuildProjections::class)->handle();

            return array_map($this->differs(...), array_keys(array_diff_assoc($kept, $this->stored())));
        })];
    }

    private function differs(string $table): Finding
    {
        return new Finding("What is stored in $table differs from what the rules compute. Run ./almanac check --repair.", true);
    }

    /** @return array<string, string> a hash of each projection */
    private function stored(): array
    {
        $hashes = [];
        foreach (self::PROJECTIONS as $table => $columns) {
            $rows = [];
            foreach (DB::table($table)->selectRaw($columns)->cursor() as $row) {
                $rows[] = hash('xxh128', (string) json_encode($row));
            }
            sort($rows);
            $hashes[$table] = hash('sha256', implode('', $rows));
        }

        return $hashes;
    }

    /**
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    private function onCopy(\Closure $work): mixed
    {
        $path = DB::connection()->getDatabaseName();
        $copy = storage_path('framework/check-'.bin2hex(random_bytes(6)).'.sqlite');
        DB::statement('VACUUM INTO ?', [$copy]);
        config(['database.connections.sqlite.database' => $copy]);
        DB::purge();
        Once::flush();
        try {
            return $work();
        } finally {
            config(['database.connections.sqlite.database' => $path]);
            DB::purge();
            Once::flush();
            foreach (['', '-wal', '-shm', '-door'] as $part) {
                @unlink($copy.$part);
            }
        }
    }
}
