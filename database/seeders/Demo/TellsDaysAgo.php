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
}
