<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Calendar\Day;
use Almanac\Calendar\Recurrence;
use Almanac\Calendar\TimeOfDay;

/** Something at a time, as it goes into a calendar. */
final readonly class CalendarEvent
{
    /**
     * @param int $minutes how long it lasts
     * @param string $description the agenda
     */
    public function __construct(
        public string $uid,
        public Day $day,
        public TimeOfDay $time,
        public string $summary,
        public ?Recurrence $recurrence = null,
        public string $url = '',
        public int $minutes = 15,
        public string $place = '',
        public string $description = '',
    ) {
    }
}
