<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;

/** The small words that terms are explained with. */
final class TermsWording
{
    public static function count(int $number, string $unit): string
    {
        return $number.' '.$unit.($number === 1 ? '' : 's');
    }

    public static function ordinal(int $number): string
    {
        $suffix = match (true) {
            in_array($number % 100, [11, 12, 13], true) => 'th',
            $number % 10 === 1 => 'st',
            $number % 10 === 2 => 'nd',
            $number % 10 === 3 => 'rd',
            default => 'th',
        };

        return $number.$suffix;
    }

    /** Says so when a month was too short for the day asked for. */
    public static function shortened(int $asked, Day $got): string
    {
        return $got->day === $asked ? '' : ', which is its last day,';
    }
}
