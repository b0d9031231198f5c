<?php

declare(strict_types=1);

namespace Almanac\Engagements;

use Almanac\Money\BadAmount;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Money\Shares;
use Brick\Math\BigDecimal;
use Brick\Math\BigInteger;

/** Who pays for something, each a part of it. */
final readonly class PayerShares
{
    /** @param  array<int, Percent>  $shares by the number of the party, in the order in which they were named */
    private function __construct(public array $shares)
    {
    }

    /**
     * @param list<array{int, Percent}> $shares party and share
     *
     * @throws EngagementRefused when somebody is named twice or pays nothing
     * @throws BadAmount when they do not add up to 100%
     */
    public static function of(array $shares): self
    {
        $by = [];
        foreach ($shares as [$partyId, $share]) {
            if (isset($by[$partyId])) {
                throw EngagementRefused::paysTwice();
            }
            if ($share->isZero()) {
                throw EngagementRefused::paysNothing();
            }
            $by[$partyId] = $share;
        }
        Shares::mustAddUp(array_values($by));

        return new self($by);
    }

    /**
     * Each one's part, which add up to the amount to the cent: all are rounded down, and what is left over goes, a cent
     * each, to those whose parts lost most by it, of equals to who was named first (the method of the largest remainder,
     * proposed by Alexander Hamilton in 1792).
     *
     * @param Money $amount of which each pays a part; what goes back is shared out as what is paid
     *
     * @return array<int, Money> by the number of the party
     */
    public function split(Money $amount): array
    {
        $whole = BigInteger::of($amount->minor)->abs()->toBigDecimal();
        $parts = $lost = [];
        foreach ($this->shares as $partyId => $share) {
            $hundredths = $whole->multipliedBy($share->value);
            $parts[$partyId] = $hundredths->quotient(100)->toInt();
            $lost[$partyId] = $hundredths->remainder(100);
        }
        uasort($lost, fn (BigDecimal $one, BigDecimal $other) => $other->compareTo($one));
        $over = $whole->toInt() - array_sum($parts);
        foreach (array_slice(array_keys($lost), 0, $over) as $partyId) {
            $parts[$partyId]++;
        }

        return array_map(fn (int $minor) => Money::ofMinor($amount->isNegative() ? -$minor : $minor, $amount->currency), $parts);
    }
}
