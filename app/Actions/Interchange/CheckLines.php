<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\ImportState;
use Almanac\Interchange\InterchangeRefused;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\PartyReader;
use Almanac\Interchange\PartyRow;
use Almanac\Interchange\ReadLine;
use Almanac\Interchange\RowChanges;
use Almanac\LookAlikes\Comparison;
use Almanac\LookAlikes\Keys;
use Almanac\LookAlikes\Likeness;
use Almanac\LookAlikes\Verdict;
use Almanac\Records\PartyKind;
use App\Database\LongWork;
use App\Facts\Interchange\LinesAlike;
use App\Facts\Interchange\MatchRows;
use App\Facts\Interchange\OfficeReading;
use App\Facts\Interchange\RowMatch;
use App\Facts\Interchange\RowOfParty;
use App\Models\Change;
use App\Models\Import;
use App\Models\ImportLine;
use App\Models\Party;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Checks the lines of a file of people and companies: whether each can be read, whom it is about, and what it would do. */
final class CheckLines
{
    private const CHUNK = 200;

    /** Of one line, earlier ones of the file that it is compared with. */
    private const TWINS = 4;

    /** @var array<int|string, list<int>> earlier lines, by what they share */
    private array $seen = [];

    public function __construct(private readonly OfficeReading $office)
    {
    }

    public function handle(Import $import): void
    {
        $this->seen = [];
        $reader = PartyReader::of($import->settings->read(), $this->office->of($import->settings));
        $done = 0;
        $after = -1;
        $import->update(['checked_to' => (int) Change::query()->max('id'), 'highest_number' => 0]);
        do {
            $lines = $import->importLines()->where('line', '>', $after)->limit(self::CHUNK)->get();
            [$rows, $highest] = $this->checked($import, $lines, $reader);
            $done += count($rows);
            $after = $lines->last()->line ?? $after;
            LongWork::step(function () use ($import, $rows, $highest, $done): void {
                if ($import->refresh()->state !== ImportState::Checking) {
                    throw InterchangeRefused::forgotten();
                }
                $this->keep($rows);
                $import->update(['taken' => $done, 'highest_number' => max($import->highest_number, $highest)]);
            });
        } while ($lines->count() === self::CHUNK);
        LongWork::step(
            fn () => $import->refresh()->state === ImportState::Checking ? $import->update([
                'state' => ImportState::Checked, 'taken' => 0,
            ]) : null,
        );
        $this->seen = [];
    }

    /**
     * The same lines once more, after something was said of them. Runs inside a transaction.
     *
     * @param Collection<int, ImportLine> $lines
     */
    public function again(Import $import, Collection $lines): void
    {
        $this->seen = [];
        $reader = PartyReader::of($import->settings->read(), $this->office->of($import->settings));
        foreach ($lines->chunk(self::CHUNK) as $some) {
            [$rows, $highest] = $this->checked($import, $some->values(), $reader, withTwins: false);
            $this->keep($rows);
            $import->update(['highest_number' => max($import->highest_number, $highest)]);
        }
    }

    /**
     * @param Collection<int, ImportLine> $lines
     *
     * @return array{list<array<string, mixed>>, int} as they are kept, and the highest number that one of them has
     */
    private function checked(Import $import, Collection $lines, PartyReader $reader, bool $withTwins = true): array
    {
        $read = [];
        foreach ($lines as $line) {
            $read[$line->line] = $reader->read($line->cells());
        }
        $rows = array_filter(array_map(fn (ReadLine $one) => $one->row, $read));
        $alike = MatchRows::alike($rows);
        $matches = MatchRows::of($rows, $alike);
        $same = LinesAlike::of($lines, $rows);
        $kept = $this->recordsOf($lines, $matches, $same->records);
        $terms = OfficeReading::terms();
        $checked = [];
        foreach ($lines as $line) {
            $row = $rows[$line->line] ?? null;
            $twin = $row === null || ! $withTwins ? null : $this->twin($import, $line->line, $alike[$line->line], $reader) ?? $same->earlier[$line->line] ?? null;
            [$outcome, $recordId, $message] = $row === null
                ? [$line->decision === ImportLine::OUT ? LineOutcome::LeftOut : LineOutcome::Wrong, null, '']
                : $this->outcome($import, $line, $row, $matches[$line->line], $same->records[$line->line] ?? null, $twin, $kept, $terms);
            $checked[] = [
                'outcome' => $outcome->value,
                'record_id' => $recordId,
                'candidates' => json_encode($row === null ? [] : $matches[$line->line]->candidates),
                'problems' => json_encode($read[$line->line]->problems, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'message' => $message,
                'turn' => $row?->kind === PartyKind::Company ? 0 : 1,
            ] + $line->getAttributes();
        }

        return [$checked, max([0, ...array_map(fn (PartyRow $row) => (int) $row->value('number'), array_values($rows))])];
    }

    /**
     * @param int|null $before whom the same line of another file came to
     * @param int|null $twin an earlier line of the file that is the same
     * @param array<int, Party> $kept by record
     * @param array<string, string> $terms
     *
     * @return array{LineOutcome, int|null, string} whom it is about, and what there is to say
     */
    private function outcome(
        Import $import,
        ImportLine $line,
        PartyRow $row,
        RowMatch $match,
        ?int $before,
        ?int $twin,
        array $kept,
        array $terms,
    ): array {
        if ($line->decision === ImportLine::OUT) {
            return [LineOutcome::LeftOut, null, ''];
        }
        if ($line->decision === ImportLine::NEW) {
            return [LineOutcome::New, null, ''];
        }
        $id = $line->decision === ImportLine::RECORD ? $line->record_id : $before ?? $match->recordId;
        if ($id === null) {
            return match (true) {
                $twin !== null => [LineOutcome::Doubtful, null, "Line $twin of the file looks the same."],
                $match->candidates !== [] => [LineOutcome::Doubtful, null, 'It may be somebody who is in the book.'],
                default => [LineOutcome::New, null, ''],
            };
        }
        $party = $kept[$id] ?? null;

        return match (true) {
            $party === null => [LineOutcome::Doubtful, null, 'The record is no longer there.'],
            $party->kind !== $row->kind => [
                LineOutcome::Doubtful,
                null,
                $party->isPerson() ? 'In the book that is a person.' : 'In the book that is a company.',
            ],
            $party->isArchived() => [
                LineOutcome::Doubtful,
                null,
                "$party->display_name is archived. Restore the record, or leave the line out.",
            ],
            RowChanges::between(RowOfParty::of($party, $terms), $row, $line->existing ?? $import->settings->existing) === null => [LineOutcome::Same, $id, ''],
            default => [LineOutcome::Changes, $id, ''],
        };
    }

    /**
     * @param Collection<int, ImportLine> $lines
     * @param array<int, RowMatch> $matches
     * @param array<int, int> $before
     *
     * @return array<int, Party>
     */
    private function recordsOf(Collection $lines, array $matches, array $before): array
    {
        $ids = [...array_filter(array_map(fn (RowMatch $match) => $match->recordId, $matches)), ...$before];
        foreach ($lines as $line) {
            if ($line->decision === ImportLine::RECORD) {
                $ids[] = $line->record_id;
            }
        }

        return Party::query()->with(RowOfParty::RELATIONS)->findMany(array_unique($ids))->keyBy('id')->all();
    }

    /** An earlier line of the file that is surely the same. */
    private function twin(Import $import, int $line, Likeness $one, PartyReader $reader): ?int
    {
        $before = [];
        foreach (Keys::of($one) as $key) {
            if (! Keys::isStrong($key)) {
                continue;
            }
            $hash = crc32($key);
            $before = [...$before, ...$this->seen[$hash] ?? []];
            if (count($this->seen[$hash] ?? []) < self::TWINS) {
                $this->seen[$hash][] = $line;
            }
        }
        // A name alone makes no two people one, so less than that is not looked at.
        $least = $one->kind === PartyKind::Person ? 2 : 1;
        $counts = array_filter(array_count_values($before), fn (int $shared) => $shared >= $least);
        arsort($counts);
        $others = $counts === [] ? [] : $import->importLines()->whereIn('line', array_slice(array_keys($counts), 0, self::TWINS))->get()
            ->mapWithKeys(fn (ImportLine $other): array => [$other->line => $reader->read($other->cells())->row])->all();
        foreach (MatchRows::alike(array_filter($others), withCompanies: false) as $earlier => $other) {
            if (Comparison::of($one, $other)->verdict === Verdict::Same) {
                return $earlier;
            }
        }

        return null;
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function keep(array $rows): void
    {
        DB::table('import_lines')->upsert($rows, ['import_id', 'line'], ['outcome', 'record_id', 'candidates', 'problems', 'message', 'turn']);
    }
}
