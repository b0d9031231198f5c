<?php

declare(strict_types=1);

namespace Almanac\Money;

use Brick\Math\BigDecimal;

/** Percentages that together make a whole. */
final class Shares
{
    /**
     * @param list<Percent> $shares
     *
     * @throws BadAmount when they do not add up to exactly 100%
     */
    public static function mustAddUp(array $shares): void
    {
        $sum = BigDecimal::zero();
        foreach ($shares as $share) {
            $sum = $sum->plus($share->value);
        }
        if (! $sum->isEqualTo(100)) {
            throw BadAmount::sharesDoNotAddUp((string) $sum);
        }
    }
}
