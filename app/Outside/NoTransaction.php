<?php

declare(strict_types=1);

namespace App\Outside;

use Illuminate\Support\Facades\DB;

/** Nothing waits for the network while it holds the write lock: everybody else would wait as well. */
final class NoTransaction
{
    /** In tests, the transaction around each of them. */
    public static int $around = 0;

    /** @throws \LogicException within a transaction */
    public static function assert(): void
    {
        if (DB::transactionLevel() > self::$around) {
            throw new \LogicException('The network is asked within a transaction.');
        }
    }
}
