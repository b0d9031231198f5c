<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Calendar\Day;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Reader;

/** Reads holidays from an iCalendar file (RFC 5545): its events of whole days, those that repeat for some years on. */
final class HolidayCalendar
{
    private const YEARS = 5;

    private const YEARS_BACK = 100;

    private const MOST_EVENTS = 5000;

    /** Days that one of them may last. */
    private const LONGEST = 60;

    /**
     * @return non-empty-list<array{Day, string}> each day once, with its name
     *
     * @throws InterchangeRefused when it is no calendar, or has no event of a whole day
     */
    public static function read(string $text, Day $from): array
    {
        try {
            return Strictly::read(fn () => self::holidays($text, $from));
        } catch (\Exception|\TypeError|\ValueError $why) {
            throw $why instanceof InterchangeRefused ? $why : InterchangeRefused::notACalendar();
        }
    }

    /** @return non-empty-list<array{Day, string}> */
    private static function holidays(string $text, Day $from): array
    {
        $calendar = Reader::read($text, Reader::OPTION_FORGIVING);
        if (! $calendar instanceof VCalendar) {
            throw InterchangeRefused::notACalendar();
        }
        $end = $from->plusMonths(12 * self::YEARS);
        $days = [];
        self::keepHolidays($calendar, $from);
        $events = $calendar->expand(new \DateTimeImmutable($from->toIso()), new \DateTimeImmutable($end->toIso()))->select('VEVENT');
        foreach ($events as $event) {
            $start = $event->DTSTART ?? null;
            if (! $start instanceof DateTime || $start->hasTime()) {
                continue;
            }
            $day = Day::fromIso($start->getDateTime()->format('Y-m-d'));
            $last =
                ($event->DTEND ?? null) instanceof DateTime
                    ? Day::fromIso($event->DTEND->getDateTime()->format('Y-m-d'))
                    : $day->plusDays(1);
            for ($n = 0; $n < self::LONGEST && $day->isBefore($last); $day = $day->plusDays(1), $n++) {
                $days[$day->toIso()] = [$day, trim((string) ($event->SUMMARY ?? '')) ?: 'a holiday'];
            }
        }

        return $days === [] ? throw InterchangeRefused::noWholeDays() : array_values($days);
    }

    /** Leaves only what can be a holiday: a whole day of these years, once or every year or month. */
    private static function keepHolidays(VCalendar $calendar, Day $from): void
    {
        foreach (array_values($calendar->select('VEVENT')) as $at => $event) {
            $start = $event->DTSTART ?? null;
            $year =
                $start instanceof DateTime && preg_match('/^\d{8}$/', $start->getValue()) === 1
                    ? (int) substr($start->getValue(), 0, 4)
                    : 0;
            $rule = mb_strtoupper((string) ($event->RRULE ?? ''));
            $isHoliday = $at < self::MOST_EVENTS && $year >= $from->year - self::YEARS_BACK && $year <= $from->year + self::YEARS
                && ($rule === '' || preg_match('/(?:^|;)FREQ=(?:YEARLY|MONTHLY)(?:;|$)/', $rule) === 1);
            if (! $isHoliday) {
                $calendar->remove($event);
            } elseif (! isset($event->UID)) {
                $event->add('UID', "holiday-$at");
            }
        }
    }
}
