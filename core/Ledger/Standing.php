<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Terms\Side;

/** How somebody stands on one side in one currency, worked out from their documents and the money that passed. */
final readonly class Standing
{
    private function __construct(
        public Side $side,
        public string $currency,
        public Money $open,
        public Money $credits,
        public Money $unallocated,
        public Money $balance,
        public Money $overdue,
        public Ageing $ageing,
        public ?Entry $oldest,
        public ?Entry $nextDue,
        public ?DaysToPay $daysToPay,
        public bool $hasOldOpen,
        public ?Day $staleOn,
    ) {
    }

    /**
     * @param list<Entry> $entries issued documents of that side and currency: all that are open, and those settled within the last year
     * @param Money $unallocated money that passed and is not used on any document yet
     * @param int $warnAfter days after which an open document is worth a warning
     */
    public static function of(Side $side, array $entries, Money $unallocated, Day $today, AgeingBy $by, int $warnAfter): self
    {
        $currency = $unallocated->currency;
        $open = array_values(array_filter($entries, fn (Entry $entry) => $entry->kind->isOwed() && $entry->isOpen()));
        usort($open, fn (Entry $one, Entry $other) => [$one->due->number, $one->id] <=> [$other->due->number, $other->id]);
        $credits = Money::sum(array_map(
            fn (Entry $entry) => $entry->open,
            array_filter($entries, fn (Entry $entry) => $entry->kind->isCredit()),
        ), $currency);
        $ageing = Ageing::of($open, $today, $by, $currency);
        $overdue = array_filter($open, fn (Entry $entry) => $entry->isOverdue($today));
        $ahead = array_values(array_filter($open, fn (Entry $entry) => ! $entry->isOverdue($today)));

        return new self(
            $side,
            $currency,
            $ageing->total,
            $credits,
            $unallocated,
            $ageing->total->minus($credits)->minus($unallocated),
            Money::sum(array_map(fn (Entry $entry) => $entry->open, $overdue), $currency),
            $ageing,
            $open[0] ?? null,
            $ahead[0] ?? null,
            DaysToPay::of($entries, $today),
            array_filter($open, fn (Entry $entry) => $entry->date->daysUntil($today) > $warnAfter) !== [],
            self::firstChange($entries, $ahead[0] ?? null, $today),
        );
    }

    /**
     * The first day on which it will be different though nothing happens: something becomes overdue, or too old to count.
     *
     * @param list<Entry> $entries
     */
    private static function firstChange(array $entries, ?Entry $nextDue, Day $today): ?Day
    {
        $days = $nextDue === null ? [] : [$nextDue->due->plusDays(1)];
        foreach ($entries as $entry) {
            if ($entry->settledOn !== null && $entry->settledOn->daysUntil($today) <= DaysToPay::WINDOW) {
                $days[] = $entry->settledOn->plusDays(DaysToPay::WINDOW + 1);
            }
        }
        usort($days, fn (Day $one, Day $other) => $one->number <=> $other->number);

        return $days[0] ?? null;
    }
}
