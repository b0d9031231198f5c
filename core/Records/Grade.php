<?php

declare(strict_types=1);

namespace Almanac\Records;

/** How much an office thinks of somebody, from 1 to 5, the best. It never leaves the office. */
final class Grade
{
    public const LEAST = 1;

    public const MOST = 5;

    /** @throws WordingRefused when it is not between 1 and 5 */
    public static function of(int $typed): int
    {
        return $typed >= self::LEAST && $typed <= self::MOST ? $typed : throw WordingRefused::notAGrade($typed, self::LEAST, self::MOST);
    }
}
