<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

/** Days of the demo office, counted back from the day that it is made. */
trait TellsDaysAgo
{
    private function daysAgo(?int $days): string
    {
        return $days === null ? '' : $this->clock->today()->plusDays(-$days)->toIso();
    }

    /**
     * Does something as it was done so many days ago: that day is today meanwhile.
     *
     * @template T
     *
     * @param \Closure(): T $act
     *
     * @return T
     */
    private function doneDaysAgo(int $days, \Closure $act): mixed
    {
        $pinned = config('almanac.today');
        config(['almanac.today' => $this->daysAgo($days)]);
        try {
            return $act();
        } finally {
            config(['almanac.today' => $pinned]);
        }
    }
}
