<?php

declare(strict_types=1);

namespace App\Support;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use App\Models\Office;
use Carbon\CarbonImmutable;

/** The one place that knows which day it is. */
final class Clock
{
    public function today(): Day
    {
        return $this->pinned() ?? Day::fromIso(now()->format('Y-m-d'));
    }

    /** Now; on a pinned day it is always half past nine. */
    public function now(): CarbonImmutable
    {
        $pinned = $this->pinned();

        return $pinned === null
            ? CarbonImmutable::now()
            : CarbonImmutable::now()->setDate($pinned->year, $pinned->month, $pinned->day)->setTime(9, 30);
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
