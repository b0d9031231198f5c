<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/** What the names of two companies show. */
final class CompanySigns
{
    /** What a name and another may show, the likeliest first. */
    private const NAMES = [Sign::NameSame, Sign::NameAlike, Sign::NameInitials, Sign::NameShorter, Sign::NamePart, Sign::NameDiffers];

    /** @return list<Sign> */
    public static function of(Likeness $one, Likeness $other): array
    {
        $best = count(self::NAMES) - 1;
        foreach ([$one->name, ...$one->also] as $a) {
            foreach ([$other->name, ...$other->also] as $b) {
                $best = min($best, (int) array_search(self::names($a, $b), self::NAMES, true));
            }
        }

        return [self::NAMES[$best], ...match (true) {
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
