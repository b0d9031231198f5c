<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Calendar\Day;
use Almanac\Money\Money;

/** A document that is due in parts: what has been paid counts for the earliest first (common practice, no published source). */
final class Instalments
{
    /**
     * @param list<array{Day, Money}> $parts that add up to the document
     * @param Money $open of the whole document
     *
     * @return list<array{Day, Money, Money}> each part with what is open of it
     */
    public static function open(array $parts, Money $open): array
    {
        usort($parts, fn (array $one, array $other) => $one[0]->number <=> $other[0]->number);
        $result = [];
        foreach (array_reverse($parts) as [$day, $amount]) {
            $left = $amount->atMost($open);
            $open = $open->minus($left);
            $result[] = [$day, $amount, $left];
        }

        return array_reverse($result);
    }
}
