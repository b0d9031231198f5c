<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Terms\DiscountOffer;

/** The discount that a document's terms give to whoever pays in time. */
final class EarlyPayment
{
    /** What may be taken off on that day: the percentage of the whole document, and never more than is open. */
    public static function discount(Entry $entry, ?DiscountOffer $offer, Day $paidOn): ?Money
    {
        return $offer === null || $paidOn->isAfter($offer->lastDay)
            ? null
            : $entry->total->percentage($offer->percent)->atMost($entry->open);
    }

    /** @throws LedgerRefused when the terms give none, it is too late, or it is more than they give */
    public static function mustAllow(Money $taken, Entry $entry, ?DiscountOffer $offer, Day $paidOn): void
    {
        if ($offer === null) {
            throw LedgerRefused::noDiscount();
        }
        $most = self::discount($entry, $offer, $paidOn) ?? throw LedgerRefused::tooLateForDiscount($offer->lastDay->toText());
        if ($taken->minus($most)->minor > 0) {
            throw LedgerRefused::discountTooLarge($most->toText());
        }
    }
}
