<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;

/** Work of many steps, each a transaction of its own, between which everybody gets in who waits. */
final class LongWork
{
    /**
     * Step after step, as long as there is more to do.
     *
     * @param \Closure(): bool $step short: whoever saves meanwhile waits for it; whether there is more
     */
    public static function steps(\Closure $step): void
    {
        do {
            $isMore = false;
            self::step(function () use ($step, &$isMore): void {
                $isMore = $step();
            });
        } while ($isMore);
    }

    /** @param  \Closure(): mixed  $step short: whoever saves meanwhile waits for it */
    public static function step(\Closure $step): void
    {
        // Inside a transaction nobody could come in between.
        if (DB::transactionLevel() === 0 && ($pdo = DB::connection()->getPdo()) instanceof ImmediatePdo) {
            $pdo->door()->letOthersIn();
        }
        DB::transaction($step);
    }
}
