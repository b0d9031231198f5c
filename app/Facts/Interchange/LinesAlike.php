<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use Almanac\Interchange\LineDone;
use Almanac\Interchange\PartyRow;
use App\Models\ImportLine;
use App\Models\Values\Fingerprint;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Lines that are the same to the letter: earlier ones of their file, and those of other files that were taken. */
final readonly class LinesAlike
{
    private const TAKEN = [LineDone::Added, LineDone::Changed, LineDone::Same];

    /**
     * @param array<int, int> $earlier the first line of the file that is the same, by line
     * @param array<int, int> $records whom a line of another file became or was about, by line; nobody where there are several,
     *                                 or it is not what the line is read as now
     */
    private function __construct(public array $earlier, public array $records)
    {
    }

    /**
     * @param Collection<int, ImportLine> $lines of one file
     * @param array<int, PartyRow> $rows as they are read, by line
     */
    public static function of(Collection $lines, array $rows): self
    {
        $fingerprints = array_filter($lines->pluck('fingerprint', 'line')->all());
        $own = $lines->first()?->import_id;
        $first = $taken = $earlier = $records = [];
        foreach ($fingerprints === [] ? [] : self::alike($fingerprints, $own) as $row) {
            if ((int) $row->import_id === $own) {
                $first[$row->fingerprint] ??= (int) $row->line;
            } elseif ($row->kept !== null) {
                $taken[$row->fingerprint][(int) $row->kept] = $row->kind;
            }
        }
        foreach ($fingerprints as $line => $one) {
            if (($first[$one] ?? $line) < $line) {
                $earlier[$line] = $first[$one];
            }
            $of = $taken[$one] ?? [];
            if (isset($rows[$line]) && count($of) === 1 && reset($of) === $rows[$line]->kind->value) {
                $records[$line] = array_key_first($of);
            }
        }

        return new self($earlier, $records);
    }

    /**
     * @param array<int, string> $fingerprints
     *
     * @return Collection<int, \stdClass> the lines of the file and those that were taken, with whom they became, as far as they are kept
     */
    private static function alike(array $fingerprints, ?int $own): Collection
    {
        return DB::table('import_lines')->whereIn('fingerprint', array_values(array_unique($fingerprints)))
            ->where(fn ($one) => $one->where('import_id', $own)->orWhereIn('done', self::TAKEN))
            // Of one that was made one with another, that.
            ->leftJoin('former_records', 'former_records.party_id', '=', 'import_lines.record_id')
            ->leftJoin('parties', 'parties.id', '=', DB::raw('coalesce(former_records.kept_id, import_lines.record_id)'))
            ->orderBy('line')->get(['fingerprint', 'import_id', 'line', 'parties.id as kept', 'parties.kind']);
    }

    /**
     * @param list<string> $headings
     * @param list<string> $cells
     */
    public static function fingerprint(array $headings, array $cells): string
    {
        // A table that has become wider, with nothing there on this line, says the same.
        $said = array_filter(array_map(trim(...), $cells), fn (string $cell) => $cell !== '');
        $line = array_map(fn (int $column, string $cell) => [($headings[$column] ?? '') === '' ? $column : $headings[$column], $cell], array_keys($said), $said);

        return Fingerprint::of('line|'.json_encode($line, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
    }
}
