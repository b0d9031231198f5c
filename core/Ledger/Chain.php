<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Brick\Math\BigDecimal;

/**
 * How much of a quote or an order has become something, line by line (common practice, no published
 * source): what is left of a line is what was promised less what was taken, and never less than nothing.
 */
final class Chain
{
    /** Of a line for goods taken back both are below zero. */
    public static function left(BigDecimal $promised, BigDecimal $taken): BigDecimal
    {
        $left = $promised->minus($taken);

        return $left->getSign() === $promised->getSign() ? $left : BigDecimal::zero();
    }

    /** Whether more has been taken than was promised. */
    public static function exceeds(BigDecimal $promised, BigDecimal $taken): bool
    {
        return $promised->isNegative() ? $taken->isLessThan($promised) : $taken->isGreaterThan($promised);
    }

    /**
     * What is open of the whole: the lines at what is left of them.
     *
     * @param array<int, Line> $lines by id
     * @param array<int, BigDecimal> $taken by the id of the line
     *
     * @return list<Line> the lines of which something is left
     */
    public static function open(array $lines, array $taken): array
    {
        $open = [];
        foreach ($lines as $id => $line) {
            $left = self::left($line->quantity, $taken[$id] ?? BigDecimal::zero());
            if (! $left->isZero()) {
                $open[] = Line::of($line->text, $left, $line->price, $line->discount, $line->tax);
            }
        }

        return $open;
    }
}
