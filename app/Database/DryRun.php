<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;

/** Does something, looks at what came of it, and leaves everything as it was. */
final class DryRun
{
    /**
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    public static function of(\Closure $work): mixed
    {
        DB::beginTransaction();
        try {
            return $work();
        } finally {
            DB::rollBack();
        }
    }
}
