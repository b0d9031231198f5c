<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;

/** Numbers that follow one another, anew each year. */
final class Series
{
    /**
     * The next that nobody has: one that came from a file may have been ahead. Runs inside the transaction that uses it.
     *
     * @param \Closure(int): string $number how the one at a place is written
     * @param \Closure(string): bool $isTaken
     */
    public static function next(string $kind, int $year, \Closure $number, \Closure $isTaken): string
    {
        $series = ['kind' => $kind, 'year' => $year];
        $place = (int) DB::table('series')->where($series)->value('last');
        do {
            $next = $number(++$place);
        } while ($isTaken($next));
        DB::table('series')->upsert($series + ['last' => $place], ['kind', 'year'], ['last']);

        return $next;
    }
}
