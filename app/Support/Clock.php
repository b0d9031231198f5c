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
        $pinned = config('almanac.today');

        return Day::fromIso(is_string($pinned) && $pinned !== '' ? $pinned : now()->format('Y-m-d'));
    }

    /** Now, on the day that counts as today. */
    public function now(): CarbonImmutable
    {
        $today = $this->today();

        return CarbonImmutable::now()->setDate($today->year, $today->month, $today->day);
    }

    /** Reads dates as the office types them. */
    public function reader(Office $office): TypedDay
    {
        return TypedDay::reader($this->today(), $office->writesMonthFirst());
    }
}
