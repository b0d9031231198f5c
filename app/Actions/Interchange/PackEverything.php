<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\ListFormat;
use App\Facts\Interchange\WholeRecords;
use App\Models\Act;
use App\Models\File;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Register\Hold;
use App\Register\PartyReferences;
use App\Time\Clock;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * Packs the whole book into one archive: its records as a table and as JSON, every table as it is kept, the files, and a
 * page that explains it.
 */
final readonly class PackEverything
{
    /** What is nobody's work, or is worked out from the rest. */
    private const ASIDE = '/^(sqlite_|search_|look_alike_(keys|due|counts|weights)|mention_words|engagement_words|document_sums|idempotency_keys|jobs|queued_work|failed_jobs|backups|upgrades|migrations|personal_access_tokens|second_factors|recovery_codes|known_devices|user_sessions|import_|vault_tokens|record_edits)/';

    /** What opens doors. */
    private const KEYS = [
        'users' => ['password', 'remember_token', 'calendar_hash'], 'imports' => ['settings', 'path'], 'files' => ['sha256'],
        'mail_servers' => ['password'], 'letter_runs' => ['path'], 'tax_numbers' => ['fingerprint'],
        'bank_details' => ['fingerprint'],
    ];

    private const CHUNK = 500;

    /** How much is done when the records are written as a table, as JSON too, and the tables; the rest is packing. */
    private const CSV = 0.2;

    private const RECORDS = 0.45;

    private const TABLES = 0.75;

    public function __construct(private WholeRecords $records, private Clock $clock)
    {
    }

    /**
     * @param string $path where the archive is written
     * @param \Closure(float): void $tell how much of it is done, from 0 to 1
     *
     * @throws \RuntimeException when there is no room for it
     */
    public function handle(User $by, string $path, \Closure $tell): void
    {
        set_time_limit(0);
        $zip = new \ZipArchive;
        if ($zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
            throw new \RuntimeException('The archive cannot be written.');
        }
        $written = [];
        $tables = $this->tables();
        $records = Party::query()->count();
        $zip->registerProgressCallback(0.01, fn (float $part) => $tell(self::TABLES + $part * (1 - self::TABLES)));
        try {
            $zip->addFromString('READ ME FIRST.html', $this->page());
            foreach ([[ListFormat::Csv, 0.0, self::CSV], [ListFormat::Json, self::CSV, self::RECORDS]] as [$format, $from, $to]) {
                $steps = new Steps($records, $from, $to, $tell);
                $written[] = $this->piece(dirname($path), $this->records->everybody($format, $by, $steps->take(...)));
                $zip->addFile((string) end($written), "records.$format->value");
            }
            $steps = new Steps($this->lines($tables), self::RECORDS, self::TABLES, $tell);
            foreach ($tables as $table) {
                $written[] = $this->piece(dirname($path), $this->rows($table, $steps));
                $zip->addFile((string) end($written), "tables/$table.jsonl");
            }
            foreach (File::query()->lazyById(self::CHUNK) as $file) {
                if (Storage::exists($file->path())) {
                    $zip->addFile(Storage::path($file->path()), "files/$file->id ".preg_replace('/[^\pL\pN._ -]+/u', '-', $file->name));
                }
            }
            if (! $zip->close()) {
                throw new \RuntimeException('There is no room for the archive.');
            }
        } finally {
            array_map(unlink(...), $written);
        }
        Act::query()->create([
            'at' => $this->clock->now(), 'user_id' => $by->id, 'user_name' => $by->name,
            'what' => 'took the whole book as an archive', 'subject' => 'office',
            'subject_id' => null, 'name' => '', 'differences' => [],
        ]);
    }

    /**
     * @param list<string> $tables
     *
     * @return int how many rows they have together
     */
    private function lines(array $tables): int
    {
        return array_sum(array_map(fn (string $table): int => DB::table($table)->count(), $tables));
    }

    /**
     * Beside the archive, where what a stopped worker leaves behind is swept away.
     *
     * @param iterable<string> $pieces
     */
    private function piece(string $folder, iterable $pieces): string
    {
        $path = (string) tempnam($folder, 'piece');
        $file = fopen($path, 'wb') ?: throw new \RuntimeException('There is no room for a file in passing.');
        foreach ($pieces as $piece) {
            fwrite($file, $piece);
        }
        fclose($file);

        return $path;
    }

    /** @return list<string> */
    private function tables(): array
    {
        $derived = [];
        foreach (PartyReferences::all() as $reference) {
            if ($reference->hold === Hold::Derived) {
                $derived[] = $reference->table;
            }
        }
        $tables = array_column(DB::select("select name from sqlite_master where type = 'table' order by name"), 'name');

        return array_values(array_filter(
            $tables,
            fn (mixed $table): bool => is_string($table) && preg_match(self::ASIDE, $table) !== 1 && ! in_array($table, $derived, true),
        ));
    }

    /** @return \Generator<int, string> a row to a line, as JSON */
    private function rows(string $table, Steps $steps): \Generator
    {
        $keys = array_flip(self::KEYS[$table] ?? []);
        foreach (DB::table($table)->orderBy('rowid')->lazy(self::CHUNK) as $row) {
            $steps->take();
            yield json_encode(
                array_map($this->opened(...), array_diff_key((array) $row, $keys)),
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            )."\n";
        }
    }

    /** What is encrypted where it is kept can be read only with the key of this installation: here it is as it is. */
    private function opened(mixed $value): mixed
    {
        if (! is_string($value) || ! str_starts_with($value, 'eyJpdiI6')) {
            return $value;
        }
        try {
            return Crypt::decryptString($value);
        } catch (DecryptException) {
            return $value;
        }
    }

    private function page(): string
    {
        $office = e(Office::current()->name);
        $day = $this->clock->today()->toText();

        return <<<HTML
            <!doctype html>
            <html lang="en"><meta charset="utf-8"><title>$office: everything</title>
            <body style="max-width: 45em; margin: 2em auto; font: 16px/1.5 sans-serif">
            <h1>$office: everything, $day</h1>
            <p>This is the whole book, in plain files that any program can read. It holds what is private, too: tax numbers, birth dates, bank details. Keep it as you would keep the book.</p>
            <ul>
            <li><strong>records.csv</strong>: everybody, one line each, for a spreadsheet. It can be imported again.</li>
            <li><strong>records.json</strong>: the same with everything there are several of. Its shape is told by record.schema.json, which comes with the program.</li>
            <li><strong>tables</strong>: everything else as it is kept, a file for each table, a row to a line as JSON: documents, payments, cases, the log, what records were on past days.
                Columns that end in _id name a row of another table; amounts that end in _minor are in the smallest unit of their currency.</li>
            <li><strong>files</strong>: the files of the records, by the number under which they stand in tables/files.jsonl.</li>
            </ul>
            <p>Passwords, keys and what the program works out from the rest are left out.</p>
            </body></html>

            HTML;
    }
}
