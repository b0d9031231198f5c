<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

use Almanac\Interchange\LineDone;
use Almanac\Records\ArchivedRecord;
use Almanac\Refusal;
use App\Actions\Bulk\RunBulkChange;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** What came of the lines of one step, as it is kept with them. */
final class LineResults
{
    /**
     * Several lines by one act. Where it refuses what one of them says besides, nothing has happened, and each goes by itself.
     *
     * @template R
     * @template T
     *
     * @param array<int, R> $rows by line
     * @param \Closure(array<int, R>): array<int, T> $act
     *
     * @return array<int, T|Refusal|ValidationException|ArchivedRecord>
     */
    public static function together(array $rows, \Closure $act): array
    {
        try {
            return $rows === [] ? [] : DB::transaction(fn () => $act($rows));
        } catch (Refusal|ValidationException|ArchivedRecord $why) {
            return count($rows) === 1
                ? array_map(fn () => $why, $rows)
                : array_replace(...array_map(fn (int $line) => self::together([$line => $rows[$line]], $act), array_keys($rows)));
        }
    }

    /** @return array<string, mixed> */
    public static function refused(\Throwable $why): array
    {
        return ['done' => LineDone::Refused->value, 'message' => RunBulkChange::words($why)];
    }
}
