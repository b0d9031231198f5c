<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Calendar\Day;
use Almanac\Money\Money;

/** What is open, by how late it is. The buckets add up to the whole. */
final readonly class Ageing
{
    /** @param  array<string, Money>  $buckets by AgeingBucket, all of them, in order */
    private function __construct(public array $buckets, public Money $total)
    {
    }

    /**
     * Only of what money is owed on; credits are no part of it, and are told apart.
     *
     * @param list<Entry> $entries in one currency
     */
    public static function of(array $entries, Day $today, AgeingBy $by, string $currency): self
    {
        $buckets = [];
        foreach (AgeingBucket::cases() as $bucket) {
            $buckets[$bucket->value] = Money::zero($currency);
        }
        foreach ($entries as $entry) {
            if ($entry->kind->isOwed()) {
                $from = $by === AgeingBy::DueDate ? $entry->due : $entry->date;
                $bucket = AgeingBucket::of($from->daysUntil($today))->value;
                $buckets[$bucket] = $buckets[$bucket]->plus($entry->open);
            }
        }

        return new self($buckets, Money::sum($buckets, $currency));
    }

    public function bucket(AgeingBucket $bucket): Money
    {
        return $this->buckets[$bucket->value];
    }
}
