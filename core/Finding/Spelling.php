<?php

declare(strict_types=1);

namespace Almanac\Finding;

/**
 * How far apart two spellings are: the fewest single letters put in, left out, changed or
 * swapped with a neighbour.
 *
 * Source: F. J. Damerau, "A technique for computer detection and correction of spelling errors",
 * Communications of the ACM 7 (1964), in its restricted form (optimal string alignment).
 */
final class Spelling
{
    public static function distance(string $one, string $other): int
    {
        $a = mb_str_split($one);
        $b = mb_str_split($other);
        $beforeLast = [];
        $last = range(0, count($b));
        foreach ($a as $i => $letter) {
            $row = [$i + 1];
            foreach ($b as $j => $against) {
                $row[$j + 1] = min(
                    $last[$j + 1] + 1,
                    $row[$j] + 1,
                    $last[$j] + ($letter === $against ? 0 : 1),
                );
                if ($i > 0 && $j > 0 && $letter === $b[$j - 1] && $a[$i - 1] === $against) {
                    $row[$j + 1] = min($row[$j + 1], $beforeLast[$j - 1] + 1);
                }
            }
            [$beforeLast, $last] = [$last, $row];
        }

        return $last[count($b)];
    }

    /** Whether one may be a slip of the other: one slip in words of four or five letters, two in longer ones. */
    public static function isSlip(string $typed, string $meant): bool
    {
        $length = mb_strlen($typed);
        $allowed = match (true) {
            $length < 4 => 0,
            $length < 6 => 1,
            default => 2,
        };
        if ($allowed === 0 || mb_strlen($meant) < $length - $allowed) {
            return false;
        }
        if (mb_strlen($meant) <= $length + $allowed) {
            return self::distance($typed, $meant) <= $allowed;
        }

        // A name that is still being typed is compared with its beginning, and more strictly.
        return min(array_map(
            fn (int $more) => self::distance($typed, mb_substr($meant, 0, $length + $more)),
            [-1, 0, 1],
        )) < $allowed;
    }
}
