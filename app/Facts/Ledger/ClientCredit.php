<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Credit;
use Almanac\Ledger\Standing;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Facts\Terms\SideDefaults;
use App\Models\Document;
use App\Models\Party;

/** The credit of a client, gathered from what it owes and has ordered. */
final class ClientCredit
{
    /**
     * How much of its credit limit a client uses, in the currency of the limit.
     *
     * @param list<Standing> $standings
     */
    public static function of(Party $party, array $standings, Day $today): ?Credit
    {
        $defaults = SideDefaults::of($party, Side::Client, $today);
        $limit = $defaults->limit();
        if ($limit === null) {
            return null;
        }
        $rates = Rates::ofOffice();
        $in = function (Money $amount) use ($limit, $rates, $today): Money {
            // Another currency counts by way of the office's own; without a rate it cannot count.
            if ($amount->currency === $limit->currency) {
                return $amount;
            }

            return ($limit->currency === $rates->home ? $rates->orNull($amount, $today) : null) ?? Money::zero($limit->currency);
        };
        $clients = array_filter($standings, fn (Standing $one) => $one->side === Side::Client);
        $sum = fn (\Closure $part) => Money::sum(array_map(fn (Standing $standing) => $in($part($standing)), $clients), $limit->currency);
        $orders = Document::query()
            ->where('party_id', $party->id)
            ->where('kind', 'order')
            ->open()
            ->get()
            ->map(fn (Document $order) => $in($order->open()));

        return Credit::of(
            $limit,
            $sum(fn (Standing $standing) => $standing->open),
            Money::sum($orders, $limit->currency),
            $sum(fn (Standing $standing) => $standing->unallocated->plus($standing->credits)),
            $defaults->creditPolicy(),
        );
    }
}
