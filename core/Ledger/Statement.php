<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Calendar\Day;
use Almanac\Money\Money;

/** A statement of account: what was owed at the beginning, what came and went, and what is owed at the end. */
final readonly class Statement
{
    /** @param  list<array{Day, string, Money, Money}>  $lines day, what it was, by how much it changed, and the balance after it */
    private function __construct(public Money $opening, public array $lines, public Money $closing)
    {
    }

    /**
     * @param list<array{Day, string, Money}> $movements of all time, in one currency: what raises the balance above zero
     */
    public static function of(array $movements, ?Day $from, Day $to, string $currency): self
    {
        usort($movements, fn (array $one, array $other) => $one[0]->number <=> $other[0]->number);
        $balance = $opening = Money::zero($currency);
        $lines = [];
        foreach ($movements as [$day, $what, $amount]) {
            if ($day->isAfter($to)) {
                break;
            }
            $balance = $balance->plus($amount);
            if ($from !== null && $day->isBefore($from)) {
                $opening = $balance;
            } else {
                $lines[] = [$day, $what, $amount, $balance];
            }
        }

        return new self($opening, $lines, $balance);
    }
}
