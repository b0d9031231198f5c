<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/**
 * How alike two short texts are, from 0 to 1.
 *
 * Sources: M. A. Jaro, "Advances in Record-Linkage Methodology", Journal of the American
 * Statistical Association 84 (1989); W. E. Winkler, "String Comparator Metrics and Enhanced
 * Decision Rules in the Fellegi-Sunter Model of Record Linkage" (1990), with a weight of 0.1 for
 * each of at most four common first letters. Half transpositions are dropped, as in the program
 * of the United States Census Bureau that both describe.
 */
final class JaroWinkler
{
    private const PREFIX_WEIGHT = 0.1;

    private const LONGEST_PREFIX = 4;

    /** Common first letters count only for what is much alike anyway. */
    private const BOOST_FROM = 0.7;

    public static function similarity(string $one, string $other): float
    {
        $a = mb_str_split($one);
        $b = mb_str_split($other);
        $jaro = self::jaro($a, $b);
        if ($jaro < self::BOOST_FROM) {
            return $jaro;
        }
        $prefix = 0;
        while ($prefix < self::LONGEST_PREFIX && isset($a[$prefix], $b[$prefix]) && $a[$prefix] === $b[$prefix]) {
            $prefix++;
        }

        return $jaro + $prefix * self::PREFIX_WEIGHT * (1 - $jaro);
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function jaro(array $a, array $b): float
    {
        if ($a === [] || $b === []) {
            return $a === $b ? 1.0 : 0.0;
        }
        $window = max(0, intdiv(max(count($a), count($b)), 2) - 1);
        $taken = [];
        $matched = [];
        foreach ($a as $i => $letter) {
            for ($j = max(0, $i - $window); $j <= min(count($b) - 1, $i + $window); $j++) {
                if (! isset($taken[$j]) && $b[$j] === $letter) {
                    $taken[$j] = true;
                    $matched[] = $letter;
                    break;
                }
            }
        }
        $common = count($matched);
        if ($common === 0) {
            return 0.0;
        }
        ksort($taken);
        $outOfPlace = 0;
        foreach (array_keys($taken) as $n => $j) {
            $outOfPlace += $matched[$n] === $b[$j] ? 0 : 1;
        }

        return ($common / count($a) + $common / count($b) + ($common - intdiv($outOfPlace, 2)) / $common) / 3;
    }
}
