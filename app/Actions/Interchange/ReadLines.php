<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\AddressBook;
use Almanac\Interchange\ColumnFacts;
use Almanac\Interchange\DocumentColumns;
use Almanac\Interchange\FileKind;
use Almanac\Interchange\GuessColumns;
use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\TableFile;
use Almanac\Interchange\UblTable;
use Almanac\Money\DecimalSign;
use App\Database\LongWork;
use App\Facts\Interchange\LinesAlike;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Interchange\RememberedColumns;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\ImportSettings;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Reads the lines of a file, and guesses what its columns are. */
final readonly class ReadLines
{
    private const CHUNK = 250;

    /** @throws InterchangeRefused when it cannot be read */
    public function handle(Import $import): void
    {
        $settings = $import->settings;
        $path = Storage::path($import->path);
        $sheets = TableFile::sheets($settings->format, $path);
        LongWork::step(fn () => $import->importLines()->delete());
        $columns = $rows = $headings = [];
        $count = 0;
        $hasHeadings = $settings->hasHeadings;
        foreach (TableFile::rows($settings->format, $path, $settings->sheet) as $line => $cells) {
            if ($columns === []) {
                // Told by the first line, until somebody says otherwise.
                $hasHeadings = ! $settings->format->isTable()
                    || ($settings->columns === [] ? $this->isHeading($cells) : $settings->hasHeadings);
                $columns = ColumnFacts::named($cells, $hasHeadings);
                if ($hasHeadings) {
                    $headings = $cells;

                    continue;
                }
            }
            // As in our own template: a line of help, or an example.
            if ($import->isOfRecords() && str_starts_with($cells[0] ?? '', '# ')) {
                continue;
            }
            foreach ($cells as $at => $cell) {
                ($columns[$at] ??= ColumnFacts::titled('Column '.($at + 1)))->add($cell);
            }
            $rows[] = [
                'import_id' => $import->id, 'line' => $line, 'cells' => ImportLine::kept($cells),
                'outcome' => LineOutcome::New->value, 'head' => $line,
                'fingerprint' => $import->isOfRecords() ? LinesAlike::fingerprint($headings, $cells) : null,
            ];
            $count++;
            if (count($rows) === self::CHUNK) {
                $this->keep($import, $rows, $count);
                $rows = [];
            }
        }
        if ($count === 0) {
            throw InterchangeRefused::empty();
        }
        $this->keep($import, $rows, $count);
        $settings = $this->guessed($import->of, $settings->with([
            'sheets' => $sheets, 'sheet' => $settings->sheet === '' ? $sheets[0] ?? '' : $settings->sheet,
            'columns' => array_values($columns), 'hasHeadings' => $hasHeadings,
        ]));
        // What documents have is little, and is told by headings alone.
        $isKnown = ! $import->isOfRecords() && DocumentColumns::problem($settings->targets) === '';
        LongWork::step(fn () => $import->update([
            'state' => $isKnown ? ImportState::Checking : ImportState::Columns, 'lines' => $count, 'taken' => 0, 'settings' => $settings,
        ]));
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function keep(Import $import, array $rows, int $count): void
    {
        LongWork::step(function () use ($import, $rows, $count): void {
            if ($import->refresh()->state !== ImportState::Reading) {
                throw InterchangeRefused::forgotten();
            }
            DB::table('import_lines')->insert($rows);
            $import->update(['lines' => $count]);
        });
    }

    /** @param  list<string>  $cells */
    private function isHeading(array $cells): bool
    {
        return DocumentColumns::isNamedBy($cells) || GuessColumns::isHeading($cells);
    }

    private function guessed(string $of, ImportSettings $settings): ImportSettings
    {
        if ($settings->format === FileKind::Ubl) {
            return $settings->with(['targets' => UblTable::targets(), 'sign' => DecimalSign::Point]);
        }

        return $settings->with(['targets' => match (true) {
            ! $settings->format->isTable() => AddressBook::targets(),
            default => RememberedColumns::of($settings, $of) ?? ($of === Import::RECORDS
                ? GuessColumns::of($settings->columns, OfficeReading::fieldNames(), OfficeReading::labels())
                : DocumentColumns::guess(array_map(fn (ColumnFacts $one) => $one->heading, $settings->columns))),
        }])->asTold();
    }
}
