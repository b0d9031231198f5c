<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use Almanac\Interchange\LineDone;
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
     * @param array<int, int> $records whom a line of another file became or was about, by line; nobody where there are several
     */
    private function __construct(public array $earlier, public array $records)
    {
    }

    /** @param  Collection<int, ImportLine>  $lines  of one file */
    public static function of(Collection $lines): self
    {
        $fingerprints = $lines->pluck('fingerprint', 'line')->filter()->all();
        $own = $lines->first()?->import_id;
        $first = $taken = [];
        if ($fingerprints !== []) {
            $alike = DB::table('import_lines')->whereIn('fingerprint', array_values(array_unique($fingerprints)))->orderBy('line')
                ->where(fn ($one) => $one->where('import_id', $own)->orWhereIn('done', self::TAKEN))
                // Of one that was made one with another, that.
                ->leftJoin('former_records', 'former_records.party_id', '=', 'import_lines.record_id')
                ->selectRaw('fingerprint, import_id, line, coalesce(kept_id, record_id) as record_id');
            foreach ($alike->get() as $row) {
                if ((int) $row->import_id === $own) {
                    $first[$row->fingerprint] ??= (int) $row->line;
                } elseif ($row->record_id !== null) {
                    $taken[$row->fingerprint][(int) $row->record_id] = true;
                }
            }
        }
        $of = fn (string $one): ?int => count($taken[$one] ?? []) === 1 ? array_key_first($taken[$one]) : null;

        return new self(
            array_filter(array_map(fn (string $one) => $first[$one] ?? null, $fingerprints), fn (?int $one, int $line) => $one !== null && $one < $line, ARRAY_FILTER_USE_BOTH),
            array_filter(array_map($of, $fingerprints), fn (?int $one) => $one !== null),
        );
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
