<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Standing;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Models\Office;
use App\Models\Payment;

/** Gathers from the books what standings are worked out from. */
final class PartyBooks
{
    /**
     * @param array<int> $partyIds
     *
     * @return array<int, list<Standing>> by party; clients before vendors, the office's currency first
     */
    public static function ofMany(array $partyIds, Day $today): array
    {
        $office = Office::current();
        $entries = EntriesOf::many('party_id', $partyIds, $today);
        $unallocated = self::unallocated($partyIds);
        $standings = [];
        foreach (array_unique([...array_keys($entries), ...array_keys($unallocated)]) as $id) {
            foreach (Side::cases() as $side) {
                $currencies = array_unique([
                    ...array_keys($entries[$id][$side->value] ?? []),
                    ...array_keys($unallocated[$id][$side->value] ?? []),
                ]);
                usort(
                    $currencies,
                    fn (string $one, string $other) => [$one !== $office->currency(), $one] <=> [$other !== $office->currency(), $other],
                );
                foreach ($currencies as $currency) {
                    $standings[$id][] = Standing::of(
                        $side,
                        $entries[$id][$side->value][$currency] ?? [],
                        Money::ofMinor($unallocated[$id][$side->value][$currency] ?? 0, $currency),
                        $today,
                        $office->ageing_by,
                        $office->warn_after,
                    );
                }
            }
        }

        return $standings;
    }

    /**
     * @param array<int> $partyIds
     *
     * @return array<int, array<string, array<string, int>>> minor units by party, side and currency
     */
    private static function unallocated(array $partyIds): array
    {
        $sums = [];
        $payments = Payment::query()->whereIn('party_id', $partyIds)->where('is_void', false)->where('unallocated_minor', '>', 0)->get();
        foreach ($payments as $payment) {
            $sums[$payment->party_id][$payment->side->value][$payment->currency] =
                ($sums[$payment->party_id][$payment->side->value][$payment->currency] ?? 0) + $payment->unallocated_minor;
        }

        return $sums;
    }
}
