<?php

declare(strict_types=1);

namespace Almanac\Money;

use Almanac\Calendar\Day;
use Brick\Math\BigDecimal;

/** What other currencies are worth in the office's own, each rate from a day on until the next one. */
final readonly class ExchangeRates
{
    /** @param  array<string, array<string, BigDecimal>>  $rates by currency and ISO day, the latest first */
    private function __construct(public string $home, private array $rates)
    {
    }

    /**
     * @param list<array{
     *     string, Day, BigDecimal,
     * }> $rates currency, from which day on, and how many units of the home currency one unit is worth
     */
    public static function of(string $home, array $rates): self
    {
        $sorted = [];
        foreach ($rates as [$currency, $day, $rate]) {
            $sorted[$currency][$day->toIso()] = $rate;
        }
        foreach ($sorted as $currency => $days) {
            krsort($days);
            $sorted[$currency] = $days;
        }

        return new self($home, $sorted);
    }

    /**
     * Reads a rate such as 1.0842.
     *
     * @throws BadAmount when it is no number above zero with at most eight decimals
     */
    public static function readRate(string $typed, DecimalSign $sign = DecimalSign::Point): BigDecimal
    {
        try {
            $rate = TypedNumber::read($typed, $sign)->alone();
        } catch (BadAmount) {
            throw BadAmount::notARate($typed);
        }
        if (! $rate->isPositive() || $rate->getScale() > 8 || $rate->isGreaterThan(1_000_000)) {
            throw BadAmount::notARate($typed);
        }

        return $rate->stripTrailingZeros();
    }

    public function has(string $currency, Day $on): bool
    {
        return $currency === $this->home || $this->rate($currency, $on) !== null;
    }

    /**
     * The amount in the home currency, at the latest rate of that day or before, rounded half up.
     *
     * @throws BadAmount when there is no rate yet on that day
     */
    public function toHome(Money $amount, Day $on): Money
    {
        if ($amount->currency === $this->home) {
            return $amount;
        }
        $rate = $this->rate($amount->currency, $on) ?? throw BadAmount::noRate($amount->currency, $on->toText());

        return Money::rounded(BigDecimal::of($amount->toDecimal())->multipliedBy($rate), $this->home);
    }

    /** The amount in the home currency, or null where there is no rate yet or it would be beyond what can be held. */
    public function orNull(Money $amount, Day $on): ?Money
    {
        try {
            return $this->toHome($amount, $on);
        } catch (BadAmount) {
            return null;
        }
    }

    /** The day since when the rate used on that day holds, or null without one. */
    public function since(string $currency, Day $on): ?Day
    {
        foreach ($this->rates[$currency] ?? [] as $iso => $rate) {
            if ($iso <= $on->toIso()) {
                return Day::fromIso($iso);
            }
        }

        return null;
    }

    private function rate(string $currency, Day $on): ?BigDecimal
    {
        $since = $this->since($currency, $on);

        return $since === null ? null : $this->rates[$currency][$since->toIso()];
    }
}
