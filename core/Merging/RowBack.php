<?php

declare(strict_types=1);

namespace Almanac\Merging;

/**
 * What becomes of a row when records are taken apart that were made one: it is what it was before, but for what somebody
 * has changed since, column by column.
 */
final class RowBack
{
    /**
     * @param array<string, scalar|null>|null $before the row as it was before they were made one; null where it was not there
     * @param array<string, scalar|null>|null $after and right after; null where it was taken away
     * @param array<string, scalar|null>|null $now and now; null where it is gone
     *
     * @return array<string, scalar|null>|null what it is to be; null when it is to be gone
     */
    public static function of(?array $before, ?array $after, ?array $now): ?array
    {
        if ($after === $now) {
            return $before;
        }
        if ($before === null || $after === null || $now === null) {
            // Made by the merge and changed since, or there again, or taken away since: what somebody did since holds.
            return $now;
        }
        $row = [];
        foreach ($now as $column => $value) {
            $row[$column] = $value === ($after[$column] ?? null) ? $before[$column] ?? null : $value;
        }

        return $row;
    }
}
