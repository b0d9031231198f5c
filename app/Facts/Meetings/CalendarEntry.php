<?php

declare(strict_types=1);

namespace App\Facts\Meetings;

use Almanac\Calendar\TimeOfDay;
use Almanac\Interchange\CalendarEvent;
use App\Models\Meeting;
use App\Outside\OwnAddress;

/** A meeting as it stands in a calendar. */
final class CalendarEntry
{
    /** @param  bool  $isOurs  whether it is for a calendar of this office, which can open the page of it */
    public static function of(Meeting $meeting, bool $isOurs): CalendarEvent
    {
        return new CalendarEvent(
            "meeting-$meeting->id@".OwnAddress::host(),
            $meeting->held_on,
            TimeOfDay::read($meeting->time),
            $meeting->title,
            null,
            $isOurs ? OwnAddress::of("/meetings/$meeting->id") : '',
            $meeting->minutes,
            $meeting->place,
            $meeting->agenda,
        );
    }
}
