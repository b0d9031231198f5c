<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Calendar\Day;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Reader;

/** Reads holidays from an iCalendar file (RFC 5545): its events of whole days, those that repeat for some years on. */
final class HolidayCalendar
{
    private const YEARS = 5;

    /**
     * @return non-empty-list<array{Day, string}> each day once, with its name
     *
     * @throws InterchangeRefused when it is no calendar, or has no event of a whole day
     */
    public static function read(string $text, Day $from): array
    {
        try {
            $calendar = Reader::read($text, Reader::OPTION_FORGIVING);
        } catch (ParseException) {
            throw InterchangeRefused::notACalendar();
        }
        if (! $calendar instanceof VCalendar) {
            throw InterchangeRefused::notACalendar();
        }
        $end = $from->plusMonths(12 * self::YEARS);
        $days = [];
        foreach ($calendar->expand(new \DateTimeImmutable($from->toIso()), new \DateTimeImmutable($end->toIso()))->select('VEVENT') as $event) {
            $start = $event->DTSTART ?? null;
            if (! $start instanceof DateTime || $start->hasTime()) {
                continue;
            }
            $day = Day::fromIso($start->getDateTime()->format('Y-m-d'));
            $last = ($event->DTEND ?? null) instanceof DateTime ? Day::fromIso($event->DTEND->getDateTime()->format('Y-m-d')) : $day->plusDays(1);
            for (; $day->isBefore($last); $day = $day->plusDays(1)) {
                $days[$day->toIso()] = [$day, trim((string) ($event->SUMMARY ?? '')) ?: 'a holiday'];
            }
        }

        return $days === [] ? throw InterchangeRefused::noWholeDays() : array_values($days);
    }
}
