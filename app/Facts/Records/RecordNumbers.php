<?php

declare(strict_types=1);

namespace App\Facts\Records;

use App\Models\FormerRecord;
use App\Models\Party;

/** The numbers that the office gives to its records. */
final class RecordNumbers
{
    private const FIRST = 1001;

    /**
     * The last that was given, also to one that was made one with another: it is given to nobody else. The next follows it,
     * be they the office's numbers of before; the first is 1001.
     */
    public static function last(): int
    {
        $last = max((int) Party::query()->max('number'), (int) FormerRecord::query()->max('number'));

        return $last === 0 ? self::FIRST - 1 : $last;
    }

    /** Whether nobody has it, nor had it. */
    public static function isFree(int $number): bool
    {
        return Party::query()->where('number', $number)->doesntExist() && FormerRecord::query()->where('number', $number)->doesntExist();
    }
}
