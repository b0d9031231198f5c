<?php

declare(strict_types=1);

namespace App\Time;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use App\Models\Office;
use Carbon\CarbonImmutable;

/** The one place that knows which day it is. */
final class Clock
{
    public function today(): Day
    {
        return $this->pinned() ?? Day::fromIso($this->here()->format('Y-m-d'));
    }

    /** Now, by the zone in which it is kept: UTC. */
    public function now(): CarbonImmutable
    {
        return $this->here()->utc();
    }

    /** Now, by the office's clock; on a pinned day it is always half past nine. */
    public function here(): CarbonImmutable
    {
        $pinned = $this->pinned();
        $now = CarbonImmutable::now(self::zone());

        return $pinned === null ? $now : $now->setDate($pinned->year, $pinned->month, $pinned->day)->setTime(9, 30);
    }

    public static function zone(): \DateTimeZone
    {
        return once(fn () => Office::query()->first()?->zone()) ?? new \DateTimeZone('UTC');
    }

    /** The day of a moment, by the office's clock. */
    public static function dayOf(\DateTimeInterface $moment): Day
    {
        return Day::fromIso(\DateTimeImmutable::createFromInterface($moment)->setTimezone(self::zone())->format('Y-m-d'));
    }

    /** When a day begins where the office is, by the zone in which moments are kept: UTC. */
    public static function beginningOf(Day $day): CarbonImmutable
    {
        return CarbonImmutable::parse($day->toIso(), self::zone())->utc();
    }

    /** Reads dates as the office types them. */
    public function reader(Office $office): TypedDay
    {
        return TypedDay::reader($this->today(), $office->writesMonthFirst());
    }

    private function pinned(): ?Day
    {
        $pinned = config('almanac.today');

        return is_string($pinned) && $pinned !== '' ? Day::fromIso($pinned) : null;
    }
}
