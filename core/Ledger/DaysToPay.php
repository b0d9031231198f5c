<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Calendar\Day;
use Brick\Math\BigDecimal;
use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * How long documents took to be paid, and how long beyond their terms: the mean over those that
 * were settled in the last 365 days, plain and weighted by amount (the arithmetic of credit
 * management handbooks; the window of a year is common practice, no published source).
 */
final readonly class DaysToPay
{
    public const WINDOW = 365;

    /**
     * @param string $days from the document's date, to one decimal
     * @param string $beyond from the due date; negative when it was paid before it was due
     */
    private function __construct(
        public int $count,
        public Day $since,
        public string $days,
        public string $weightedDays,
        public string $beyond,
        public string $weightedBeyond,
    ) {
    }

    /**
     * @param list<Entry> $entries in one currency
     *
     * @return self|null null when nothing was settled in the window
     */
    public static function of(array $entries, Day $today): ?self
    {
        $since = $today->plusDays(-self::WINDOW);
        $days = $beyond = [];
        $amounts = [];
        foreach ($entries as $entry) {
            if (
                ! $entry->kind->isOwed() ||
                $entry->settledOn === null ||
                $entry->settledOn->isBefore($since) ||
                $entry->settledOn->isAfter($today)
            ) {
                continue;
            }
            $days[] = $entry->date->daysUntil($entry->settledOn);
            $beyond[] = $entry->due->daysUntil($entry->settledOn);
            $amounts[] = $entry->total->minor;
        }
        $same = array_fill(0, count($days), 1);

        return $days === [] ? null : new self(
            count($days),
            $since,
            self::mean($days, $same),
            self::mean($days, array_sum($amounts) === 0 ? $same : $amounts),
            self::mean($beyond, $same),
            self::mean($beyond, array_sum($amounts) === 0 ? $same : $amounts),
        );
    }

    /** Days in tenths, for keeping. */
    public function tenths(): int
    {
        return BigDecimal::of($this->days)->multipliedBy(10)->toInt();
    }

    /** "9 paid since 24 Nov 2025: 34.2 days on average, 4.2 beyond the terms; by amount 41.0 and 11.0." */
    public function sentence(): string
    {
        return sprintf(
            '%d paid since %s: %s days on average, %s; weighted by amount %s days, %s.',
            $this->count,
            $this->since->toText(),
            $this->days,
            self::against($this->beyond),
            $this->weightedDays,
            self::against($this->weightedBeyond),
        );
    }

    private static function against(string $beyond): string
    {
        return match (true) {
            (float) $beyond > 0 => $beyond.' beyond the terms',
            (float) $beyond < 0 => ltrim($beyond, '-').' before the due date',
            default => 'on the due date',
        };
    }

    /**
     * @param list<int> $values
     * @param list<int> $weights
     */
    private static function mean(array $values, array $weights): string
    {
        $sum = BigInteger::zero();
        foreach ($values as $at => $value) {
            $sum = $sum->plus(BigInteger::of($value)->multipliedBy($weights[$at]));
        }

        return (string) BigRational::of($sum)->dividedBy(array_sum($weights))->toScale(1, RoundingMode::HALF_UP);
    }
}
