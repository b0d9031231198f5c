<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/** What the names of two companies show. */
final class CompanySigns
{
    /** @return list<Sign> */
    public static function of(Likeness $one, Likeness $other): array
    {
        $best = Sign::NameDiffers;
        foreach ([$one->name, ...$one->also] as $a) {
            foreach ([$other->name, ...$other->also] as $b) {
                $sign = self::names($a, $b);
                $best = array_search($sign, Sign::of('name'), true) < array_search($best, Sign::of('name'), true) ? $sign : $best;
            }
        }

        return [$best, ...match (true) {
            $one->branch === $other->branch => [],
            $one->branch === [] || $other->branch === [] => [Sign::BranchOfOne],
            default => [Sign::BranchDiffers],
        }];
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function names(array $a, array $b): Sign
    {
        if (implode('', $a) === implode('', $b)) {
            return Sign::NameSame;
        }
        [$short, $long] = count($a) <= count($b) ? [$a, $b] : [$b, $a];
        if (self::areInitials($a, $b) || self::areInitials($b, $a)) {
            return Sign::NameInitials;
        }
        $left = $long;
        $found = $first = 0;
        foreach ($short as $at => $word) {
            foreach ($left as $n => $other) {
                // Local 12 and Local 15 are two.
                if ($word === $other || (! is_numeric($word) && ! is_numeric($other) && Spelled::alike($word, $other))) {
                    unset($left[$n]);
                    $found++;
                    $first += $at === 0 && $n === 0 ? 1 : 0;
                    break;
                }
            }
        }
        $isNumber = array_filter($left, is_numeric(...)) !== [];

        return match (true) {
            $found === count($short) && $left === [] => Sign::NameAlike,
            $found === count($short) && ! $isNumber && ($first === 1 || $found > 1) => Sign::NameShorter,
            implode('', $short) !== '' && Spelled::alike(implode('', $a), implode('', $b)) => Sign::NameAlike,
            $found > 0 => Sign::NamePart,
            default => Sign::NameDiffers,
        };
    }

    /**
     * @param list<string> $some
     * @param list<string> $of
     */
    private static function areInitials(array $some, array $of): bool
    {
        $joined = implode('', $some);

        return count($of) > 1 && mb_strlen($joined) <= 4 && mb_strlen(implode('', $of)) > 4 && $joined === NameForm::initials($of);
    }
}
